import fc from 'fast-check';
import { depthOf } from '../../drills/prerequisites';
import type { Block, Means } from './block';
import { judge } from './judge';
import { layOut, WEIGHED_PER_PILOT } from './lay-out';
import { minutesOf, sequence } from './sequence';

const block = (id: string, more: Partial<Block> = {}): Block => ({
  id,
  pilotId: 'p0',
  weaknessId: 'w',
  causeId: 'overcontrol',
  drillId: 'tail-in-hover',
  side: null,
  purpose: 'practice',
  level: 0,
  reps: 6,
  minutes: 4,
  gain: 1,
  isNew: false,
  after: [],
  apartFrom: null,
  ...more,
});
const means = (more: Partial<Means> = {}): Means => ({ packs: 4, packMinutes: 8, minutes: null, ...more });
const idsOf = (layout: ReturnType<typeof layOut>) =>
  layout.packs.map((pack) => pack.blocks.map((each) => each.id));

/**
 * The best gain by trying every pilot on every pack and every block on every pack or none, with every rule
 * written out again:
 * the separate way that the exact method is held to.
 */
function bruteForce(
  blocks: readonly Block[],
  { packs, packMinutes, minutes }: Means,
): { readonly flying: number; readonly gain: number } {
  const pilots = [...new Set(blocks.map((each) => each.pilotId))];
  let best = { flying: 0, gain: 0 };
  const tryOut = (where: readonly number[]): void => {
    if (where.length < blocks.length) {
      for (let pack = -1; pack < packs; pack += 1) tryOut([...where, pack]);
      return;
    }
    const on = Array.from({ length: packs }, (_, pack) => blocks.filter((_each, b) => where[b] === pack));
    if (on.some((own) => new Set(own.map((each) => each.pilotId)).size > 1)) return;
    if (on.some((own) => own.reduce((sum, each) => sum + each.minutes, 0) > packMinutes)) return;
    if (
      on.some((own) =>
        own.some((a, i) =>
          own
            .slice(i + 1)
            .some(
              (b) =>
                a.drillId === b.drillId &&
                !(a.purpose !== 'practice' && b.purpose !== 'practice' && a.side !== b.side),
            ),
        ),
      )
    )
      return;
    const used = on.filter((own) => own.length > 0);
    const perPilot = pilots.map((pilot) => used.filter((own) => own[0]!.pilotId === pilot).length);
    if (perPilot.some((count) => count > 4)) return;
    if (minutes !== null && minutesOf(sequence(perPilot), { packMinutes }) > minutes) return;
    for (const [b, each] of blocks.entries()) {
      const at = where[b]!;
      if (at < 0) continue;
      const own = blocks
        .map((other, o) => ({ other, pack: where[o]! }))
        .filter(({ other, pack }) => pack >= 0 && other.pilotId === each.pilotId);
      if (own.some(({ other, pack }) => other.id === each.apartFrom && pack === at)) return;
      for (const drillId of each.after)
        if (
          blocks.some((other) => other.drillId === drillId && other.pilotId === each.pilotId) &&
          !own.some(({ other, pack }) => other.drillId === drillId && pack <= at)
        )
          return;
      if (each.purpose === 'check' && own.some(({ other, pack }) => pack < at && other.purpose !== 'check'))
        return;
    }
    if (
      pilots.some(
        (pilot) =>
          new Set(
            blocks
              .filter((each, b) => where[b]! >= 0 && each.pilotId === pilot && each.isNew)
              .map((each) => each.drillId),
          ).size > 1,
      )
    )
      return;
    // Who only flies what brings nothing does not fly for this.
    const flying = pilots.filter((pilot) =>
      blocks.some((each, b) => where[b]! >= 0 && each.pilotId === pilot && each.gain > 0),
    ).length;
    const gain = blocks.reduce((sum, each, b) => sum + (where[b]! >= 0 ? each.gain : 0), 0);
    if (flying > best.flying || (flying === best.flying && gain > best.gain)) best = { flying, gain };
  };
  tryOut([]);
  return best;
}

/** From the first lesson on; what comes before a drill has fewer before itself. */
const DRILLS = ['tail-in-hover', 'fore-aft-line', 'pad-landing', 'side-on-hover', 'lateral-line'] as const;
const someBlocks = fc
  .array(
    fc.record({
      pilot: fc.nat(1),
      minutes: fc.integer({ min: 2, max: 6 }),
      gain: fc.integer({ min: 0, max: 20 }),
      isNew: fc.boolean(),
      check: fc.nat(5),
      drill: fc.nat(4),
      needs: fc.nat(8),
      twin: fc.boolean(),
    }),
    { minLength: 1, maxLength: 5 },
  )
  .map((all): Block[] =>
    all.map((each, i) =>
      block(`b${i}`, {
        pilotId: `p${each.pilot}`,
        minutes: each.minutes,
        gain: each.gain / 10,
        isNew: all.some((other) => other.pilot === each.pilot && other.drill === each.drill && other.isNew),
        purpose: each.check === 0 ? 'check' : 'practice',
        drillId: DRILLS[each.drill]!,
        after:
          each.needs < each.drill && depthOf(DRILLS[each.needs]!) < depthOf(DRILLS[each.drill]!)
            ? [DRILLS[each.needs]!]
            : [],
        apartFrom: each.twin && i > 0 && all[i - 1]!.pilot === each.pilot ? `b${i - 1}` : null,
      }),
    ),
  );

