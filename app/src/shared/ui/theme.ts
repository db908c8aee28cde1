import { Platform, StyleSheet, useColorScheme } from 'react-native';

/**
 * Read in sunlight: ink on ground is at least 7:1 for all text, and state shows by shape and word
 * before colour. The accent is for danger or for the one main action of a screen, never both.
 */
export interface Theme {
  readonly ground: string;
  /** Set-back areas: fields, chips, the rail. */
  readonly shade: string;
  readonly ink: string;
  /** Second-rank text, still 7:1. */
  readonly soft: string;
  readonly rule: string;
  readonly accent: string;
  readonly onAccent: string;
}

const LIGHT: Theme = {
  ground: '#F7F5EC',
  shade: '#E7E3D3',
  ink: '#101618',
  soft: '#383F42',
  rule: '#8A8B80',
  accent: '#8E2A00',
  onAccent: '#FFFFFF',
};
const DARK: Theme = {
  ground: '#0E1315',
  shade: '#222A2D',
  ink: '#F5F2E6',
  soft: '#C9CCC4',
  rule: '#7C8486',
  accent: '#FFB68A',
  onAccent: '#1A0B02',
};

export const useTheme = (): Theme => (useColorScheme() === 'dark' ? DARK : LIGHT);

/** What a browser calls its usual size of text, px: what is drawn at that many follows whatever it is set to. */
const USUAL_TEXT_PX = 16;
const SIZES = ['fontSize', 'lineHeight'] as const;

/** Sizes of text in units of the browser's own, so that who reads large there reads large here. */
function followingTheBrowser<T extends object>(styles: T): T {
  if (Platform.OS !== 'web') return styles;
  return Object.fromEntries(
    Object.entries(styles as Record<string, Record<string, unknown>>).map(([name, style]) => [
      name,
      {
        ...style,
        ...Object.fromEntries(
          SIZES.flatMap((size) => {
            const px = style[size];
            return typeof px === 'number' ? [[size, `${px / USUAL_TEXT_PX}rem`]] : [];
          }),
        ),
      },
    ]),
  ) as T;
}

/** Styles that depend on the theme, made once for each. */
export function themed<T extends StyleSheet.NamedStyles<T>>(
  make: (theme: Theme) => T & StyleSheet.NamedStyles<T>,
): () => T {
  const made = new Map<Theme, T>();
  return function useStyles() {
    const theme = useTheme();
    let styles = made.get(theme);
    if (!styles) {
      styles = StyleSheet.create(followingTheBrowser(make(theme)));
      made.set(theme, styles);
    }
    return styles;
  };
}

export const FONT = { plain: 'B612', bold: 'B612-Bold' } as const;

/** Least size of anything that is tapped, in px. */
export const TOUCH = 56;
/** From this width on there is room for the rail and a second column. */
export const WIDE = 960;
