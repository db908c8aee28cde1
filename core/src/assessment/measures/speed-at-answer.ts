import { atEnd } from './over-samples';
import { holdsHeight } from '../segment';
import { speedOver } from '../referee';
import { measure } from './measure';

/** Speed over the ground at the end of the part, where position is held. */
export const speedAtAnswer = measure({
  unit: 'm/s',
  label: 'Speed when answering',
  missReason: 'too-fast',
  of: atEnd((_, s) => (holdsHeight(s) && s.mode === 3 ? speedOver(s) : 0)),
});
