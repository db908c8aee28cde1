import { inSchool, type SchoolTx } from '../db/in-school';
import { type Lanes, openLanes } from '../db/lanes';
import { CRAFT, id, occurrence, PILOT, rep, SITE } from '../testing/test-school';
import { recordEvent } from '../facts/events';
import { ownSchool } from '../testing/own-school';
import { prefetchPage } from './prefetch';

/** What a phone takes along: the same as each page by itself, and no dearer for a school with many pilots. */

const own = ownSchool();
let lanes: Lanes;
beforeAll(() => {
  lanes = openLanes(own.here.server.appUrl);
});
afterAll(() => lanes.close());

/** A pilot with a confirmed weakness, a few reps of it, and an occurrence nobody has debriefed. */
async function pilotWithAll(n: number): Promise<void> {
  const { trainer } = own.here;
  const [pilotId, first, second, weaknessId] = [id(), id(), id(), id()];
  await trainer.put(`/pilots/${pilotId}`, { ...PILOT, name: `Pilot ${n}` });
  await trainer.put(`/occurrences/${first}`, occurrence(pilotId));
  await trainer.put(`/occurrences/${second}`, occurrence(pilotId, { note: 'Not yet looked at.' }));
  await trainer.put(`/occurrences/${first}/confirmation`, {
    causeId: n % 2 === 0 ? 'obstacle-overrun' : 'orientation-nose-in',
    weaknessId,
    moveId: id(),
    planId: id(),
    at: new Date().toISOString(),
  });
}

async function prefetched(): Promise<{
  readonly page: Awaited<ReturnType<typeof prefetchPage>>;
  statements: number;
}> {
  let statements = 0;
  const count = () => {
    statements += 1;
  };
  lanes.ahead.on('query', count);
  const { schoolId } = own.here;
  const page = await inSchool(lanes.ahead, { schoolId, accountId: null }, (school) =>
    prefetchPage(school, true),
  );
  lanes.ahead.off('query', count);
  return { page, statements };
}

test('as many statements for forty pilots as for one, and each page as its own address has it', async () => {
  await pilotWithAll(0);
  const one = await prefetched();
  for (let n = 1; n < 40; n += 1) await pilotWithAll(n);
  const many = await prefetched();
  expect(Object.keys(many.page.weakness)).toHaveLength(40);
  expect(many.statements).toBe(one.statements);
  expect(many.statements).toBeLessThanOrEqual(15);
  const asSent = JSON.parse(JSON.stringify(many.page)) as Record<
    'weakness' | 'occurrence' | 'debrief' | 'pilot',
    Record<string, unknown>
  >;
  const addresses = [
    ['weakness', (key: string) => `/weaknesses/${key}`],
    ['occurrence', (key: string) => `/occurrences/${key}`],
    ['debrief', (key: string) => `/occurrences/${key}/debrief`],
    ['pilot', (key: string) => `/pilots/${key}`],
  ] as const;
  for (const [kind, address] of addresses) {
    const keys = Object.keys(asSent[kind]);
    expect(keys).toHaveLength(40);
    for (const key of keys.slice(0, 5)) {
      const { status, body } = await own.here.trainer.get(address(key));
      expect([kind, status, body]).toEqual([kind, 200, asSent[kind][key]]);
    }
  }
}, 60_000);

describe('a phone that is up to date', () => {
  const carried = async (since?: string) =>
    (
      await own.here.trainer.get<{ version: string; same?: true; roster?: object }>(
        `/carry${since ? `?since=${since}` : ''}`,
      )
    ).body;

  test('costs one small answer, and is given all again after any change that a page could show', async () => {
    const { trainer } = own.here;
    const [pilotId, occurrenceId, weaknessId, planId] = [id(), id(), id(), id()];
    const changes: readonly (readonly [path: string, body: object])[] = [
      [`/pilots/${pilotId}`, PILOT],
      [`/occurrences/${occurrenceId}`, occurrence(pilotId)],
      [
        `/occurrences/${occurrenceId}/confirmation`,
        { causeId: 'overcontrol', weaknessId, moveId: id(), planId, at: new Date().toISOString() },
      ],
      [`/reps/${id()}`, rep(weaknessId, { lateReason: 'From a notebook.' })],
      [
        `/occurrences/${occurrenceId}/confirmation/taken-back`,
        { moveId: id(), at: new Date().toISOString(), reason: 'Another one.' },
      ],
      [`/occurrences/${occurrenceId}/withdrawn`, { reason: 'Entered twice.' }],
      [`/craft/${id()}`, CRAFT],
      [`/sites/${id()}`, SITE],
      ['/school/units', { speed: 'km/h', length: 'm' }],
    ];
    let { version } = await carried();
    for (const [path, body] of changes) {
      const same = await carried(version);
      expect(same).toEqual({ version, same: true });
      expect([path, (await trainer.put(path, body)).status]).toEqual([path, 200]);
      const after = await carried(version);
      expect([path, after.same, after.version === version]).toEqual([path, undefined, false]);
      expect(after.roster).toBeDefined();
      version = after.version;
    }
    // Signing in and reading change no page.
    await own.here.server.visitor().signIn(own.here.email);
    expect((await carried(version)).same).toBe(true);
  });

  test('does not miss a change that began before the newest one and was committed after it', async () => {
    const { schoolId } = own.here;
    let go = () => {};
    const wait = new Promise<void>((resolve) => {
      go = resolve;
    });
    const event = (school: SchoolTx) =>
      recordEvent(school, { action: 'changed', subject: 'pilot', subjectId: id() });
    const who = { schoolId, accountId: null };
    let begun = () => {};
    const hasBegun = new Promise<void>((resolve) => {
      begun = resolve;
    });
    const slow = inSchool(lanes.asked, who, async (school) => {
      await event(school);
      begun();
      await wait;
    });
    await hasBegun;
    await inSchool(lanes.asked, who, event);
    const { version } = await carried();
    go();
    await slow;
    expect((await carried(version)).same).toBeUndefined();
  });
});
