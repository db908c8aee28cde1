/**
 * What a school's own confirmed occurrences add to the starting pseudo-counts: how often each cause was
 * confirmed, and
 * which answers and signs came with it.
 */
export interface Experience {
  readonly causes: Readonly<Record<string, number>>;
  /** By cause, question and value. */
  readonly answers: Readonly<Record<string, Readonly<Record<string, Readonly<Record<string, number>>>>>>;
  /** By cause and sign: how often it held, and how often one could tell; what is nought is left out. */
  readonly signs: Readonly<
    Record<string, Readonly<Record<string, { readonly held?: number; readonly told?: number }>>>
  >;
}

export const NO_EXPERIENCE: Experience = { causes: {}, answers: {}, signs: {} };
