import type { Cell } from '@skelby/core/clearance/check-round';
import type { ClearingRule } from '@skelby/core/clearance/clearing-rule';
import { watchWaits } from '@skelby/core/clearance/watch-waits';

export interface ToWait {
  readonly rule: ClearingRule;
  readonly cells: readonly Cell[];
}

self.onmessage = ({ data: { rule, cells } }: MessageEvent<ToWait>) =>
  self.postMessage(watchWaits(rule, cells));
