import type { ReactNode, RefObject } from 'react';
import { Text, type TextProps } from 'react-native';
import { FONT, themed } from './theme';

/** About 75 signs: longer lines lose the eye. */
const LINE = 640;

const useStyles = themed((theme) => ({
  title: { fontFamily: FONT.bold, fontSize: 27, lineHeight: 33, color: theme.ink },
  heading: { fontFamily: FONT.bold, fontSize: 20, lineHeight: 27, color: theme.ink },
  large: { fontFamily: FONT.bold, fontSize: 24, lineHeight: 30, color: theme.ink },
  body: { fontFamily: FONT.plain, fontSize: 17, lineHeight: 25, color: theme.ink, maxWidth: LINE },
  strong: { fontFamily: FONT.bold, fontSize: 17, lineHeight: 25, color: theme.ink },
  soft: { fontFamily: FONT.plain, fontSize: 16, lineHeight: 23, color: theme.soft, maxWidth: LINE },
  figure: {
    fontFamily: FONT.bold,
    fontVariant: ['tabular-nums'],
    fontSize: 17,
    lineHeight: 25,
    color: theme.ink,
  },
}));

/** Said to whoever listens, and not shown: whoever looks sees it otherwise. */
export const UNSEEN = { position: 'absolute', width: 1, height: 1, overflow: 'hidden' } as const;

interface WordsProps extends TextProps {
  readonly as?: 'title' | 'heading' | 'large' | 'body' | 'strong' | 'soft' | 'figure';
  readonly children: ReactNode;
  /** Takes what can be given the focus, though no key leads to it. */
  readonly focus?: RefObject<HTMLElement | null>;
}

const LEVEL = { title: 1, heading: 2 } as const;

export function Words({ as = 'body', style, focus, ...props }: WordsProps) {
  const styles = useStyles();
  const heading =
    as === 'title' || as === 'heading' ? { role: 'heading' as const, 'aria-level': LEVEL[as] } : {};
  const given = focus ? { ref: focus as unknown as RefObject<Text>, tabIndex: -1 as const } : {};
  return <Text {...heading} {...given} {...props} style={[styles[as], style]} />;
}
