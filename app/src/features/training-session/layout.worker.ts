import { said } from '@skelby/copy/say';
import { candidatesFor } from '@skelby/core/plan/layout/candidates';
import type { Conditions, PilotToday } from '@skelby/core/plan/layout/today';
import type { Means, PlannedBlock } from '@skelby/core/plan/layout/block';
import { layOut } from '@skelby/core/plan/layout/lay-out';
import { bookOf } from '@skelby/copy/drill-book';
import type { DrillVersion } from '@skelby/core/drills/school-book';
import type { Day } from '@skelby/core/vocabulary/day';

export interface ToLayOut {
  readonly pilots: readonly PilotToday[];
  readonly conditions: Conditions;
  readonly means: Means;
  readonly today: Day;
  /** The school's own words for drills. */
  readonly book: readonly DrillVersion[];
}

export function laidOut({ pilots, conditions, means, today, book }: ToLayOut) {
  const started = performance.now();
  const { drillOf } = bookOf(book);
  const { blocks, ...others } = candidatesFor(pilots, conditions, today, drillOf);
  const candidates = {
    ...others,
    blocks: blocks.map((block): PlannedBlock => ({ ...block, why: said(block.why, { drillOf }) })),
  };
  const layout = layOut(candidates.blocks, means);
  return { candidates, layout, ms: performance.now() - started };
}
export type LaidOut = ReturnType<typeof laidOut>;

self.onmessage = (event: MessageEvent<ToLayOut>) => self.postMessage(laidOut(event.data));
