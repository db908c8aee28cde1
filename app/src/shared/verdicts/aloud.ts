/** What stands on a screen as it is read aloud: sentence by sentence, without the signs between. */
export const aloud = (...words: readonly (string | null | undefined)[]): string =>
  words
    .filter((each) => typeof each === 'string' && each !== '')
    .map((each) => each!.replaceAll(' · ', ', ').replace(/[.:]?$/, '.'))
    .join(' ');

/** "3 of 6, 2 met." */
export const flownAloud = (reps: readonly { readonly met: boolean }[], of: number | null = null): string =>
  `${reps.length}${of === null ? '' : ` of ${of}`} flown, ${reps.filter(({ met }) => met).length} met.`;
