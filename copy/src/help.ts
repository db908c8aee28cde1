import { GLOSSARY, type GlossaryId } from './en/glossary';
import { GUIDE, SCREEN_HELP } from './en/help';

export interface Term {
  readonly id: GlossaryId;
  readonly word: string;
  readonly means: string;
}

export interface HelpOfScreen {
  readonly says: readonly string[];
  readonly terms: readonly Term[];
}

const byWord = (a: Term, b: Term): number => a.word.localeCompare(b.word);

/** Every word of ours, in the order of the alphabet. */
export const glossary = (): readonly Term[] =>
  (Object.keys(GLOSSARY) as GlossaryId[]).map((id) => ({ id, ...GLOSSARY[id] })).sort(byWord);

export const guide = () => GUIDE;

/** Beginnings of addresses that have help of their own. */
export const addressesWithHelp = (): readonly string[] => Object.keys(SCREEN_HELP);

/** A key in an address tells nothing of what the screen is. */
const withoutKeys = (address: string): string =>
  address
    .split('/')
    .filter((part) => !/^[0-9a-f]{8}-/.test(part))
    .join('/') || '/';

/** What is said of the screen at an address: of the longest beginning that has help. */
export function helpOf(address: string): HelpOfScreen {
  const path = withoutKeys(address);
  const [found = '/'] = Object.keys(SCREEN_HELP)
    .filter((start) => start !== '/' && (path === start || path.startsWith(`${start}/`)))
    .sort((a, b) => b.length - a.length);
  const { says, terms } = SCREEN_HELP[found]!;
  return { says, terms: terms.map((id) => ({ id, ...GLOSSARY[id] })) };
}
