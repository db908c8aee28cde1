import { Note } from '../../shared/ui/Note';
import { plural } from '../../shared/copy/copy';
import { useOutbox } from '../outbox/use-outbox';

const MINUTES_PER_DAY = 1440;
const HOURS_FROM = 120;

const long = (minutes: number): string =>
  minutes >= MINUTES_PER_DAY - HOURS_FROM
    ? plural(Math.round(minutes / MINUTES_PER_DAY), 'day')
    : minutes >= HOURS_FROM
      ? plural(Math.round(minutes / 60), 'hour')
      : plural(Math.round(minutes), 'minute');

/** Says that this phone's clock is off, once the server has found it so. */
export function ClockNote() {
  const { clockAheadS } = useOutbox();
  if (clockAheadS === 0) return null;
  return (
    <Note
      icon="clock"
      heading="This phone's clock is wrong"
      live
    >{`It is ${long(Math.abs(clockAheadS) / 60)} ${clockAheadS > 0 ? 'ahead' : 'behind'}. Times were put right on the way; set the clock.`}</Note>
  );
}
