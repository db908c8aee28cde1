import { drillOf } from '@skelby/core/drills/drills';
import type { DrillId } from '@skelby/core/drills/drills';
import type { CauseId } from '@skelby/core/causes/causes';
import type { Pilot, Site, TodayList } from '@skelby/core/pages/pages';
import type { SessionFields } from '@skelby/core/schemas/session';
import { itemsFor } from './GoNoGo';

/** What a session asks before anybody flies, and what it refuses by itself. */

const pilot = { id: 'p', name: 'Tove', windLimitMps: 6 } as Pilot;
const site = (place: Site['place']) => ({ id: 's', name: 'Merrow', place, tallestM: 9 }) as Site;
const say = (value: number, unit: string) => `${value} ${unit}`;
const session = (drillId: DrillId) =>
  ({
    windMps: 2,
    lightUntil: null,
    packs: [{ pilotId: 'p', blocks: [{ pilotId: 'p', weaknessId: 'w', drillId }] }],
  }) as unknown as SessionFields;
const open = (id: string, causeId: CauseId) =>
  [{ id, pilotId: 'p', causeId, state: 'drilling' }] as unknown as TodayList['weaknesses'];
const refused = (drillId: DrillId, place: Site['place'], weaknesses: TodayList['weaknesses']) =>
  itemsFor(
    { content: session(drillId), pilots: [pilot], site: site(place), weaknesses },
    { say, drillOf },
  ).all.filter(({ known }) => known === false);

test('a drill at a place that an open weakness rules out is a no-go, with what would do instead', () => {
  const [no] = refused('tail-in-hover', 'trees', open('other', 'obstacle-thin'));
  expect(no?.words).toContain('among trees until cleared');
  expect(no?.instead).toContain('simulator');
  expect(refused('tail-in-hover', 'open', open('other', 'obstacle-thin'))).toEqual([]);
});

test('a drill that a restriction names is a no-go, but for the weakness that it mends', () => {
  expect(refused('portal-drop', 'open', open('other', 'gap-clip'))).toHaveLength(1);
  expect(refused('portal-drop', 'open', open('w', 'gap-clip'))).toEqual([]);
});
