import type { Pilot, Roster, Trainer } from '../pages/pages';

/**
 * Who trains a pilot now, by name; none: every trainer of the school. Whoever was named and does not train here any more
 * counts for nobody, so that no pilot is left to somebody who has gone.
 */
export function trainedNowBy(
  { trainerIds = [] }: Pick<Pilot, 'trainerIds'>,
  { trainers = [] }: Pick<Roster, 'trainers'>,
): readonly Trainer[] {
  return trainers.filter(({ id }) => trainerIds.includes(id));
}
