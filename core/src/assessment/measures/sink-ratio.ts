import { greatest } from './over-samples';
import { measure } from './measure';

/** Sink over the induced velocity of the hover. */
export const sinkRatio = measure({
  unit: 'ratio',
  label: 'Sink over hover wash',
  missReason: 'too-fast',
  of: greatest((segment, _, s) => -s.vz / segment.craft.inducedMps),
});
