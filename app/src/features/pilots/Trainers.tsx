import { handOver } from '@skelby/core/commands/handles';
import type { Pilot, Roster } from '@skelby/core/pages/pages';
import { trainedNowBy } from '@skelby/core/people/trainers';
import { useState } from 'react';
import { View } from 'react-native';
import { useSaveNow } from '../../offline/overlay/record-queries';
import { useMay } from '../../shared/api/use-may';
import { ManyChoice } from '../../shared/forms/Choice';
import { ReasonForm } from '../../shared/forms/ReasonForm';
import { Button } from '../../shared/ui/Button';
import { Part } from '../../shared/ui/Screen';
import { Words } from '../../shared/ui/Words';

interface TrainersProps {
  readonly pilot: Pilot;
  readonly roster: Roster;
}

/** Who trains a pilot, and handing the pilot over. */
export function Trainers({ pilot, roster }: TrainersProps) {
  const { trainers = [] } = roster;
  const mayKeep = useMay('keep-records');
  const [picked, setPicked] = useState<readonly string[] | null>(null);
  const save = useSaveNow(handOver);
  // With one trainer there is nobody to hand over to.
  if (trainers.length < 2) return null;
  const now = trainedNowBy(pilot, roster);
  const give = (reason: string) =>
    save.mutate(
      { keys: { id: pilot.id }, body: { trainerIds: [...(picked ?? [])], reason } },
      { onSuccess: () => setPicked(null) },
    );
  return (
    <Part heading="Trainers">
      <Words>
        {now.length > 0 ? `${now.map(({ name }) => name).join(', ')}.` : 'Every trainer of the school.'}
      </Words>
      {!mayKeep ? null : picked === null ? (
        <Button
          kind="quiet"
          icon="users"
          label="Hand over"
          onPress={() => setPicked(now.map(({ id }) => id))}
        />
      ) : (
        <View style={{ gap: 12 }}>
          <ManyChoice
            label="Who trains; with nobody ticked, everybody does"
            options={trainers.map((each) => ({ value: each.id, label: each.name }))}
            values={picked}
            onChange={setPicked}
          />
          <ReasonForm
            isOpen
            open="Hand over"
            question="Why it changes"
            act="Hand over"
            busy={save.isPending}
            error={save.error?.message ?? null}
            onGive={give}
            onLeave={() => setPicked(null)}
          />
        </View>
      )}
    </Part>
  );
}
