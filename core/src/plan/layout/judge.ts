import { type Said, sentence } from '../../vocabulary/said';
import { type Block, type Means, PACKS_PER_PILOT, standsTwice } from './block';
import { minutesOf, restsIn } from './sequence';

export interface JudgedSession {
  readonly gain: number;
  readonly minutes: number;
  /** What is wrong with it, and what would mend it; empty when nothing is. */
  readonly problems: readonly Said[];
  /** For each pack, whether its pilot should rest before it. */
  readonly rests: readonly boolean[];
}

/** What a session is judged by. */
export interface Judging {
  readonly means: Means;
  readonly pilotName: (pilotId: string) => string;
  /** Everything that could be flown today: what comes before a drill may be among it. */
  readonly offered?: readonly Block[];
}

interface ArrangedPack {
  readonly pilotId: string;
  readonly blocks: readonly Block[];
}

/** What is wrong with one pack by itself. */
function packProblems(
  { pilotId, blocks }: ArrangedPack,
  number: number,
  { means, pilotName }: Judging,
): readonly Said[] {
  const problems: Said[] = [];
  const minutes = blocks.reduce((sum, block) => sum + block.minutes, 0);
  if (minutes > means.packMinutes)
    problems.push(
      sentence('session.pack-too-long', {
        number,
        minutes: Math.round(minutes),
        most: means.packMinutes,
        drill: blocks.at(-1)!.drillId,
      }),
    );
  if (blocks.some((block) => block.pilotId !== pilotId))
    problems.push(sentence('session.other-pilot', { number, pilot: pilotName(pilotId) }));
  for (const [b, block] of blocks.entries())
    if (blocks.some((each) => each.id === block.apartFrom && each.id < block.id))
      problems.push(sentence('session.halves-together', { drill: block.drillId }));
    else if (blocks.slice(0, b).some((each) => standsTwice(each, block)))
      problems.push(sentence('session.stands-twice', { drill: block.drillId, number }));
  return problems;
}

/** What is wrong with where a block stands among the others of its pilot. */
function orderProblems(block: Block, earlier: readonly Block[], anywhere: readonly Block[]): readonly Said[] {
  const lost = block.after.filter(
    (drillId) =>
      anywhere.some((each) => each.pilotId === block.pilotId && each.drillId === drillId) &&
      !earlier.some((each) => each.drillId === drillId),
  );
  return [
    ...lost.map((before) => sentence('session.comes-before', { before, drill: block.drillId })),
    ...(block.purpose === 'check' && earlier.some((each) => each.purpose !== 'check')
      ? [sentence('session.check-fresh', { drill: block.drillId })]
      : []),
  ];
}

/** What is too much for one pilot in a day. */
function pilotProblems(pilot: string, own: readonly ArrangedPack[]): readonly Said[] {
  const fresh = [
    ...new Set(
      own
        .flatMap((pack) => pack.blocks)
        .filter((block) => block.isNew)
        .map((block) => block.drillId),
    ),
  ];
  return [
    ...(own.length > PACKS_PER_PILOT
      ? [sentence('session.too-many-packs', { pilot, packs: own.length, most: PACKS_PER_PILOT })]
      : []),
    ...(fresh.length > 1 ? [sentence('session.two-new', { drills: fresh, pilot })] : []),
  ];
}

/** What is too much for the means. */
function meansProblems(packs: readonly ArrangedPack[], minutes: number, { means }: Judging): readonly Said[] {
  return [
    ...(packs.length > means.packs
      ? [sentence('session.packs-short', { planned: packs.length, there: means.packs })]
      : []),
    ...(means.minutes !== null && minutes > means.minutes
      ? [sentence('session.time-short', { takes: Math.round(minutes), there: Math.round(means.minutes) })]
      : []),
  ];
}

/** Weighs a session as a trainer has arranged it. */
export function judge(packs: readonly ArrangedPack[], judging: Judging): JudgedSession {
  const { means, pilotName, offered = [] } = judging;
  const rests = restsIn(packs.map((pack) => pack.pilotId));
  const minutes = minutesOf({ order: packs.map(() => 0), rests }, means);
  const anywhere = [...packs.flatMap((pack) => pack.blocks), ...offered];
  const ofPacks = packs.flatMap((pack, p) => {
    const before = packs.slice(0, p).filter(({ pilotId }) => pilotId === pack.pilotId);
    return [
      ...packProblems(pack, p + 1, judging),
      ...pack.blocks.flatMap((block, b) => {
        const earlier = [...before.flatMap(({ blocks }) => blocks), ...pack.blocks.slice(0, b)];
        return orderProblems(block, earlier, anywhere);
      }),
    ];
  });
  const ofPilots = [...new Set(packs.map(({ pilotId }) => pilotId))].flatMap((id) =>
    pilotProblems(
      pilotName(id),
      packs.filter(({ pilotId }) => pilotId === id),
    ),
  );
  return {
    gain: packs.reduce((sum, pack) => sum + pack.blocks.reduce((own, block) => own + block.gain, 0), 0),
    minutes,
    problems: [...ofPacks, ...ofPilots, ...meansProblems(packs, minutes, judging)],
    rests,
  };
}
