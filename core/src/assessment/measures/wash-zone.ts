import { greatest } from './over-samples';
import { washTrouble } from '../referee';
import { measure } from './measure';

/** How deep in the vortex ring state, 0 to 1. */
export const washZone = measure({
  unit: 'ratio',
  label: 'In its own wash',
  missReason: 'too-fast',
  of: greatest((segment, _, s) => washTrouble(segment.craft, s)),
});
