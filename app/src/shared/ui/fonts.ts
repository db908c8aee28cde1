import bold from '@fontsource/b612/files/b612-latin-700-normal.woff2';
import plain from '@fontsource/b612/files/b612-latin-400-normal.woff2';
import { useFonts } from 'expo-font';
import { FONT } from './theme';

/** B612 was drawn to be read at a glance in a cockpit. Text shows before they arrive. */
export const useOwnFonts = (): void => {
  useFonts({ [FONT.plain]: plain, [FONT.bold]: bold });
};
