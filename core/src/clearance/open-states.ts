import type { WeaknessState } from './rungs';

/** States in which a weakness restricts its pilot, until it is signed. */
export const OPEN_STATES = [
  'open',
  'drilling',
  'ready-for-check',
] as const satisfies readonly WeaknessState[];

/** States in which drills are flown for it: open, or kept an eye on after it was signed. */
export const TRAINED_STATES = [...OPEN_STATES, 'watch'] as const satisfies readonly WeaknessState[];

export const isOpen = (state: WeaknessState): boolean =>
  (OPEN_STATES as readonly WeaknessState[]).includes(state);

/** Whether a weakness restricts its pilot: while it is open, and on watch after a check that failed. */
export const restricts = ({
  state,
  limited,
}: {
  readonly state: WeaknessState;
  readonly limited?: boolean;
}): boolean => isOpen(state) || (state === 'watch' && limited === true);

export const isTrained = (state: WeaknessState): boolean =>
  (TRAINED_STATES as readonly WeaknessState[]).includes(state);
