/** Where a weakness stands on its way from opened to closed. */
export const WEAKNESS_STATES = [
  'open',
  'drilling',
  'ready-for-check',
  'watch',
  'closed',
  'withdrawn',
] as const;
export type WeaknessState = (typeof WEAKNESS_STATES)[number];

/** What clearing takes, in the order in which it is met. */
export const RUNGS = ['test', 'coverage', 'days', 'kept', 'signed'] as const;
export type RungId = (typeof RUNGS)[number];
