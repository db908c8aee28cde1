import type { FamilyId } from '@skelby/core/causes/cause';
import { causeWords, familyWords } from '@skelby/copy/causes';
import type { CauseId } from '@skelby/core/causes/causes';
import { useState } from 'react';
import { View } from 'react-native';
import { CauseRows, FamilyRows } from '../../shared/ui/CausePicker';
import { Button } from '../../shared/ui/Button';
import { Part } from '../../shared/ui/Screen';
import { Words } from '../../shared/ui/Words';

/** Family, then cause, in place. */
export function PickCause({
  heading,
  onPick,
}: {
  readonly heading: string;
  readonly onPick: (causeId: CauseId) => void;
}) {
  const [familyId, setFamilyId] = useState<FamilyId | null>(null);
  if (!familyId)
    return (
      <Part heading={heading}>
        <FamilyRows onPick={setFamilyId} />
      </Part>
    );
  return (
    <Part
      heading={familyWords(familyId).name}
      end={<Button kind="quiet" label="Other family" onPress={() => setFamilyId(null)} />}
    >
      <CauseRows familyId={familyId} onPick={onPick} />
    </Part>
  );
}

/** Asked before anything is ranked, so that the trainer's eye stays their own. */
export function OwnPick({
  loggedCauseId,
  onPick,
}: {
  readonly loggedCauseId: CauseId;
  readonly onPick: (causeId: CauseId | null) => void;
}) {
  const [picking, setPicking] = useState(false);
  if (picking) return <PickCause heading="What would you say it was?" onPick={onPick} />;
  return (
    <Part heading="First, your own guess">
      <Words>{`Logged as: ${causeWords(loggedCauseId).name}. What do you say, before the numbers do?`}</Words>
      <View style={{ gap: 12 }}>
        <Button
          kind="main"
          large
          label={causeWords(loggedCauseId).name}
          onPress={() => onPick(loggedCauseId)}
        />
        <Button large label="Something else" onPress={() => setPicking(true)} />
        <Button large label="I cannot say yet" onPress={() => onPick(null)} />
      </View>
    </Part>
  );
}
