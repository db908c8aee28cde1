import { newestFirst } from '@skelby/core/vocabulary/flown-order';
import { useDrills } from '../../shared/api/use-drills';
import type { RecordedRep } from '@skelby/core/pages/pages';
import { useState } from 'react';
import { View } from 'react-native';
import { useUnits } from '../../shared/api/use-units';
import { SIDE_WORDS } from '../../shared/copy/copy';
import { todayHere } from '../../shared/copy/dates';
import { measuredWords } from '../../shared/copy/value-copy';
import { Button, ButtonRow } from '../../shared/ui/Button';
import { UNSEEN, Words } from '../../shared/ui/Words';

const UNDO_REASONS = ['Mis-tap', 'Judged it wrong', 'Wrong drill or side', 'Not a fair attempt'] as const;

/** The last rep of today with what was measured of it, to be undone with a reason. */
export function LastRep({
  reps,
  missStays,
  onUndo,
}: {
  readonly reps: readonly RecordedRep[];
  /** Whether a missed test goes on counting until a second person says that it was none. */
  readonly missStays: boolean;
  readonly onUndo: (rep: RecordedRep, reason: string) => void;
}) {
  const { drillOf } = useDrills();
  const [asking, setAsking] = useState(false);
  const { units } = useUnits();
  const ofToday = reps.filter((rep) => !rep.takenBack && rep.day === todayHere()).sort(newestFirst);
  const last = ofToday[0];
  if (!last) return null;
  const what = [
    drillOf(last.drillId).name,
    last.side ? SIDE_WORDS[last.side].toLowerCase() : null,
    measuredWords(last.drillId, last.measure, units),
    last.judgedBy === 'flight' ? 'by the flight' : null,
  ];
  const words = `${last.met ? 'Met' : 'Missed'}: ${what.filter(Boolean).join(', ')}`;
  if (!asking)
    return (
      <>
        <Words role="status" style={UNSEEN}>{`${words}. ${ofToday.length} today.`}</Words>
        <Button
          kind="quiet"
          icon="corner-up-left"
          label={`Undo today's no. ${ofToday.length} (${words})`}
          onPress={() => setAsking(true)}
        />
      </>
    );
  return (
    <View style={{ gap: 8 }}>
      <Words as="strong">{`Why undo "${words}"?`}</Words>
      {missStays && last.purpose === 'test' && !last.met ? (
        <Words as="soft">
          A missed test goes on counting until another trainer confirms that it was none.
        </Words>
      ) : null}
      <ButtonRow>
        {UNDO_REASONS.map((reason) => (
          <Button
            key={reason}
            label={reason}
            onPress={() => {
              setAsking(false);
              onUndo(last, reason);
            }}
          />
        ))}
        <Button kind="quiet" label="Keep it" onPress={() => setAsking(false)} />
      </ButtonRow>
    </View>
  );
}