describe('the layout is the best there is', () => {
  test('as good as trying everything, on small sessions of every kind', () => {
    fc.assert(
      fc.property(
        someBlocks,
        fc.integer({ min: 1, max: 3 }),
        fc.constantFrom(null, 20, 34, 60),
        (blocks, packs, minutes) => {
          // Apart is meant both ways.
          const both = blocks.map((each) => ({
            ...each,
            apartFrom: each.apartFrom ?? blocks.find((other) => other.apartFrom === each.id)?.id ?? null,
          }));
          const wanted = means({ packs, minutes });
          const layout = layOut(both, wanted);
          const best = bruteForce(both, wanted);
          const gaining = layout.packs.filter(({ blocks: own }) => own.some(({ gain }) => gain > 0));
          expect(new Set(gaining.map(({ pilotId }) => pilotId)).size).toBe(best.flying);
          expect(layout.gain).toBeCloseTo(best.gain, 9);
        },
      ),
      { numRuns: 150, seed: 20260302 },
    );
  }, 60_000);

  test('what it lays out is what a trainer could arrange: nothing to complain of, and the gain adds up', () => {
    fc.assert(
      fc.property(someBlocks, (blocks) => {
        const layout = layOut(blocks, means());
        const judged = judge(layout.packs, { means: means(), pilotName: (id) => id, offered: blocks });
        expect(judged.problems.filter((problem) => problem.say !== 'session.halves-together')).toEqual([]);
        expect(judged.gain).toBeCloseTo(layout.gain, 9);
        expect(judged.rests).toEqual(layout.packs.map((pack) => pack.restBefore));
      }),
      { numRuns: 200, seed: 7 },
    );
  });

  test('the same input always gives the same session', () => {
    const blocks = Array.from({ length: 10 }, (_, i) =>
      block(`b${i}`, { gain: 1 + (i % 3), pilotId: `p${i % 3}` }),
    );
    expect(layOut(blocks, means({ packs: 6 }))).toEqual(layOut(blocks, means({ packs: 6 })));
  });
});

describe('hand-laid sessions', () => {
  test('a check goes first although practice would bring more; what is new waits for another day', () => {
    const layout = layOut(
      [
        block('practice', { gain: 5, drillId: 'lateral-line', minutes: 3 }),
        block('check', { purpose: 'check', gain: 1, minutes: 2 }),
        block('new-a', { isNew: true, gain: 2, drillId: 'fore-aft-line' }),
        block('new-b', { isNew: true, gain: 3, drillId: 'pad-landing' }),
      ],
      means(),
    );
    expect(idsOf(layout)[0]![0]).toBe('check');
    expect(layout.left.map((each) => each.id)).toEqual(['new-a']);
  });

  test('one pilot rests after two packs; with a second pilot nobody waits', () => {
    const four = (pilotId: string) =>
      Array.from({ length: 4 }, (_, i) => block(`${pilotId}-${i}`, { pilotId, minutes: 8 }));
    expect(layOut(four('p0'), means()).packs.map((pack) => pack.restBefore)).toEqual([
      false,
      false,
      true,
      false,
    ]);
    const two = layOut([...four('p0'), ...four('p1')], means({ packs: 8 }));
    expect(two.packs).toHaveLength(8);
    expect(two.packs.some((pack) => pack.restBefore)).toBe(false);
    expect(two.minutes).toBe(8 * 8 + 7 * 4);
  });

  test('when the light goes early, what brings least is left out', () => {
    const layout = layOut(
      [1, 2, 3, 4].map((gain) => block(`g${gain}`, { gain, minutes: 8 })),
      means({ minutes: 30 }),
    );
    expect(idsOf(layout).flat().sort()).toEqual(['g3', 'g4']);
  });

  test('nothing to fly, or no pack, is an empty session', () => {
    expect(layOut([], means()).packs).toEqual([]);
    expect(layOut([block('a')], means({ packs: 0 })).packs).toEqual([]);
    expect(layOut([block('long', { minutes: 20 })], means()).left).toHaveLength(1);
  });

  test(`of more than ${WEIGHED_PER_PILOT} blocks of a pilot those that bring most for their time are weighed`, () => {
    const layout = layOut(
      Array.from({ length: 20 }, (_, i) => block(`b${String(i).padStart(2, '0')}`, { gain: 1 + i / 100 })),
      means({ packs: 2 }),
    );
    // One drill stands once in a pack.
    expect(idsOf(layout).flat().sort()).toEqual(['b18', 'b19']);
    expect(layout.notWeighed).toBe(8);
  });

  test('everybody flies before anybody flies twice; who does not is told why', () => {
    const rich = Array.from({ length: 6 }, (_, i) => block(`rich-${i}`, { gain: 10, minutes: 8 }));
    const poor = block('poor', { pilotId: 'p1', gain: 0.1 });
    const long = block('long', { pilotId: 'p2', minutes: 20 });
    const layout = layOut([...rich, poor, long], means());
    expect(layout.packs.map(({ pilotId }) => pilotId).sort()).toEqual(['p0', 'p0', 'p0', 'p1']);
    expect(layout.grounded).toEqual([{ pilotId: 'p2', why: 'no-block-fits' }]);
    expect(layOut([...rich, poor], means({ packs: 1 })).grounded).toEqual([
      { pilotId: 'p1', why: 'no-pack' },
    ]);
    expect(layOut([...rich, poor], means({ minutes: 9 })).grounded).toEqual([
      { pilotId: 'p1', why: 'no-time' },
    ]);
  });

  test('what comes before is never lost to a cut: not as the thirteenth block, and not where it brings nothing', () => {
    const many = Array.from({ length: 14 }, (_, i) =>
      block(`b${String(i).padStart(2, '0')}`, {
        drillId: 'side-on-hover',
        after: ['tail-in-hover'],
        gain: 2 + i / 100,
      }),
    );
    const before = block('before', { gain: 0 });
    const layout = layOut([...many, before], means({ packs: 2 }));
    expect(idsOf(layout)[0]![0]).toBe('before');
    expect(idsOf(layout).flat()).toHaveLength(3);
  });
});

