import type { DrillId } from '@skelby/core/drills/drills';
import type { Drill, Side } from '@skelby/core/drills/drill';
import type { Mark } from '@skelby/core/choreography/scene';
import type { CraftRecord } from '@skelby/core/vocabulary/craft-facts';
import type { SimulatedScene } from '@skelby/core/simulator/simulated-flight';
import type { Exercise } from '@skelby/core/assessment/exercise';
import type { StickLayout } from '@skelby/core/vocabulary/flying';
import { useEffect, useRef, useState } from 'react';
import { Button, ButtonRow } from '../../shared/ui/Button';
import { Note } from '../../shared/ui/Note';
import { Part } from '../../shared/ui/Screen';
import { pickFile } from '../../shared/ui/pick-file';
import { Words } from '../../shared/ui/Words';
import { plural } from '../../shared/copy/copy';
import type { FromLog, ToRead } from './log.worker';
import { Replayed } from '../../shared/field/Replayed';
import { ScorePanel } from './ScorePanel';

interface LogPartProps {
  readonly drill: Drill<DrillId>;
  readonly course: Exercise;
  readonly side: Side | null;
  readonly craft: CraftRecord;
  readonly scene: SimulatedScene;
  readonly marks: readonly Mark[];
  readonly layout: StickLayout;
  readonly cameraDeg: number;
}

type Reading = FromLog | 'reading' | null;

/** Reads and judges a log away from the page, so that it never stands still. */
function useLogReader({ drill, side, craft, scene }: LogPartProps) {
  const worker = useRef<Worker | null>(null);
  const [state, setState] = useState<Reading>(null);
  const stop = () => {
    worker.current?.terminate();
    worker.current = null;
  };
  useEffect(() => stop, []);
  const end = (next: Reading) => {
    setState(next);
    stop();
  };
  const read = (file: File) => {
    stop();
    setState('reading');
    const own = new Worker(new URL(require.unstable_resolveWorker('./log.worker.ts'), window.location.href), {
      type: 'module',
    });
    worker.current = own;
    own.onmessage = ({ data }: MessageEvent<FromLog>) => end(data);
    own.onerror = ({ message }) =>
      end({ is: 'bad', message: message || 'The part that reads logs did not load: reload the page.' });
    own.postMessage({ file, drillId: drill.id, side, craft, solids: scene.solids } satisfies ToRead);
  };
  return { state, read, leave: () => end(null) };
}

/** The reps that were found, one at a time. */
function ReadReps({ reps, ...props }: LogPartProps & { readonly reps: (FromLog & { is: 'read' })['reps'] }) {
  const [chosen, setChosen] = useState(0);
  const rep = reps[chosen];
  return (
    <>
      <Words as="strong" role="status">
        {`${plural(reps.length, 'rep')} found, ${reps.filter((each) => each.score.met).length} met.`}
      </Words>
      {reps.length > 1 ? (
        <ButtonRow>
          <Button label="Before" disabled={chosen === 0} onPress={() => setChosen(chosen - 1)} />
          <Button
            label={`Next (${chosen + 1} of ${reps.length})`}
            disabled={chosen === reps.length - 1}
            onPress={() => setChosen(chosen + 1)}
          />
        </ButtonRow>
      ) : null}
      {rep ? (
        <>
          <ScorePanel score={rep.score} />
          <Replayed
            key={chosen}
            replay={rep.replay}
            wrongAtS={rep.score.wrong?.atS ?? null}
            spanM={props.craft.spanM}
            rotors={props.craft.rotors}
            marks={props.marks}
            scene={props.scene}
            layout={props.layout}
            cameraDeg={props.cameraDeg}
            course={props.course}
          />
        </>
      ) : null}
    </>
  );
}

/** A flight log brought in and judged. */
export function LogPart(props: LogPartProps) {
  const { state, read, leave } = useLogReader(props);
  const isReading = state === 'reading';
  const done = state === null || state === 'reading' ? null : state;
  return (
    <Part heading="From a flight log">
      <Words as="soft">
        A CSV as flights are saved here: place, velocity, attitude and sticks, 50 to 200 lines a second.
        Judged as this drill; it stays on this device.
      </Words>
      <ButtonRow>
        <Button
          icon="upload"
          label={isReading ? 'Reading …' : 'Judge a log'}
          disabled={isReading}
          onPress={() => pickFile('.csv,text/csv', read)}
        />
        {isReading ? <Button kind="quiet" label="Stop" onPress={leave} /> : null}
      </ButtonRow>
      {done?.is === 'bad' ? (
        <Note icon="alert-triangle" heading="This log cannot be judged" live>
          {done.message}
        </Note>
      ) : null}
      {done?.is === 'read' ? <ReadReps {...props} reps={done.reps} /> : null}
    </Part>
  );
}
