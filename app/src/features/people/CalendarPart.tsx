import { useCalendarActs, useOwnCalendar } from '../../offline/people-queries';
import { useWho } from '../../shared/api/use-who';
import { sayTime } from '../../shared/copy/dates';
import { Button } from '../../shared/ui/Button';
import { LinkToPassOn } from '../../shared/ui/LinkToPassOn';
import { Part } from '../../shared/ui/Screen';
import { Words } from '../../shared/ui/Words';

/** The link by which one's own calendar program reads sessions and checks. */
export function CalendarPart() {
  const isPilot = useWho()?.role === 'pilot';
  const own = useOwnCalendar();
  const { make, end } = useCalendarActs();
  if (!own.data) return null;
  const { madeAt, lastUsedAt } = own.data;
  const failed = make.error ?? end.error;
  return (
    <Part heading="Calendar">
      <Words>
        {isPilot
          ? 'Your training days in the calendar you look at anyway. It says “Training” and the day, nothing else.'
          : 'Your sessions and the checks of your pilots in the calendar you look at anyway, with names: whoever has the link reads them.'}
      </Words>
      {madeAt ? (
        <Words as="soft">
          {`Link of ${sayTime(madeAt)}, ${lastUsedAt ? `last read ${sayTime(lastUsedAt)}` : 'not read yet'}.`}
        </Words>
      ) : null}
      {failed ? <Words as="strong" role="alert">{`! ${failed.message}`}</Words> : null}
      {make.data && madeAt ? (
        <LinkToPassOn
          address={`${window.location.origin}/api/calendar/${make.data.token}.ics`}
          title="Training calendar"
          lasts="Shown only now. In your calendar program choose “subscribe by address” and put it there."
        />
      ) : null}
      <Button
        icon="calendar"
        label={make.isPending ? 'One moment …' : madeAt ? 'Make a new link; the old one ends' : 'Make a link'}
        disabled={make.isPending}
        onPress={() => make.mutate()}
      />
      {madeAt ? <Button label="End the link" disabled={end.isPending} onPress={() => end.mutate()} /> : null}
    </Part>
  );
}
