/**
 * A table program would run a text that begins like this: it is kept back by an apostrophe, and taken off again on
 * reading.
 */
const FORMULA = /^'*[=+\-@\t\r]/;

export const guarded = (text: string): string => (FORMULA.test(text) ? `'${text}` : text);
export const unguarded = (text: string): string =>
  text.startsWith("'") && FORMULA.test(text) ? text.slice(1) : text;
