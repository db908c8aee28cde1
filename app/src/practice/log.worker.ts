import type { Side } from '@skelby/core/drills/drill';
import { craftModel } from '@skelby/core/flight/craft-model';
import type { Solid } from '@skelby/core/flight/world';
import { type CraftRecord, craftFacts } from '@skelby/core/flying/craft-facts';
import { courseOf } from '@skelby/core/scoring/courses';
import { type Replay, replayOf } from '@skelby/core/scoring/replay';
import { type Score, scoreLog } from '@skelby/core/scoring/score';
import { FlightLogError, FlightLogReader, MOST_BYTES } from '@skelby/core/track/flight-log';
import { parse } from 'papaparse';

export interface ToRead {
  readonly file: File;
  readonly drillId: string;
  readonly side: Side | null;
  readonly craft: CraftRecord;
  readonly solids: readonly Solid[];
}

/** Every rep found in a log, each with its replay. */
export type FromLog =
  | { readonly is: 'read'; readonly reps: readonly { readonly score: Score; readonly replay: Replay }[]; readonly lines: number; readonly scoredMs: number }
  | { readonly is: 'bad'; readonly message: string };

const MEGA = 1e6;

function judge(reader: FlightLogReader, { drillId, side, craft, solids }: ToRead): FromLog {
  const course = courseOf(drillId, side);
  if (!course) return { is: 'bad', message: 'This drill is not measured from a log.' };
  const track = reader.track();
  const began = performance.now();
  const scores = scoreLog(track, course, craftModel(craftFacts(craft)), solids);
  const scoredMs = performance.now() - began;
  if (scores.length === 0) return { is: 'bad', message: 'The log never comes within 3 m of where this drill begins. Its places are from where the pilot stands, who looks north.' };
  return { is: 'read', reps: scores.map((score) => ({ score, replay: replayOf(track, score.fromS, score.toS) })), lines: track.length, scoredMs };
}

self.onmessage = ({ data }: MessageEvent<ToRead>) => {
  const post = (message: FromLog) => self.postMessage(message);
  const { file } = data;
  if (file.size > MOST_BYTES) { post({ is: 'bad', message: `The file has ${Math.round(file.size / MEGA)} MB: at most ${MOST_BYTES / MEGA}. Cut out the flight that should be judged.` }); return; }
  const reader = new FlightLogReader();
  let line = 0;
  const failed = (error: unknown) => post({ is: 'bad', message: error instanceof FlightLogError ? error.message : `The log could not be read: ${error instanceof Error ? error.message : String(error)}` });
  parse<string[]>(file, {
    chunk: ({ data: rows }, parser) => {
      try { for (const row of rows) { line += 1; reader.row(row, line); } } catch (error) { line = -1; failed(error); parser.abort(); }
    },
    complete: () => { if (line < 0) return; try { post(judge(reader, data)); } catch (error) { failed(error); } },
    error: failed,
  });
};
