/** Words that somebody looks for, and texts that hold them: without case, accents and what stands between words. */

/** Longer ones are no question, and more words narrow nothing down any more. */
export const SOUGHT_SIGNS = 100;
const SOUGHT_WORDS = 8;

const ACCENTS = /\p{M}/gu;
const plain = (text: string): string => text.normalize('NFD').replace(ACCENTS, '').toLowerCase();
const NOT_A_WORD = /[^\p{L}\p{N}]+/u;

/** Words of what was typed, in its order, each once. */
export const wordsSought = (typed: string): readonly string[] =>
  [
    ...new Set(
      plain(typed.slice(0, SOUGHT_SIGNS))
        .split(NOT_A_WORD)
        .filter((word) => word !== ''),
    ),
  ].slice(0, SOUGHT_WORDS);

/** Whether each word begins a word of the text; of no words nothing is found. */
export function holdsWords(text: string, words: readonly string[]): boolean {
  const there = plain(text).split(NOT_A_WORD);
  return words.length > 0 && words.every((word) => there.some((each) => each.startsWith(word)));
}

/** Around the first word that is found, as many signs as asked for, cut between words; all of a shorter text. */
export function excerptAround(text: string, words: readonly string[], signs: number): string {
  if (text.length <= signs) return text;
  const parts = text.split(/(?<=\s)/);
  const found = parts.findIndex((part) => words.some((word) => holdsWords(part, [word])));
  const begins = Math.max(0, found);
  let [from, to] = [begins, begins + 1];
  const fits = (first: number, last: number) =>
    first >= 0 && last <= parts.length && parts.slice(first, last).join('').length <= signs;
  for (let grew = true; grew;) {
    grew = false;
    if (fits(from, to + 1)) [to, grew] = [to + 1, true];
    if (fits(from - 1, to)) [from, grew] = [from - 1, true];
  }
  // One word that is longer than all of it is cut.
  const cut = parts.slice(from, to).join('').slice(0, signs).trim();
  return `${from > 0 ? '… ' : ''}${cut}${to < parts.length ? ' …' : ''}`;
}
