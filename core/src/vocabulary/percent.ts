/** A share, 0 to 1, as per cent in words, with a space that does not break. */
export const percent = (share: number, digits = 0): string => `${(100 * share).toFixed(digits)}\u00a0%`;

/** The same of a chance: what is not nought never reads as nought. */
export const percentChance = (chance: number): string =>
  chance > 0 && chance < 0.005 ? '<1\u00a0%' : percent(chance);
