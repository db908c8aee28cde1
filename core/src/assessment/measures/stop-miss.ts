import { overshoot } from './overshoot';
import { miss } from './miss';
import { measure } from './measure';

/** A stop missed its mark by: past it, or short of it. */
export const stopMiss = measure({
  unit: 'm',
  label: 'Missed the mark by',
  missReason: 'off-the-mark',
  of: (segment) => {
    const [past, short] = [overshoot.of(segment), miss.of(segment)];
    return past && short && (past.value > short.value ? past : short);
  },
});
