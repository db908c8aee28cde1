import { wordedDrill } from '@skelby/copy/drills';
import type { DrillId } from '@skelby/core/drills/drills';
import type { CauseId } from '@skelby/core/causes/causes';
import type { Roster, Site, TodayList } from '@skelby/core/pages/pages';
import type { SessionFields } from '@skelby/core/schemas/session';
import { MOST_LOOKED_AT } from '@skelby/core/schemas/session';
import { CAUSES } from '@skelby/core/causes/causes';
import { USUAL_CRAFT } from '@skelby/core/vocabulary/craft-facts';
import { MOST_PILOTS } from './use-plan-session';
import { nearChecks, preFlightChecks, sessionChecks } from './session-checks';

/** What a session asks before anybody flies, and what it refuses by itself. */

const roster = {
  pilots: [{ id: 'p', name: 'Tove', mode: 'position-hold', windLimitMps: 6, lastCraftId: null }],
  craft: [],
} as unknown as Roster;
const site = (place: Site['place']) => ({ id: 's', name: 'Merrow', place, tallestM: 9 }) as Site;
const session = (drillId: DrillId) =>
  ({
    windMps: 2,
    lightUntil: null,
    packs: [{ pilotId: 'p', blocks: [{ pilotId: 'p', weaknessId: 'w', drillId }] }],
  }) as unknown as SessionFields;
const open = (id: string, causeId: CauseId) =>
  [{ id, pilotId: 'p', causeId, state: 'drilling' }] as unknown as TodayList['weaknesses'];
const refused = (drillId: DrillId, place: Site['place'], weaknesses: TodayList['weaknesses']) =>
  sessionChecks({ content: session(drillId), roster, site: site(place), weaknesses }, wordedDrill).filter(
    ({ go }) => go === false,
  );

test('a drill at a place that an open weakness rules out is a no-go, with what would do instead', () => {
  const [no] = refused('tail-in-hover', 'trees', open('other', 'obstacle-thin'));
  expect(no?.words).toContain('among trees until cleared');
  expect(no?.remedy).toContain('simulator');
  expect(refused('tail-in-hover', 'open', open('other', 'obstacle-thin'))).toEqual([]);
});

test('a drill that a restriction names is a no-go, but for the weakness that it mends', () => {
  expect(refused('portal-drop', 'open', open('other', 'gap-clip'))).toHaveLength(1);
  expect(refused('portal-drop', 'open', open('w', 'gap-clip'))).toEqual([]);
});

test('a drill that is flown high is judged by the air and the people there', () => {
  const wordsAt = (drillId: DrillId) =>
    sessionChecks({ content: session(drillId), roster, site: site('open'), weaknesses: [] }, wordedDrill)
      .map(({ words }) => words)
      .join('\n');
  expect(wordsAt('tail-in-hover')).toContain('at {m:5}');
  expect(wordsAt('safe-posture')).toContain('at {m:45}');
  expect(wordsAt('safe-posture')).toContain('within {m:45}');
});

test('on watch after a check that failed, the restriction is back', () => {
  const limited = [
    { id: 'other', pilotId: 'p', causeId: 'gap-clip', state: 'watch', limited: true },
  ] as unknown as TodayList['weaknesses'];
  expect(refused('portal-drop', 'open', limited)).toHaveLength(1);
});

test('under a roof of which nobody told how high it is nothing goes, and a craft that cannot hold never returns', () => {
  expect(refused('tail-in-hover', 'indoors', []).map(({ id }) => id)).toEqual(['roof p', 'hold p']);
  const manual = { ...roster, pilots: [{ ...roster.pilots[0]!, mode: 'self-level' as const }] };
  const [link] = sessionChecks(
    { content: session('tail-in-hover'), roster: manual, site: site('open'), weaknesses: [] },
    wordedDrill,
  ).filter(({ id }) => id.startsWith('lost-link'));
  expect(link?.words).toContain('come down where it is');
});

test('everything that the largest session looks at fits its record: every pilot on a craft of their own, four weaknesses each', () => {
  const ids = Array.from({ length: MOST_PILOTS }, (_, i) => `p${i}`);
  const many = {
    pilots: ids.map((id) => ({ ...roster.pilots[0]!, id, name: id, lastCraftId: `craft of ${id}` })),
    craft: ids.map((id) => ({ ...USUAL_CRAFT, id: `craft of ${id}`, name: id })),
  } as unknown as Roster;
  const content = {
    ...session('tail-in-hover'),
    packs: ids.map((pilotId) => ({
      pilotId,
      blocks: [{ pilotId, weaknessId: 'w', drillId: 'gap-ladder' }],
    })),
  } as unknown as SessionFields;
  // Whichever causes are open, by turns.
  for (let from = 0; from < CAUSES.length; from += 4) {
    const weaknesses = ids.flatMap((pilotId) =>
      CAUSES.slice(from, from + 4).map(({ id }) => ({ id, pilotId, causeId: id, state: 'drilling' })),
    ) as unknown as TodayList['weaknesses'];
    const flying = { content, roster: many, site: site('indoors'), weaknesses };
    const all = [
      ...sessionChecks(flying, wordedDrill),
      ...nearChecks(flying, wordedDrill),
      ...preFlightChecks(flying),
    ];
    expect(new Set(all.map(({ id }) => id)).size).toBe(all.length);
    expect(all.length).toBeLessThanOrEqual(MOST_LOOKED_AT);
  }
});

test('two craft have a list each, and what is looked at around is asked once', () => {
  const two = {
    pilots: ['p', 'q'].map((id) => ({ ...roster.pilots[0]!, id, name: id, lastCraftId: `craft of ${id}` })),
    craft: ['p', 'q'].map((id) => ({ ...USUAL_CRAFT, id: `craft of ${id}`, name: id })),
  } as unknown as Roster;
  const both = session('tail-in-hover');
  const content = { ...both, packs: [...both.packs, { ...both.packs[0]!, pilotId: 'q' }] } as SessionFields;
  const ids = preFlightChecks({ content, roster: two, site: site('open'), weaknesses: [] }).map(
    ({ id }) => id,
  );
  expect(ids.filter((id) => id.startsWith('pre-flight rotors'))).toHaveLength(2);
  expect(ids.filter((id) => id === 'place allowed')).toHaveLength(1);
});
