import { flightLogWords } from '@skelby/copy/flight-log';
import type { DrillId } from '@skelby/core/drills/drills';
import type { Side } from '@skelby/core/drills/drill';
import { craftModel } from '@skelby/core/simulator/craft-model';
import type { Solid } from '@skelby/core/simulator/world';
import { type CraftRecord, craftFacts } from '@skelby/core/vocabulary/craft-facts';
import { exerciseOf } from '@skelby/core/assessment/exercises';
import { type Replay, replayOf } from '@skelby/core/assessment/replay';
import { type Score, scoreLog } from '@skelby/core/assessment/score';
import { FlightLogError, type FlightLogReader } from '@skelby/core/flight-log/reading';
import { readLog } from './read-log';

export interface ToRead {
  readonly file: File;
  readonly drillId: DrillId;
  readonly side: Side | null;
  readonly craft: CraftRecord;
  readonly solids: readonly Solid[];
}

/** Every rep found in a log, each with its replay. */
export type FromLog =
  | {
      readonly is: 'read';
      readonly reps: readonly { readonly score: Score; readonly replay: Replay }[];
      readonly lines: number;
      readonly scoredMs: number;
    }
  | { readonly is: 'bad'; readonly message: string };

function judge(reader: FlightLogReader, { drillId, side, craft, solids }: ToRead): FromLog {
  const course = exerciseOf(drillId, side);
  if (!course) return { is: 'bad', message: 'This drill is not measured from a log.' };
  const track = reader.track();
  const began = performance.now();
  const scores = scoreLog(track, course, craftModel(craftFacts(craft)), solids);
  const scoredMs = performance.now() - began;
  if (scores.length === 0)
    return {
      is: 'bad',
      message:
        'The log never comes within 3 m of where this drill begins. Its places are from where the pilot stands, who looks north.',
    };
  return {
    is: 'read',
    reps: scores.map((score) => ({ score, replay: replayOf(track, score.fromS, score.toS) })),
    lines: track.length,
    scoredMs,
  };
}

self.onmessage = ({ data }: MessageEvent<ToRead>) => {
  const post = (message: FromLog) => self.postMessage(message);
  readLog(data.file)
    .then((reader) => post(judge(reader, data)))
    .catch((error: unknown) =>
      post({
        is: 'bad',
        message:
          error instanceof FlightLogError
            ? flightLogWords(error)
            : `The log could not be read: ${error instanceof Error ? error.message : String(error)}`,
      }),
    );
};
