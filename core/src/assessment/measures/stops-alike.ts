import { stoppedIn } from './stopped-in';
import { comparison } from './measure';

/** How far the second stop was from the first, as a share. */
export const stopsAlike = comparison({
  unit: '%',
  label: 'Second stop against the card',
  missReason: 'too-late',
  of: (segments) => {
    const [first, second] = segments.map((segment) => stoppedIn.of(segment));
    return first && second
      ? { value: Math.abs(second.value - first.value) / Math.max(0.5, first.value), atS: second.atS }
      : null;
  },
});
