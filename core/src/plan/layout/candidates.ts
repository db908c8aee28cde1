import type {
  Around,
  BeforeFlying,
  Candidates,
  Conditions,
  NotToday,
  PilotToday,
  WeaknessToday,
} from './today';
import { blocksOf, checkBlocks, hasShown, onTheGround, PRACTICE_REPS } from './blocks-of';
import { courseAsks } from './course-today';
import type { FindDrill } from '../../drills/drills';
import { restricts } from '../../clearance/open-states';
import { nextStep } from '../../clearance/next-step';
import { drillOf, type DrillId, isFlown } from '../../drills/drills';
import type { Day } from '../../vocabulary/day';
import { brokenBy } from '../../restrictions/restrictions';
import { type Said, sentence } from '../../vocabulary/said';
import type { Block, ProposedBlock } from './block';

/** What one weakness asks for today. */
interface Asked {
  readonly blocks: readonly ProposedBlock[];
  readonly notToday: readonly NotToday[];
  readonly beforeFlying: readonly BeforeFlying[];
}
const NOTHING: Asked = { blocks: [], notToday: [], beforeFlying: [] };

const together = (all: readonly Asked[]): Asked => ({
  blocks: all.flatMap(({ blocks }) => blocks),
  notToday: all.flatMap(({ notToday }) => notToday),
  beforeFlying: all.flatMap(({ beforeFlying }) => beforeFlying),
});

const why = (part: NotToday): Asked => ({ ...NOTHING, notToday: [part] });

/** One drill of a plan: flown on a pack, or done before it. */
function drillToday(weakness: WeaknessToday, drillId: DrillId, around: Around): Asked {
  const { pilot, findDrill } = around;
  const drill = findDrill(drillId);
  if (!isFlown(drill)) return { ...NOTHING, beforeFlying: [onTheGround(weakness, drill, around)] };
  if (drill.simulator !== 'first' || hasShown(pilot, drillId))
    return { ...NOTHING, blocks: blocksOf(weakness, drillId, around) };
  const said = sentence('today.simulator-first', { reps: PRACTICE_REPS });
  const { weaknessId } = weakness;
  return { ...NOTHING, beforeFlying: [{ pilotId: pilot.pilotId, weaknessId, drillId, said }] };
}

/** The check that is due: flown, or in cases at the craft. */
function checkToday(weakness: WeaknessToday, around: Around): Asked {
  const all = checkBlocks(weakness, around);
  const isInTheAir = ({ drillId }: Block) => isFlown(around.findDrill(drillId));
  return {
    ...NOTHING,
    blocks: all.filter(isInTheAir),
    beforeFlying: all
      .filter((block) => !isInTheAir(block))
      .map(({ pilotId, weaknessId, drillId, reps }) => ({
        pilotId,
        weaknessId,
        drillId,
        said: sentence('today.check-in-cases', { reps }),
      })),
  };
}

/** @param taken drills that another weakness of the pilot has asked for already; those of this one are added */
function askedBy(weakness: WeaknessToday, taken: Set<string>, around: Around): Asked {
  const { pilot, today } = around;
  const next = nextStep(weakness.clearance, today);
  const whose = { pilotId: pilot.pilotId, causeId: weakness.causeId, refused: false };
  switch (next.do) {
    case 'check':
      return checkToday(weakness, around);
    case 'wait':
      return why({
        ...whose,
        drillId: null,
        said: sentence('today.rests', { until: next.until }),
      });
    case 'sign':
      return why({ ...whose, drillId: null, said: sentence('today.waits-for-signature') });
    case 'drill':
      return together(
        weakness.drillIds.map((drillId) => {
          // Its reps count wherever it decides: it is flown once.
          if (taken.has(drillId))
            return why({ ...whose, drillId, said: sentence('today.counts-here-too', { drill: drillId }) });
          taken.add(drillId);
          return drillToday(weakness, drillId, around);
        }),
      );
    default:
      return NOTHING;
  }
}

/** Why a block may not be flown on the craft today; null when it may. */
function refusalOf({ drillId }: Block, { pilot, conditions, restricting }: Around): Said | null {
  const { windLimitMps, flies } = pilot;
  const { windMps, place } = conditions;
  if (windMps > windLimitMps) return sentence('today.too-windy', { windMps, windLimitMps });
  const flying = {
    drillId,
    flownOn: 'craft',
    place,
    windMps,
    windLimitMps,
    ...(flies ? { flies } : {}),
  } as const;
  return brokenBy(flying, restricting)[0]?.said ?? null;
}

/** What one pilot could fly today; of what may not be flown each drill once, with the reason. */
function askedOf(around: Around): Asked {
  const taken = new Set<string>();
  const refused = new Set<string>();
  const ofWeaknesses = around.pilot.weaknesses.map((weakness) => askedBy(weakness, taken, around));
  return together(
    [...ofWeaknesses, courseAsks(around)].map((asked) => {
      const judged = asked.blocks.map((block) => ({ block, refusal: refusalOf(block, around) }));
      const notToday = judged.flatMap(({ block: { drillId, causeId }, refusal }) => {
        if (refusal === null || refused.has(drillId)) return [];
        refused.add(drillId);
        return {
          pilotId: around.pilot.pilotId,
          causeId,
          drillId,
          said: refusal,
          refused: true,
        };
      });
      return {
        ...asked,
        blocks: judged.filter(({ refusal }) => refusal === null).map(({ block }) => block),
        notToday: [...asked.notToday, ...notToday],
      };
    }),
  );
}

/**
 * Everything that could be flown today by these pilots, what each would bring, and what is kept back and why.
 * @param findDrill drills with the school's own words
 */
export const candidatesFor = (
  pilots: readonly PilotToday[],
  conditions: Conditions,
  today: Day,
  findDrill: FindDrill = drillOf,
): Candidates =>
  together(
    pilots.map((pilot) => {
      const restricting = pilot.weaknesses.filter(({ clearance }) =>
        restricts({ state: clearance.state, limited: clearance.watch?.limited ?? false }),
      );
      return askedOf({ pilot, conditions, today, restricting, findDrill });
    }),
  );
