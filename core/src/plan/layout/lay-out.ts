import { depthOf } from '../../drills/prerequisites';
import {
  type Block,
  type Grounded,
  type Means,
  type Pack,
  PACKS_PER_PILOT,
  type SessionLayout,
  standsTwice,
} from './block';
import { minutesOf, sequence } from './sequence';

/**
 * Blocks of one pilot that are weighed against each other: those that bring most for their time, with what comes
 * before them.
 */
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

/** Blocks as bits: which those of a set are, which may share a pack, and what must come before. */
interface Bits {
  /** Sets that fill one pack. */
  readonly fits: readonly number[];
  readonly gains: Float64Array;
  /** Drills new to the pilot that a set holds, as bits of their own. */
  readonly newIn: Int32Array;
  /** Of every set, masks of which one block has to be done before. */
  readonly needs: ReadonlyMap<number, readonly number[]>;
  readonly checks: number;
}

const maskOf = (blocks: readonly Block[], has: (block: Block) => boolean): number =>
  blocks.reduce((mask, block, i) => (has(block) ? mask | (1 << i) : mask), 0);

function bitsOf(blocks: readonly Block[], packMinutes: number): Bits {
  const all = 2 ** blocks.length;
  const apart = blocks.map((block) =>
    maskOf(blocks, (other) => other !== block && (standsTwice(block, other) || other.id === block.apartFrom)),
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
  // Each set's own news and needs, worked out once: there are a few hundred sets and a great many pairs of them.
  const newDrills = [...new Set(blocks.filter((block) => block.isNew).map((block) => block.drillId))].map(
    (drillId) => maskOf(blocks, (block) => block.drillId === drillId),
  );
  const newIn = new Int32Array(all);
  for (let set = 1; set < all; set += 1)
    newIn[set] = newDrills.reduce((mask, drill, i) => ((set & drill) !== 0 ? mask | (1 << i) : mask), 0);
  // A drill that comes before counts as there once any block of it is.
  const before = blocks.map((block) =>
    block.after
      .map((drillId) => maskOf(blocks, (each) => each.drillId === drillId))
      .filter((mask) => mask !== 0),
  );
  const needsOf = (set: number) =>
    before.flatMap((masks, i) => ((set & (1 << i)) !== 0 ? masks.filter((mask) => (mask & set) === 0) : []));
  const needs = new Map(fits.map((set) => [set, [...new Set(needsOf(set))]]));
  return { fits, gains, newIn, needs, checks: maskOf(blocks, ({ purpose }) => purpose === 'check') };
}

/** Whether a pack may be flown once others are done. */
function mayFollow({ checks, newIn, needs }: Bits, done: number, next: number): boolean {
  if ((done & next) !== 0) return false;
  // A check shows what was kept: it is flown fresh, before anything else.
  if ((next & checks) !== 0 && (done & ~checks) !== 0) return false;
  const news = newIn[done]! | newIn[next]!;
  if ((news & (news - 1)) !== 0) return false;
  return needs.get(next)!.every((need) => (done & need) !== 0);
}

/** The best that one pilot can do with 0, 1, 2 … packs. */
function bestOf(blocks: readonly Block[], packMinutes: number, most: number): readonly Filled[] {
  const bits = bitsOf(blocks, packMinutes);
  let reached = new Map<number, readonly number[]>([[0, []]]);
  const best: Filled[] = [{ gain: 0, packs: [] }];
  for (let pack = 1; pack <= most; pack += 1) {
    const further = new Map<number, readonly number[]>();
    let top: Filled | null = null;
    for (const [done, packs] of reached) {
      for (const next of bits.fits) {
        const now = done | next;
        if (further.has(now) || !mayFollow(bits, done, next)) continue;
        const filled = [...packs, next];
        further.set(now, filled);
        if (!top || bits.gains[now]! > top.gain) top = { gain: bits.gains[now]!, packs: filled };
      }
    }
    if (!top) break;
    best.push(top);
    reached = further;
  }
  return best;
}

const gaining = (all: readonly (readonly Block[])[]): number =>
  all.flat().filter(({ gain }) => gain > 0).length;

const byWorth = (a: Block, b: Block): number =>
  b.gain / b.minutes - a.gain / a.minutes || (a.id < b.id ? -1 : 1);

/**
 * Those of a pilot's blocks that are weighed. None goes in without what comes before it, however little that brings;
 * where there is no room for both, both stay out.
 */
function weighedOf<B extends Block>(own: readonly B[]): readonly B[] {
  const weighed = new Set<B>();
  const wants = (block: B, wanted: Set<B>): Set<B> => {
    wanted.add(block);
    for (const drillId of block.after) {
      const before = own.filter((each) => each.drillId === drillId);
      if (before.length > 0 && !before.some((each) => weighed.has(each) || wanted.has(each)))
        wants(before[0]!, wanted);
    }
    return wanted;
  };
  for (const block of own) {
    if (block.gain <= 0 || weighed.has(block)) continue;
    const wanted = [...wants(block, new Set())].filter((each) => !weighed.has(each));
    if (weighed.size + wanted.length <= WEIGHED_PER_PILOT) for (const each of wanted) weighed.add(each);
  }
  return own.filter((block) => weighed.has(block));
}

/**
 * Lays out the session in which most pilots fly, and of those the one that gains most: which pilot flies which pack,
 * and which blocks on it. Exact for the blocks that are weighed: the best filling of every number of packs is worked
 * out for each pilot, and then every way to share the packs out is looked at. Deterministic.
 *
 * Kept: a pack's flying time; one pilot in the air; at most two packs in a row and four a day for each;
 * checks before anything else;
 * what comes before a drill before it; at most one drill that is new to a pilot; the halves of a mixed pair
 * on different packs; one drill once in a pack; the time there is.
 * @param blocks at most `WEIGHED_PER_PILOT` of each pilot are weighed
 */
export function layOut<B extends Block>(blocks: readonly B[], means: Means): SessionLayout<B> {
  const pilots = [...new Set(blocks.map((block) => block.pilotId))];
  const fitting = pilots.map((pilotId) =>
    blocks.filter((block) => block.pilotId === pilotId && block.minutes <= means.packMinutes).sort(byWorth),
  );
  const weighed = fitting.map(weighedOf);
  const best = weighed.map((own) => bestOf(own, means.packMinutes, Math.min(PACKS_PER_PILOT, means.packs)));
  let top = { flying: 0, gain: 0, minutes: 0, counts: pilots.map(() => 0) };
  // The most that this pilot and those after could add with packs without end.
  const couldAdd = pilots.map((_, pilot) =>
    best.slice(pilot).reduce((sum, own) => sum + own.at(-1)!.gain, 0),
  );
  const couldFly = pilots.map((_, pilot) => best.slice(pilot).filter((own) => own.at(-1)!.gain > 0).length);
  const share = (pilot: number, counts: readonly number[], left: number, gain: number): void => {
    const flying = counts.filter((packs, i) => best[i]![packs]!.gain > 0).length;
    const most = flying + Math.min(left, couldFly[pilot] ?? 0);
    if (most < top.flying || (most === top.flying && gain + (couldAdd[pilot] ?? 0) < top.gain - 1e-9)) return;
    if (pilot === pilots.length) {
      const minutes = minutesOf(sequence(counts), means);
      if (means.minutes !== null && minutes > means.minutes) return;
      const isBetter =
        flying > top.flying || gain > top.gain + 1e-9 || (gain > top.gain - 1e-9 && minutes < top.minutes);
      if (flying >= top.flying && isBetter) top = { flying, gain, minutes, counts: [...counts] };
      return;
    }
    for (let packs = Math.min(left, best[pilot]!.length - 1); packs >= 0; packs -= 1)
      share(pilot + 1, [...counts, packs], left - packs, gain + best[pilot]![packs]!.gain);
  };
  share(0, [], means.packs, 0);

  const { order, rests } = sequence(top.counts);
  const taken = pilots.map(() => 0);
  const packs: Pack<B>[] = order.map((pilot, i) => {
    const filled = best[pilot]![top.counts[pilot]!]!.packs[taken[pilot]!]!;
    taken[pilot]! += 1;
    return {
      pilotId: pilots[pilot]!,
      blocks: weighed[pilot]!.filter((_, b) => (filled & (1 << b)) !== 0).sort(inPack),
      restBefore: rests[i]!,
    };
  });
  const used = new Set(packs.flatMap((pack) => pack.blocks.map((block) => block.id)));
  const grounded = pilots.flatMap((pilotId, pilot): readonly Grounded[] => {
    if (top.counts[pilot]! > 0) return [];
    if (best[pilot]!.length === 1) return [{ pilotId, why: 'no-block-fits' }];
    return [{ pilotId, why: order.length < means.packs ? 'no-time' : 'no-pack' }];
  });
  return {
    packs,
    gain: top.gain,
    minutes: top.minutes,
    left: blocks.filter((block) => !used.has(block.id)),
    grounded,
    notWeighed: gaining(fitting) - gaining(weighed),
  };
}
