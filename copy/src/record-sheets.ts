import { RECORD_SHEET_WORDS } from './en/record-sheets';

/** What stands on the sheets of a record that leaves the school. */
export const recordSheetWords = () => RECORD_SHEET_WORDS;
