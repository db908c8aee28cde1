import type { WeaknessState } from '@skelby/core/clearance/rungs';

/** A signature by the rule, with what was flown for it. */
interface ClearedFigures {
  readonly tests: number;
  readonly testsMet: number;
  readonly checks: number;
  readonly checksMet: number;
  readonly days: number;
}

export const RECORD_SHEET_WORDS = {
  record: 'Training record',
  cleared: 'Weakness cleared',
  courseShown: 'Course shown',
  madeOn: (day: string) => `as it stood on ${day}`,
  flown: 'Flown',
  flownLine: (flights: number, packs: number, minutes: number) =>
    `${flights} flights, ${packs} packs, ${Math.round(minutes)} minutes`,
  between: (first: string, last: string) => `Between ${first} and ${last}`,
  nothingFlown: 'No flight is on record.',
  happened: (crashes: number, nearMisses: number) =>
    `Crashes told: ${crashes}. Near-misses told: ${nearMisses}.`,
  weaknesses: 'Weaknesses found',
  noWeakness: 'None was found.',
  states: {
    open: 'open',
    drilling: 'being drilled',
    'ready-for-check': 'waits for its check',
    watch: 'cleared, on watch',
    closed: 'cleared and closed',
    withdrawn: 'withdrawn',
  } satisfies Record<WeaknessState, string>,
  opened: (day: string) => `opened ${day}`,
  signed: (day: string, by: string) => `signed ${day} by ${by}`,
  signedEarly: (day: string, by: string) => `signed early on ${day} by ${by}: the evidence was not all there`,
  course: 'Course',
  shownOn: (day: string) => `shown ${day}`,
  shownBefore: 'shown, some of it before anything was counted here',
  notShown: 'not shown',
  notBegun: 'Not begun.',
  how: 'How it was cleared',
  tests: ({ tests, testsMet, days }: ClearedFigures) =>
    `Test attempts at the standard: ${testsMet} of ${tests} met. Days on which they were flown: ${days}.`,
  checks: ({ checks, checksMet }: ClearedFigures) => `Check after a rest: ${checksMet} of ${checks} met.`,
  rule: (missPercent: number, riskPercent: number) =>
    `By the school’s rule somebody who misses ${missPercent} % is let through a chart at most ${riskPercent} times in 100.`,
  says: 'What it says',
  clearedSays: 'A trainer of the school signed that the evidence asked for was there.',
  courseSays: 'Every drill of the course was shown to a trainer of the school.',
  saysNot: 'What it does not say',
  saysNotLine:
    'That it lasts, holds on another craft or in more wind, or stands for any licence or permission.',
  standing: 'Local rules and your licensed instructor come first.',
  signature: (school: string, fingerprint: string) =>
    `Signed by ${school}. A reader that checks signatures shows whether anything was changed since; that the key is the school’s is shown by its fingerprint, which the school tells whoever asks: ${fingerprint}`,
  attached: 'What a machine reads of this record is attached to the file.',
};
