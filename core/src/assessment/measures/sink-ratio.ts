import { greatest } from './over-samples';
import { measure } from './measure';

/** Sink over the induced velocity of the hover. */
export const sinkRatio = measure({
  unit: 'ratio',
  label: 'Sink over hover wash',
  missReason: 'too-fast',
  of: greatest((cut, _, s) => -s.vz / cut.craft.inducedMps),
});
