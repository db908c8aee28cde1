import type { SentenceId } from './sentence-ids';

/** Something that stands in a sentence: a figure in SI units, an id, a word somebody typed, or another sentence. */
export type SaidFigure = string | number | null | Said | readonly (string | number | Said)[];

/** A sentence that a rule has decided on, and what stands in it. How it reads is copy, by locale. */
export interface Said {
  readonly say: SentenceId;
  readonly with?: Readonly<Record<string, SaidFigure>>;
}

export const sentence = (id: SentenceId, figures?: Said['with']): Said =>
  figures ? { say: id, with: figures } : { say: id };

/** A value that lies outside what a rule can work with, to be said to whoever gave it. */
export class OutOfLimits extends RangeError {
  constructor(readonly said: Said) {
    super(`${said.say} ${JSON.stringify(said.with ?? {})}`);
  }
}
