import type { FindDrill } from '../../drills/drill-book';
import { drillOf } from '../../drills/drills';
import { type Block, type Means, PACKS_PER_PILOT } from './block';
import { minutesOf, restsIn } from './sequence';

export interface JudgedSession {
  readonly gain: number;
  readonly minutes: number;
  /** What is wrong with it, and what would mend it; empty when nothing is. */
  readonly problems: readonly string[];
  /** For each pack, whether its pilot should rest before it. */
  readonly rests: readonly boolean[];
}

/** Weighs a session as a trainer has arranged it. */
export function judge(
  packs: readonly { readonly pilotId: string; readonly blocks: readonly Block[] }[],
  means: Means,
  pilotName: (pilotId: string) => string,
  findDrill: FindDrill = drillOf,
): JudgedSession {
  const nameOf = (block: Block): string => findDrill(block.drillId).name;
  const problems: string[] = [];
  const rests = restsIn(packs.map((pack) => pack.pilotId));
  for (const [p, { pilotId, blocks }] of packs.entries()) {
    const minutes = blocks.reduce((sum, block) => sum + block.minutes, 0);
    if (minutes > means.packMinutes)
      problems.push(
        `Pack ${p + 1} holds ${minutes.toFixed(0)} of ${means.packMinutes} minutes: move ${nameOf(blocks.at(-1)!)} to another.`,
      );
    if (blocks.some((block) => block.pilotId !== pilotId))
      problems.push(`Pack ${p + 1} is ${pilotName(pilotId)}'s: one pilot flies a pack.`);
    for (const [b, block] of blocks.entries()) {
      const own = packs
        .slice(0, p)
        .filter((pack) => pack.pilotId === block.pilotId)
        .flatMap((pack) => pack.blocks);
      const earlier = [...own, ...blocks.slice(0, b)];
      const anywhere = packs.flatMap((pack) => pack.blocks);
      for (const drillId of block.after) {
        if (
          anywhere.some((each) => each.pilotId === block.pilotId && each.drillId === drillId) &&
          !earlier.some((each) => each.drillId === drillId)
        )
          problems.push(`${findDrill(drillId).name} comes before ${nameOf(block)}: move it up.`);
      }
      if (block.purpose === 'check' && earlier.some((each) => each.purpose !== 'check'))
        problems.push(`The check of ${nameOf(block)} is flown fresh: put it first.`);
      if (blocks.some((each) => each.id === block.apartFrom && each.id < block.id))
        problems.push(`${nameOf(block)} is mixed now: put its two halves on different packs.`);
    }
  }
  for (const pilotId of new Set(packs.map((pack) => pack.pilotId))) {
    const own = packs.filter((pack) => pack.pilotId === pilotId);
    if (own.length > PACKS_PER_PILOT)
      problems.push(`${pilotName(pilotId)} has ${own.length} packs: ${PACKS_PER_PILOT} a day teach as much.`);
    const fresh = [
      ...new Set(
        own
          .flatMap((pack) => pack.blocks)
          .filter((block) => block.isNew)
          .map(nameOf),
      ),
    ];
    if (fresh.length > 1)
      problems.push(
        `${fresh.join(' and ')} are both new to ${pilotName(pilotId)}: leave one for another day.`,
      );
  }
  if (packs.length > means.packs)
    problems.push(`${packs.length} packs are planned and ${means.packs} are there.`);
  const minutes = minutesOf({ order: packs.map(() => 0), rests }, means);
  if (means.minutes !== null && minutes > means.minutes)
    problems.push(
      `It takes ${minutes.toFixed(0)} minutes and there are ${means.minutes.toFixed(0)}: leave a pack out.`,
    );
  return {
    gain: packs.reduce((sum, pack) => sum + pack.blocks.reduce((own, block) => own + block.gain, 0), 0),
    minutes,
    problems,
    rests,
  };
}
