import { badField } from '../problem/problem';

const MS_PER_DAY = 86_400_000;

/** Phones' clocks differ and days begin elsewhere first; a whole day ahead is a mistake. */
export function assertNotFuture(field: string, instant: string): void {
  if (Date.parse(instant) > Date.now() + MS_PER_DAY)
    throw badField(field, "Time lies more than a day ahead: check the date and the phone's clock.");
}

export function assertDayNotFuture(day: string): void {
  if (Date.parse(`${day}T00:00:00Z`) > Date.now() + MS_PER_DAY)
    throw badField('day', 'Day lies ahead: give the day on which it was flown.');
}
