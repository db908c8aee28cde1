import { mkdirSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { endingOf, writtenBy } from '@skelby/core/recorded-flight/stand-ins/write';
import { MADE_UP_RECORDERS } from '@skelby/core/recorded-flight/stand-ins/recorders';
import { chanceOf, recordStory } from '@skelby/core/second-model/flights';
import { LESSONS } from '@skelby/core/second-model/lessons';
import { CannotGoOn, say } from './say';

const EXACT = { hz: 100, wanderM: 0, leavesOut: [] };

/** Writes whole lessons down as each of the made-up recorders would, so that bringing flights in can be tried without one. */
export function runFlights({ file: folder }: { readonly file?: string | undefined }): number {
  if (folder === undefined) throw new CannotGoOn('Name the folder: ./skelby flights DIR');
  mkdirSync(folder, { recursive: true });
  let written = 0;
  for (const [nth, recorder] of MADE_UP_RECORDERS.entries())
    for (const [kind, lesson] of LESSONS.entries()) {
      const { log } = recordStory(lesson(nth).story, EXACT, 10 * nth + kind);
      const name = `${recorder.name}-${kind + 1}.${endingOf(recorder)}`;
      writeFileSync(path.join(folder, name), writtenBy(recorder, log, chanceOf(nth + kind).normal));
      written += 1;
    }
  say(`${written} made-up flights are in ${folder}: bring them in under Flights, From a file.`);
  return 0;
}