describe('a session arranged by hand is told what is wrong with it', () => {
  const name = (id: string) => (id === 'p0' ? 'Runa' : 'Cai');
  test.each([
    [
      'too much on a pack',
      [{ pilotId: 'p0', blocks: [block('a', { minutes: 6 }), block('b', { minutes: 6 })] }],
      { say: 'session.pack-too-long', with: { number: 1, minutes: 12, most: 8, drill: 'tail-in-hover' } },
    ],
    [
      'two pilots on a pack',
      [{ pilotId: 'p0', blocks: [block('a', { pilotId: 'p1' })] }],
      { say: 'session.other-pilot', with: { number: 1, pilot: 'Runa' } },
    ],
    [
      'out of order',
      [
        { pilotId: 'p0', blocks: [block('b', { drillId: 'side-on-hover', after: ['tail-in-hover'] })] },
        { pilotId: 'p0', blocks: [block('a')] },
      ],
      { say: 'session.comes-before', with: { before: 'tail-in-hover', drill: 'side-on-hover' } },
    ],
    [
      'a check flown tired',
      [
        {
          pilotId: 'p0',
          blocks: [block('a', { drillId: 'lateral-line' }), block('c', { purpose: 'check' })],
        },
      ],
      { say: 'session.check-fresh', with: { drill: 'tail-in-hover' } },
    ],
    [
      'two new things',
      [
        {
          pilotId: 'p0',
          blocks: [block('a', { isNew: true }), block('b', { isNew: true, drillId: 'fore-aft-line' })],
        },
      ],
      { say: 'session.two-new', with: { drills: ['tail-in-hover', 'fore-aft-line'], pilot: 'Runa' } },
    ],
    [
      'a drill twice in a pack',
      [{ pilotId: 'p0', blocks: [block('a', { minutes: 3 }), block('b', { minutes: 3 })] }],
      { say: 'session.stands-twice', with: { drill: 'tail-in-hover', number: 1 } },
    ],
    [
      'more packs than there are',
      Array.from({ length: 5 }, (_, i) => ({
        pilotId: i % 2 ? 'p1' : 'p0',
        blocks: [block(`a${i}`, { pilotId: i % 2 ? 'p1' : 'p0' })],
      })),
      { say: 'session.packs-short', with: { planned: 5, there: 4 } },
    ],
  ])('%s', (_, packs, problem) =>
    expect(judge(packs, { means: means(), pilotName: name }).problems).toContainEqual(problem),
  );

  test('a drill whose beginning was left out, though it could be flown, is seen', () => {
    const later = block('b', { drillId: 'side-on-hover', after: ['tail-in-hover'] });
    const packs = [{ pilotId: 'p0', blocks: [later] }];
    expect(judge(packs, { means: means(), pilotName: name }).problems).toEqual([]);
    expect(
      judge(packs, { means: means(), pilotName: name, offered: [later, block('a')] }).problems.map(
        ({ say }) => say,
      ),
    ).toEqual(['session.comes-before']);
  });
});
