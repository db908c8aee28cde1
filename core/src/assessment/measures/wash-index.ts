import { greatest } from './over-samples';
import { airAtDiscs } from '../referee';
import { washIndex } from '../../reconstruct/turn-fold';
import { measure } from './measure';

/** Index of a turn into its own wash; see `washIndex`. */
export const washIndexOfTurn = measure({
  unit: 'ratio',
  label: 'Wash index',
  missReason: 'too-fast',
  of: greatest(({ craft }, _, s) => {
    const { throughMps, acrossMps, upright } = airAtDiscs(s);
    const spare = Math.max(0, 1 - 1 / (Math.max(0.2, upright) * craft.thrustToWeight));
    return washIndex(throughMps, acrossMps, craft.inducedMps, spare);
  }),
});
