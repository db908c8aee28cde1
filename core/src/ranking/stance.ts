/** How far a ranking may be leaned on. */
export type Stance = 'not-known' | 'leaning' | 'likely';

const LEANING_FROM = 0.4;
/** From here on the first cause is called likely, once what is always asked was asked. */
export const LIKELY_FROM = 0.8;
/** Fewer answers than this are never enough to name a cause. */
const FEWEST_ANSWERS = 3;

/**
 * Nothing is called likely before what a good trainer always asks was asked.
 * @param top probability of the first cause
 * @param answers how many were told
 */
export function stanceOf(top: number, answers: number, askedEnough: boolean): Stance {
  if (answers < FEWEST_ANSWERS || top < LEANING_FROM) return 'not-known';
  return top >= LIKELY_FROM && askedEnough ? 'likely' : 'leaning';
}
