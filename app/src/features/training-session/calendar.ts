import { blockWords } from '../../shared/copy/block-copy';
import type { FindWordedDrill } from '@skelby/copy/drill-book';
import type { Pack } from '@skelby/core/plan/layout/block';
import { minutesOf } from '@skelby/core/plan/layout/sequence';
import type { SessionFields } from '@skelby/core/schemas/session';
import { createEvent } from 'ics';

export interface CalendarWords {
  readonly findDrill: FindWordedDrill;
  readonly pilotName: (pilotId: string) => string;
  readonly siteName: string | null;
}

/**
 * The session as an iCalendar file (RFC 5545), in the time of the place where it is flown.
 * @throws Error when the calendar package refuses a value
 */
export function calendarOf(
  id: string,
  session: Pick<SessionFields, 'day' | 'startsAt' | 'packMinutes'>,
  packs: readonly Pick<Pack, 'pilotId' | 'blocks' | 'restBefore'>[],
  { pilotName, siteName, findDrill }: CalendarWords,
): string {
  const [year, month, day] = session.day.split('-').map(Number) as [number, number, number];
  const [hour, minute] = session.startsAt.split(':').map(Number) as [number, number];
  const names = [...new Set(packs.map((pack) => pilotName(pack.pilotId)))];
  const minutes = Math.max(
    1,
    Math.ceil(minutesOf({ order: packs.map(() => 0), rests: packs.map((pack) => pack.restBefore) }, session)),
  );
  const { error, value } = createEvent({
    uid: `${id}@skelby`,
    productId: 'skelby/ics',
    start: [year, month, day, hour, minute],
    startInputType: 'local',
    startOutputType: 'local',
    duration: { hours: Math.floor(minutes / 60), minutes: minutes % 60 },
    title: `Flying: ${names.join(', ')}`,
    ...(siteName ? { location: siteName } : {}),
    description: packs
      .map(
        (pack, i) =>
          `${pack.restBefore ? 'Rest. ' : ''}Pack ${i + 1}, ${pilotName(pack.pilotId)}: ${pack.blocks.map((block) => `${blockWords(block, findDrill)} (${block.purpose})`).join(', ')}`,
      )
      .join('\n'),
    busyStatus: 'BUSY',
  });
  if (error || !value) throw error ?? new Error('The calendar file is empty.');
  return value;
}
