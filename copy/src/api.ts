import { API_WORDS, COMMAND_LINES, PAGE_LINES } from './en/api';

export type ReadAddress = keyof typeof PAGE_LINES;

/** What programs of a school are told of each address. */
export const apiWords = () => ({ ...API_WORDS, commands: COMMAND_LINES, pages: PAGE_LINES });
