import type { Sample } from '../flight-log/flight-log';
import { craftModel } from '../simulator/craft-model';
import { washTrouble } from '../assessment/referee';
import type { Trouble } from './trouble';

/** The line at which it was deepest in its own wash; the last where it never was. */
export function deepest(trouble: Trouble): { readonly s: Sample; readonly depth: number } {
  const craft = trouble.cut?.craft ?? craftModel(trouble.from.facts);
  return trouble.window.reduce(
    (best, s) => {
      const depth = washTrouble(craft, s);
      return depth > best.depth ? { s, depth } : best;
    },
    { s: trouble.last, depth: 0 },
  );
}

/** From here on it was in its own wash. */
export const IN_WASH = 0.4;
