import { calendarWords } from '@skelby/copy/calendar';
import { causeWords } from '@skelby/copy/causes';
import type { CauseId } from '@skelby/core/causes/causes';
import { addDays, type Day } from '@skelby/core/vocabulary/day';
import type { SessionFields } from '@skelby/core/schemas/session';
import { createEvents, type EventAttributes } from 'ics';
import type { SchoolTx } from '../db/in-school';
import { rowsOf } from '../db/rows-of';

/** So many days back, and a year ahead: a calendar keeps what it was told before. */
const [DAYS_BACK, DAYS_AHEAD] = [30, 366];

/** Whose calendar it is. */
export interface CalendarOwner {
  readonly accountId: string;
  /** Of a pilot's own; null: a trainer's. */
  readonly pilotId: string | null;
}

interface PlannedRow {
  readonly id: string;
  readonly content: SessionFields;
  readonly siteName: string | null;
  readonly names: readonly string[];
}

const dateOf = (day: Day) => day.split('-').map(Number) as [number, number, number];
const wholeDay = (day: Day) => ({ start: dateOf(day), end: dateOf(addDays(day, 1)) });
const common = (id: string) => ({
  uid: `${id}@skelby`,
  productId: 'skelby/ics',
  calName: calendarWords().name,
});

const PLANNED = `
  select s.id, s.content, p.name as site_name,
      array(select distinct n.name from pilots n where n.forgotten_at is null and n.id in (
        select (pack ->> 'pilotId')::uuid from jsonb_array_elements(s.content -> 'packs') pack) order by n.name) as names
    from training_sessions s left join sites p on p.id = (s.content ->> 'siteId')::uuid
   where s.day between current_date - :back::int and current_date + :ahead::int and `;
const OF_TRAINER = 's.account_id = :accountId';
const OF_PILOT = `exists (select 1 from jsonb_array_elements(s.content -> 'packs') pack
  where pack ->> 'pilotId' = :pilotId)`;

/** A trainer's session with hour, place and who flies; where nobody said how long, only when it begins. */
function sessionEvent({ id, content, siteName, names }: PlannedRow, origin: string): EventAttributes {
  const { day, startsAt, minutes } = content;
  const [hour, minute] = startsAt.split(':').map(Number) as [number, number];
  return {
    ...common(id),
    start: [...dateOf(day), hour, minute],
    // The hour of the place where it is flown, wherever it is read.
    startInputType: 'local',
    startOutputType: 'local',
    duration: minutes === null ? {} : { minutes },
    title: calendarWords().session(names.join(', ')),
    description: `${origin}/session/${id}`,
    ...(siteName ? { location: siteName } : {}),
  };
}

interface CheckRow {
  readonly id: string;
  readonly day: Day;
  readonly causeId: CauseId;
  readonly name: string;
}

/** Checks of those whom the trainer trains: all, where a pilot has no trainer of their own. What waits stands under today. */
const CHECKS = `
  select w.id, to_char(greatest(w.check_from, current_date), 'YYYY-MM-DD') as day, w.cause_id, p.name
    from weaknesses w join pilots p on p.school_id = w.school_id and p.id = w.pilot_id
   where w.state = 'watch' and w.check_from is not null and p.forgotten_at is null
     and (p.trainer_ids = '{}' or :accountId::uuid = any(p.trainer_ids))`;

/**
 * Sessions and checks as an iCalendar file (RFC 5545). A pilot's says the day and “Training”, and nothing else.
 * @throws Error when the calendar package refuses a value
 */
export async function calendarPage(
  { tx }: SchoolTx,
  { accountId, pilotId }: CalendarOwner,
  origin: string,
): Promise<string> {
  const span = { back: DAYS_BACK, ahead: DAYS_AHEAD };
  const [planned, checks] = await Promise.all([
    pilotId === null
      ? rowsOf<PlannedRow>(tx, tx.raw(`${PLANNED}${OF_TRAINER}`, { ...span, accountId }))
      : rowsOf<PlannedRow>(tx, tx.raw(`${PLANNED}${OF_PILOT}`, { ...span, pilotId })),
    pilotId === null ? rowsOf<CheckRow>(tx, tx.raw(CHECKS, { accountId })) : [],
  ]);
  const events: EventAttributes[] =
    pilotId === null
      ? [
          ...planned.map((each) => sessionEvent(each, origin)),
          ...checks.map(({ id, day, causeId, name }) => ({
            ...common(id),
            ...wholeDay(day),
            title: calendarWords().check(name, causeWords(causeId).name),
            description: `${origin}/weakness/${id}`,
          })),
        ]
      : // Not even whether it was moved by an hour.
        planned.map(({ id, content }) => ({
          ...common(id),
          ...wholeDay(content.day),
          title: calendarWords().pilots,
        }));
  const { error, value } = createEvents(events, { productId: 'skelby/ics', calName: calendarWords().name });
  if (error || !value) throw error ?? new Error('The calendar file is empty.');
  return value;
}
