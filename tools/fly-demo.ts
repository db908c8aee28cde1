import { writeFile } from 'node:fs/promises';
import { flyDemoReps, type FlownSeries } from '../server/src/demo/flying';

/**
 * Flies the reps that the demo tells of and writes them down. Run it after a change of the flight model, a
 * course or a habit: `npm run fly-demo`.
 */
const line = (key: string, reps: readonly unknown[]): string =>
  `'${key}': ${JSON.stringify(reps).replaceAll('"', "'").replaceAll(',', ', ')},`;
const series = (flown: FlownSeries, indent: string): string =>
  Object.entries(flown)
    .map(([key, reps]) => `${indent}${line(key, reps)}`)
    .join('\n');

const { steady, habits } = flyDemoReps();
const text = `import type { FlownReps } from './flying';

/**
 * Reps flown by synthetic hands, written by tools/fly-demo.ts: for each the reason of a miss, and the value
 * written down in the drill's unit.
 */
export const FLOWN: FlownReps = {
  steady: {
${series(steady, '    ')}
  },
  habits: {
${Object.entries(habits)
  .map(([habit, flown]) => `    '${habit}': {\n${series(flown, '      ')}\n    },`)
  .join('\n')}
  },
};
`;
await writeFile(new URL('../server/src/demo/flown.ts', import.meta.url), text);
