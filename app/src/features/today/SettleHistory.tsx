import { settleHistory, undoSettling } from '@skelby/core/commands/handles';
import { addDays } from '@skelby/core/vocabulary/day';
import { useState } from 'react';
import { v7 as uuid } from 'uuid';
import { useSaveNow } from '../../offline/overlay/record-queries';
import { plural } from '../../shared/copy/copy';
import { sayDay, todayHere } from '../../shared/copy/dates';
import { PickBox } from '../../shared/forms/PickBox';
import { Button } from '../../shared/ui/Button';
import { May } from '../../shared/ui/May';
import { Part } from '../../shared/ui/Screen';
import { Words } from '../../shared/ui/Words';

const USUALLY_BEFORE_DAYS = 30;

/** Settles at once what is history, as after an import; undone by one tap. */
export function SettleHistory() {
  const settle = useSaveNow(settleHistory);
  const undo = useSaveNow(undoSettling);
  const [until, setUntil] = useState<string>(addDays(todayHere(), -USUALLY_BEFORE_DAYS));
  const [done, setDone] = useState<{ readonly id: string; readonly settled: number } | null>(null);
  const error = settle.error ?? undo.error;
  const go = () => {
    const id = uuid();
    settle.mutate(
      { keys: { id }, body: { until } },
      { onSuccess: (answer) => setDone({ id, settled: (answer as { readonly settled: number }).settled }) },
    );
  };
  return (
    <May right="train">
      <Part heading="Settle history">
        <Words as="soft">
          What came in from files of another time need not be debriefed. It stays on record and in the counts.
        </Words>
        <PickBox kind="date" label="Up to and with" value={until} onChange={setUntil} />
        {error ? <Words as="strong" role="alert">{`! ${error.message}`}</Words> : null}
        <Button
          label={settle.isPending ? 'One moment …' : 'Settle all that nobody has begun'}
          disabled={settle.isPending || until === ''}
          onPress={go}
        />
        {done ? (
          <>
            <Words role="status">{`${plural(done.settled, 'entry', 'entries')} settled, up to ${sayDay(until)}.`}</Words>
            <Button
              kind="quiet"
              icon="corner-up-left"
              label="Undo"
              onPress={() =>
                undo.mutate({ keys: { id: done.id }, body: {} }, { onSuccess: () => setDone(null) })
              }
            />
          </>
        ) : null}
      </Part>
    </May>
  );
}
