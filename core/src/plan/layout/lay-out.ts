import { depthOf } from '../../drills/prerequisites';
import { type Block, type Means, type Pack, PACKS_PER_PILOT, type SessionLayout } from './block';
import { minutesOf, sequence } from './sequence';

/** Blocks of one pilot that are weighed against each other: those that bring most for their time. */
export const WEIGHED_PER_PILOT = 12;

const PURPOSE_ORDER = { check: 0, practice: 1, test: 2 } as const;

/** Checks first, then drills in the order of the lesson, practice before test. */
const inPack = (a: Block, b: Block): number =>
  Number(b.purpose === 'check') - Number(a.purpose === 'check') ||
  depthOf(a.drillId) - depthOf(b.drillId) ||
  PURPOSE_ORDER[a.purpose] - PURPOSE_ORDER[b.purpose] ||
  (a.id < b.id ? -1 : 1);

interface Filled {
  readonly gain: number;
  /** Blocks of each pack, as bits. */
  readonly packs: readonly number[];
}

/** The best that one pilot can do with 0, 1, 2 … packs. */
function bestOf(blocks: readonly Block[], packMinutes: number, most: number): readonly Filled[] {
  const all = 2 ** blocks.length;
  const bit = new Map(blocks.map((block, i) => [block.id, 1 << i]));
  const newDrills = [...new Set(blocks.filter((block) => block.isNew).map((block) => block.drillId))].map(
    (drillId) => blocks.reduce((mask, block, i) => (block.drillId === drillId ? mask | (1 << i) : mask), 0),
  );
  const checks = blocks.reduce((mask, block, i) => (block.purpose === 'check' ? mask | (1 << i) : mask), 0);
  const apart = blocks.map((block) => (block.apartFrom === null ? 0 : (bit.get(block.apartFrom) ?? 0)));
  // A drill that comes before counts as there once any block of it is.
  const before = blocks.map((block) =>
    block.after
      .map((drillId) =>
        blocks.reduce((mask, each, i) => (each.drillId === drillId ? mask | (1 << i) : mask), 0),
      )
      .filter((mask) => mask !== 0),
  );
  const gains = new Float64Array(all);
  const fits: number[] = [];
  for (let set = 1; set < all; set += 1) {
    let [gain, minutes, ok] = [0, 0, true];
    for (let i = 0; i < blocks.length; i += 1) {
      if ((set & (1 << i)) === 0) continue;
      gain += blocks[i]!.gain;
      minutes += blocks[i]!.minutes;
      if ((set & apart[i]!) !== 0) ok = false;
    }
    gains[set] = gain;
    if (ok && minutes <= packMinutes) fits.push(set);
  }
  // Each set's own news and needs, worked out once: there are a few hundred sets and a great many pairs of
  // them.
  const newIn = new Int32Array(all);
  for (let set = 1; set < all; set += 1)
    newIn[set] = newDrills.reduce((mask, drill, i) => ((set & drill) !== 0 ? mask | (1 << i) : mask), 0);
  const needs = new Map(
    fits.map((set) => [
      set,
      [
        ...new Set(
          before.flatMap((masks, i) =>
            (set & (1 << i)) !== 0 ? masks.filter((mask) => (mask & set) === 0) : [],
          ),
        ),
      ],
    ]),
  );
  const mayFollow = (done: number, next: number): boolean => {
    if ((done & next) !== 0) return false;
    // A check shows what was kept: it is flown fresh, before anything else.
    if ((next & checks) !== 0 && (done & ~checks) !== 0) return false;
    const news = newIn[done]! | newIn[next]!;
    if ((news & (news - 1)) !== 0) return false;
    for (const need of needs.get(next)!) if ((done & need) === 0) return false;
    return true;
  };
  let reached = new Map<number, readonly number[]>([[0, []]]);
  const best: Filled[] = [{ gain: 0, packs: [] }];
  for (let pack = 1; pack <= most; pack += 1) {
    const further = new Map<number, readonly number[]>();
    let top: Filled | null = null;
    for (const [done, packs] of reached) {
      for (const next of fits) {
        if (!mayFollow(done, next)) continue;
        const now = done | next;
        if (further.has(now)) continue;
        const filled = [...packs, next];
        further.set(now, filled);
        if (!top || gains[now]! > top.gain) top = { gain: gains[now]!, packs: filled };
      }
    }
    if (!top || top.gain <= best.at(-1)!.gain) break;
    best.push(top);
    reached = further;
  }
  return best;
}

const byWorth = (a: Block, b: Block): number =>
  b.gain / b.minutes - a.gain / a.minutes || (a.id < b.id ? -1 : 1);

/**
 * Lays out the session that gains most: which pilot flies which pack, and which blocks on it. Exact: the best
 * filling of every
 * number of packs is worked out for each pilot, and then every way to share the packs out is looked at.
 * Deterministic.
 *
 * Kept: a pack's flying time; one pilot in the air; at most two packs in a row and four a day for each;
 * checks before anything else;
 * what comes before a drill before it; at most one drill that is new to a pilot; the halves of a mixed pair
 * on different packs; the time there is.
 * @param blocks at most `WEIGHED_PER_PILOT` of each pilot are weighed
 */
export function layOut(blocks: readonly Block[], means: Means): SessionLayout {
  const pilots = [...new Set(blocks.map((block) => block.pilotId))];
  const weighed = pilots.map((pilotId) =>
    blocks
      .filter((block) => block.pilotId === pilotId && block.gain > 0 && block.minutes <= means.packMinutes)
      .sort(byWorth)
      .slice(0, WEIGHED_PER_PILOT),
  );
  const best = weighed.map((own) => bestOf(own, means.packMinutes, Math.min(PACKS_PER_PILOT, means.packs)));
  let top = { gain: 0, minutes: 0, counts: pilots.map(() => 0) };
  // The most that this pilot and those after could add with packs without end.
  const couldAdd = pilots.map((_, pilot) =>
    best.slice(pilot).reduce((sum, own) => sum + own.at(-1)!.gain, 0),
  );
  const share = (pilot: number, counts: readonly number[], left: number, gain: number): void => {
    if (gain + (couldAdd[pilot] ?? 0) < top.gain - 1e-9) return;
    if (pilot === pilots.length) {
      const minutes = minutesOf(sequence(counts), means);
      if (means.minutes !== null && minutes > means.minutes) return;
      if (gain > top.gain + 1e-9 || (gain > top.gain - 1e-9 && minutes < top.minutes))
        top = { gain, minutes, counts: [...counts] };
      return;
    }
    for (let packs = Math.min(left, best[pilot]!.length - 1); packs >= 0; packs -= 1)
      share(pilot + 1, [...counts, packs], left - packs, gain + best[pilot]![packs]!.gain);
  };
  share(0, [], means.packs, 0);

  const { order, rests } = sequence(top.counts);
  const taken = pilots.map(() => 0);
  const packs: Pack[] = order.map((pilot, i) => {
    const filled = best[pilot]![top.counts[pilot]!]!.packs[taken[pilot]!]!;
    taken[pilot]! += 1;
    return {
      pilotId: pilots[pilot]!,
      blocks: weighed[pilot]!.filter((_, b) => (filled & (1 << b)) !== 0).sort(inPack),
      restBefore: rests[i]!,
    };
  });
  const used = new Set(packs.flatMap((pack) => pack.blocks.map((block) => block.id)));
  return { packs, gain: top.gain, minutes: top.minutes, left: blocks.filter((block) => !used.has(block.id)) };
}
