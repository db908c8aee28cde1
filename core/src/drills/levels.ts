import type { Level } from '../vocabulary/training';
import type { Drill } from './drill';

/** Width of the opening at a level, in spans of the craft; null where the drill has none. */
export function widthAt({ widthsSpans }: Drill, level: Level): number | null {
  if (!widthsSpans) return null;
  return widthsSpans[Math.max(0, widthsSpans.length - 1 + Math.min(0, level))]!;
}
