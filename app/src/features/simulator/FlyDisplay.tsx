import { type CSSProperties, type ReactNode, type Ref } from 'react';
import { FONT, useTheme } from '../../shared/ui/theme';

/** How the parts of a flight lie: under each other, on a phone's side with the field between the thumbs, or over the field. */
type Lie = 'tall' | 'low' | 'whole';

interface FlyDisplayProps {
  readonly lie: Lie;
  readonly box: Ref<HTMLDivElement>;
  readonly stickPx: number;
  readonly says: ReactNode;
  readonly field: ReactNode;
  /** Figures, and what can be done while it flies. */
  readonly foot: ReactNode;
  readonly left: ReactNode;
  readonly right: ReactNode;
}

const GAP = 8;
/** Room for what is done in flight, between two sticks. */
const LEAST_FOOT_PX = 340;

const GRID: Readonly<Record<Exclude<Lie, 'whole'>, CSSProperties>> = {
  tall: {
    ...{ display: 'grid', gap: GAP, gridTemplateColumns: '1fr auto' },
    gridTemplateAreas: '"says says" "field field" "foot foot" "left right"',
  },
  low: {
    ...{
      display: 'grid',
      columnGap: 12,
      rowGap: 6,
      alignItems: 'end',
      gridTemplateColumns: 'auto minmax(0, 1fr) auto',
    },
    gridTemplateAreas: '"left says right" "left field right" "left foot right"',
  },
};
const WHOLE: CSSProperties = {
  ...{ position: 'fixed', inset: 0, display: 'block', width: '100vw', height: '100dvh' },
  ...{ maxWidth: 'none', maxHeight: 'none', margin: 0, padding: 0, border: 0, overflow: 'hidden' },
};

/** Where each part is while the field fills the display. */
function placesOver(
  stickPx: number,
  ground: string,
): Readonly<Record<'says' | 'field' | 'foot' | 'left' | 'right', CSSProperties>> {
  const stick: CSSProperties = { position: 'absolute', bottom: GAP, opacity: 0.86, zIndex: 1 };
  const between = `calc(100vw - ${2 * (stickPx + 2 * GAP)}px)`;
  return {
    says: {
      ...{
        position: 'absolute',
        top: GAP,
        left: GAP,
        zIndex: 1,
        maxWidth: 'min(640px, calc(100vw - 140px))',
      },
      ...{ padding: '2px 10px', backgroundColor: ground, opacity: 0.94 },
    },
    field: { position: 'absolute', inset: 0 },
    // Between the sticks where there is room, else above them.
    foot: {
      ...{ position: 'absolute', zIndex: 1, left: '50%', transform: 'translateX(-50%)' },
      width: `max(min(${between}, 760px), min(${LEAST_FOOT_PX}px, 100vw - ${2 * GAP}px))`,
      bottom: `clamp(${GAP}px, (${2 * (stickPx + 2 * GAP) + LEAST_FOOT_PX}px - 100vw) * 999, ${stickPx + 2 * GAP}px)`,
    },
    left: { ...stick, left: GAP },
    right: { ...stick, right: GAP },
  };
}

/** One tree for all three, so that nothing that draws begins anew when the display turns or is filled. */
export function FlyDisplay({ lie, box, stickPx, says, field, foot, left, right }: FlyDisplayProps) {
  const theme = useTheme();
  const over = lie === 'whole' ? placesOver(stickPx, theme.ground) : null;
  const at = (area: 'says' | 'field' | 'foot' | 'left' | 'right'): CSSProperties =>
    over ? over[area] : { gridArea: area, minWidth: 0 };
  return (
    <div
      ref={box}
      style={
        lie === 'whole'
          ? { ...WHOLE, backgroundColor: theme.ground, color: theme.ink, fontFamily: FONT.plain }
          : GRID[lie]
      }
    >
      <div style={at('says')}>{says}</div>
      <div style={at('field')}>{field}</div>
      <div style={at('foot')}>{foot}</div>
      <div style={at('left')}>{left}</div>
      <div style={at('right')}>{right}</div>
    </div>
  );
}
