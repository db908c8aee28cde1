import type { FindDrill } from '../../drills/drill-book';
import { drillOf } from '../../drills/drills';
import { type Block, type Means, PACKS_PER_PILOT, standsTwice } from './block';
import { minutesOf, restsIn } from './sequence';

export interface JudgedSession {
  readonly gain: number;
  readonly minutes: number;
  /** What is wrong with it, and what would mend it; empty when nothing is. */
  readonly problems: readonly string[];
  /** For each pack, whether its pilot should rest before it. */
  readonly rests: readonly boolean[];
}

/** What a session is judged by. */
export interface Judging {
  readonly means: Means;
  readonly pilotName: (pilotId: string) => string;
  readonly findDrill?: FindDrill;
  /** Everything that could be flown today: what comes before a drill may be among it. */
  readonly offered?: readonly Block[];
}

interface ArrangedPack {
  readonly pilotId: string;
  readonly blocks: readonly Block[];
}

type NameOf = (block: Pick<Block, 'drillId'>) => string;

/** What is wrong with one pack by itself. */
function packProblems(
  { pilotId, blocks }: ArrangedPack,
  number: number,
  { means, pilotName }: Judging,
  nameOf: NameOf,
): readonly string[] {
  const problems: string[] = [];
  const minutes = blocks.reduce((sum, block) => sum + block.minutes, 0);
  if (minutes > means.packMinutes)
    problems.push(
      `Pack ${number} holds ${minutes.toFixed(0)} of ${means.packMinutes} minutes: move ${nameOf(blocks.at(-1)!)} to another.`,
    );
  if (blocks.some((block) => block.pilotId !== pilotId))
    problems.push(`Pack ${number} is ${pilotName(pilotId)}'s: one pilot flies a pack.`);
  for (const [b, block] of blocks.entries())
    if (blocks.some((each) => each.id === block.apartFrom && each.id < block.id))
      problems.push(`${nameOf(block)} is mixed now: put its two halves on different packs.`);
    else if (blocks.slice(0, b).some((each) => standsTwice(each, block)))
      problems.push(`${nameOf(block)} stands twice in pack ${number}: put one of them on another.`);
  return problems;
}

/** What is wrong with where a block stands among the others of its pilot. */
function orderProblems(
  block: Block,
  earlier: readonly Block[],
  anywhere: readonly Block[],
  nameOf: NameOf,
): readonly string[] {
  const lost = block.after.filter(
    (drillId) =>
      anywhere.some((each) => each.pilotId === block.pilotId && each.drillId === drillId) &&
      !earlier.some((each) => each.drillId === drillId),
  );
  return [
    ...lost.map(
      (drillId) =>
        `${nameOf({ drillId: drillId as Block['drillId'] })} comes before ${nameOf(block)}: put it before, or leave ${nameOf(block)} for another day.`,
    ),
    ...(block.purpose === 'check' && earlier.some((each) => each.purpose !== 'check')
      ? [`The check of ${nameOf(block)} is flown fresh: put it first.`]
      : []),
  ];
}

/** What is too much for one pilot in a day. */
function pilotProblems(name: string, own: readonly ArrangedPack[], nameOf: NameOf): readonly string[] {
  const fresh = [
    ...new Set(
      own
        .flatMap((pack) => pack.blocks)
        .filter((block) => block.isNew)
        .map(nameOf),
    ),
  ];
  return [
    ...(own.length > PACKS_PER_PILOT
      ? [`${name} has ${own.length} packs: ${PACKS_PER_PILOT} a day teach as much.`]
      : []),
    ...(fresh.length > 1
      ? [`${fresh.join(' and ')} are both new to ${name}: leave one for another day.`]
      : []),
  ];
}

/** What is too much for the means. */
function meansProblems(
  packs: readonly ArrangedPack[],
  minutes: number,
  { means }: Judging,
): readonly string[] {
  return [
    ...(packs.length > means.packs
      ? [`${packs.length} packs are planned and ${means.packs} are there.`]
      : []),
    ...(means.minutes !== null && minutes > means.minutes
      ? [
          `It takes ${minutes.toFixed(0)} minutes and there are ${means.minutes.toFixed(0)}: leave a pack out.`,
        ]
      : []),
  ];
}

/** Weighs a session as a trainer has arranged it. */
export function judge(packs: readonly ArrangedPack[], judging: Judging): JudgedSession {
  const { means, pilotName, findDrill = drillOf, offered = [] } = judging;
  const nameOf: NameOf = ({ drillId }) => findDrill(drillId).name;
  const rests = restsIn(packs.map((pack) => pack.pilotId));
  const minutes = minutesOf({ order: packs.map(() => 0), rests }, means);
  const anywhere = [...packs.flatMap((pack) => pack.blocks), ...offered];
  const ofPacks = packs.flatMap((pack, p) => {
    const before = packs.slice(0, p).filter(({ pilotId }) => pilotId === pack.pilotId);
    return [
      ...packProblems(pack, p + 1, judging, nameOf),
      ...pack.blocks.flatMap((block, b) => {
        const earlier = [...before.flatMap(({ blocks }) => blocks), ...pack.blocks.slice(0, b)];
        return orderProblems(block, earlier, anywhere, nameOf);
      }),
    ];
  });
  const ofPilots = [...new Set(packs.map(({ pilotId }) => pilotId))].flatMap((id) =>
    pilotProblems(
      pilotName(id),
      packs.filter(({ pilotId }) => pilotId === id),
      nameOf,
    ),
  );
  return {
    gain: packs.reduce((sum, pack) => sum + pack.blocks.reduce((own, block) => own + block.gain, 0), 0),
    minutes,
    problems: [...ofPacks, ...ofPilots, ...meansProblems(packs, minutes, judging)],
    rests,
  };
}
