import { overshoot } from './overshoot';
import { miss } from './miss';
import { measure } from './measure';

/** A stop missed its mark by: past it, or short of it. */
export const stopMiss = measure({
  unit: 'm',
  label: 'Missed the mark by',
  missReason: 'off-the-mark',
  of: (cut) => {
    const [past, short] = [overshoot.of(cut), miss.of(cut)];
    return past && short && (past.value > short.value ? past : short);
  },
});
