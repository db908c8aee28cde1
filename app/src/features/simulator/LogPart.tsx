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
import { Replayed } from './Replayed';
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

/** A flight log brought in and judged, away from the page so that it never stands still. */
export function LogPart({ drill, course, side, craft, scene, marks, layout, cameraDeg }: LogPartProps) {
  const worker = useRef<Worker | null>(null);
  const [state, setState] = useState<FromLog | 'reading' | null>(null);
  const [chosen, setChosen] = useState(0);
  const stop = () => {
    worker.current?.terminate();
    worker.current = null;
  };
  useEffect(() => stop, []);
  const read = (file: File) => {
    stop();
    setState('reading');
    setChosen(0);
    const own = new Worker(new URL(require.unstable_resolveWorker('./log.worker.ts'), window.location.href), {
      type: 'module',
    });
    worker.current = own;
    own.onmessage = ({ data }: MessageEvent<FromLog>) => {
      setState(data);
      stop();
    };
    own.onerror = (event) => {
      setState({
        is: 'bad',
        message: event.message || 'The part that reads logs did not load: reload the page.',
      });
      stop();
    };
    own.postMessage({ file, drillId: drill.id, side, craft, solids: scene.solids } satisfies ToRead);
  };
  const rep =
    state !== null && state !== 'reading' && state.is === 'read' ? (state.reps[chosen] ?? null) : null;
  return (
    <Part heading="From a flight log">
      <Words as="soft">
        A CSV of time, place, velocity, attitude and sticks, with units in its header, 50 to 200 lines a
        second; a flight saved here shows how. It is judged as this drill and stays on this device.
      </Words>
      <ButtonRow>
        <Button
          icon="upload"
          label={state === 'reading' ? 'Reading …' : 'Judge a log'}
          disabled={state === 'reading'}
          onPress={() => pickFile('.csv,text/csv', read)}
        />
        {state === 'reading' ? (
          <Button
            kind="quiet"
            label="Stop"
            onPress={() => {
              stop();
              setState(null);
            }}
          />
        ) : null}
      </ButtonRow>
      {state !== null && state !== 'reading' && state.is === 'bad' ? (
        <Note icon="alert-triangle" heading="This log cannot be judged" live>
          {state.message}
        </Note>
      ) : null}
      {state !== null && state !== 'reading' && state.is === 'read' ? (
        <Words
          as="strong"
          role="status"
        >{`${plural(state.reps.length, 'rep')} found, ${state.reps.filter((each) => each.score.met).length} met.`}</Words>
      ) : null}
      {rep && state !== null && state !== 'reading' && state.is === 'read' ? (
        <>
          {state.reps.length > 1 ? (
            <ButtonRow>
              <Button label="Before" disabled={chosen === 0} onPress={() => setChosen(chosen - 1)} />
              <Button
                label={`Next (${chosen + 1} of ${state.reps.length})`}
                disabled={chosen === state.reps.length - 1}
                onPress={() => setChosen(chosen + 1)}
              />
            </ButtonRow>
          ) : null}
          <ScorePanel score={rep.score} />
          <Replayed
            key={chosen}
            replay={rep.replay}
            wrongAtS={rep.score.wrong?.atS ?? null}
            spanM={craft.spanM}
            rotors={craft.rotors}
            marks={marks}
            scene={scene}
            layout={layout}
            cameraDeg={cameraDeg}
            course={course}
          />
        </>
      ) : null}
    </Part>
  );
}
