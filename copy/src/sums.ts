import { FIGURE_NAMES, SUM_WORDS, type SumWords } from './en/sums';

/** @throws RangeError when there is no such sum */
export function sumWords(id: string): SumWords {
  const words = SUM_WORDS[id];
  if (!words) throw new RangeError(`There is no sum "${id}".`);
  return words;
}

export const figureWords = (id: string): string => FIGURE_NAMES[id] ?? id;
