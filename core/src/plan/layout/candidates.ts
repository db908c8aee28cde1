import type { Level } from '../../vocabulary/training';
import { USUAL_SEVERITY } from '../../debrief/severity';
import { percent } from '../../vocabulary/percent';
import { binomialAtMost } from '../../rates/exact-interval';
import type { Drill } from '../../drills/drill';
import type { FindDrill } from '../../drills/drill-book';
import type { CauseId } from '../../causes/causes';
import { restricts } from '../../clearance/open-states';
import type { Chart, Clearance } from '../../clearance/clearance';
import { CHECK_MISSED_ENDS, type ClearingRule } from '../../clearance/clearing-rule';
import type { Rep } from '../../clearance/facts';
import { nextStep } from '../../clearance/next-step';
import { testsLeft } from '../../clearance/tests-left';
import { ScoreLattice } from '../../clearance/score-lattice';
import type { DrillGroupId, Side } from '../../drills/drill';
import { drillOf, type DrillId } from '../../drills/drills';
import { allBefore } from '../../drills/prerequisites';
import type { Day } from '../../vocabulary/day';
import type { Place } from '../../vocabulary/flying';
import { windBandOf } from '../../vocabulary/wind-band';
import { brokenBy, type Restricting } from '../../restrictions/restrictions';
import { AIM, abilityIn, chanceMet, levelFor } from '../ability';
import type { Block } from './block';

export interface WeaknessToday {
  readonly weaknessId: string;
  readonly causeId: CauseId;
  readonly drillIds: readonly DrillId[];
  readonly rule: ClearingRule;
  readonly clearance: Clearance;
  /** How bad it may end next time, 1 to 5; 3 where nobody has said. */
  readonly severity: number;
}

export interface PilotToday {
  readonly pilotId: string;
  readonly windLimitMps: number;
  readonly weaknesses: readonly WeaknessToday[];
  /** Everything the pilot has flown, for whichever weakness. */
  readonly reps: readonly (Rep & { readonly level?: number })[];
}

export interface Conditions {
  readonly windMps: number;
  readonly place: Place | null;
}

/** A drill that is not offered as a block, and why. */
export interface NotToday {
  readonly pilotId: string;
  readonly drillId: DrillId | null;
  readonly causeId: CauseId;
  readonly words: string;
  /** It may not be flown, rather than that it is not its turn. */
  readonly refused: boolean;
}

/** Work that takes no pack: spoken and ground drills, and the simulator. */
export interface BeforeFlying {
  readonly pilotId: string;
  readonly weaknessId: string;
  readonly drillId: DrillId;
  readonly words: string;
}

export interface Candidates {
  readonly blocks: readonly Block[];
  readonly notToday: readonly NotToday[];
  readonly beforeFlying: readonly BeforeFlying[];
}

/** One attempt and getting back to its start, s (from memory). */
const SECONDS_A_REP: Readonly<Record<DrillGroupId, number>> = {
  hands: 40,
  hover: 60,
  pointing: 40,
  turns: 50,
  wash: 45,
  obstacles: 40,
  air: 55,
  head: 45,
};
const PRACTICE_REPS = 6;
/**
 * A drill that is still being learnt may fill so many blocks of a day, each bringing less than the one
 * before.
 */
const BLOCKS_OF_ONE = 3;
const TIRING = 0.8;
const MIXED_REPS = 3;
const TEST_REPS = 5;
/** Tests are flown once about so many of ten come off. */
const READY_FOR_TEST = 0.6;
/** Blocked until about so many of ten come off, then mixed. */
const MIXED_FROM = 0.7;
/**
 * What a practice rep at the right difficulty brings, against a whole chart from nothing to its limit: a
 * house assumption.
 */
const LEARNT_A_REP = 0.012;
const LATELY = 10;

interface Around {
  readonly pilot: PilotToday;
  readonly conditions: Conditions;
  readonly today: Day;
  readonly restricting: readonly Restricting[];
  readonly findDrill: FindDrill;
}

const isOpenChart = (chart: Chart) => chart.curve.reachedAt === null;

/** The side whose chart is furthest behind, of a deciding drill; the first side of another. */
function sideBehind(drillId: DrillId, { charts }: Clearance): Side | null {
  const open = charts.filter(
    (chart) => chart.drillId === drillId && chart.side !== null && isOpenChart(chart),
  );
  return (
    [...open].sort((a, b) => a.curve.share - b.curve.share)[0]?.side ?? drillOf(drillId).sides[0] ?? null
  );
}

const minutesFor = ({ group }: Drill, reps: number) => Math.ceil((reps * SECONDS_A_REP[group]) / 60);

/** A drill of one weakness, with what is known of the pilot's hand at it. */
interface Hand {
  readonly weakness: WeaknessToday;
  readonly drill: Drill<DrillId>;
  readonly weight: number;
  readonly level: Level;
  /** Chance of meeting the standard, and of meeting it at that level. */
  readonly chance: number;
  readonly atLevel: number;
  /** Share that came off lately; 0 while too few were flown to tell. */
  readonly comingOff: number;
  /** What every block of it has. */
  readonly base: Pick<Block, 'pilotId' | 'weaknessId' | 'causeId' | 'drillId' | 'isNew' | 'after'>;
}

function handAt(weakness: WeaknessToday, drillId: DrillId, { pilot, today, findDrill }: Around): Hand {
  const drill = findDrill(drillId);
  const flown = pilot.reps.filter((rep) => rep.drillId === drillId && !rep.takenBack);
  const ability = abilityIn(drill.group, pilot.reps, today);
  const level: Level = levelFor(ability, drillId);
  const lately = flown.slice(-LATELY);
  // What the pilot has met before need not come before it again today.
  const after = [...allBefore(drillId)].filter(
    (id) => !pilot.reps.some((rep) => rep.drillId === id && rep.met && !rep.takenBack),
  );
  return {
    weakness,
    drill,
    weight: weakness.severity / USUAL_SEVERITY,
    level,
    chance: chanceMet(ability, drillId),
    atLevel: chanceMet(ability, drillId, level),
    comingOff: lately.length < LATELY / 2 ? 0 : lately.filter((rep) => rep.met).length / lately.length,
    base: {
      pilotId: pilot.pilotId,
      weaknessId: weakness.weaknessId,
      causeId: weakness.causeId,
      drillId,
      isNew: flown.length === 0,
      after,
    },
  };
}

const idOf = ({ pilotId, weaknessId, drillId }: Hand['base'], part: string) =>
  [pilotId, weaknessId, drillId, part].join('/');

const levelWords = (level: Level): string =>
  level === 0
    ? 'at the standard'
    : `${level === -2 ? 'two steps' : 'a step'} ${level < 0 ? 'easier' : 'harder'} than the standard`;

/** Practice in one go, or in two halves that stay apart once most of it comes off. */
function practiceBlocks(hand: Hand): readonly Block[] {
  const { weakness, drill, weight, level, atLevel, comingOff, base } = hand;
  const side = sideBehind(drill.id, weakness.clearance);
  const charts = weakness.clearance.charts.filter((chart) => chart.drillId === drill.id);
  const open = charts.filter(isOpenChart);
  const behind = open.find((chart) => chart.side === side) ?? open[0];
  const left = charts.length > 0 ? 1 - (behind?.curve.share ?? 1) : 0.5;
  const fit = Math.max(0, 1 - Math.abs(atLevel - AIM) / AIM);
  const gain = (reps: number) => weight * reps * LEARNT_A_REP * fit * left;
  const why = `Practice ${levelWords(level)}: about ${percent(atLevel)} should come off`;
  const block = { ...base, side, purpose: 'practice' as const, level };
  if (comingOff >= MIXED_FROM)
    return (['a', 'b'] as const).map((half) => ({
      ...block,
      id: idOf(base, `practice-${half}`),
      reps: MIXED_REPS,
      minutes: minutesFor(drill, MIXED_REPS),
      gain: gain(MIXED_REPS),
      apartFrom: idOf(base, `practice-${half === 'a' ? 'b' : 'a'}`),
      why: `${why}; mixed, since ${percent(comingOff)} came off lately.`,
    }));
  return Array.from({ length: BLOCKS_OF_ONE }, (_, i) => ({
    ...block,
    id: idOf(base, `practice-${i + 1}`),
    reps: PRACTICE_REPS,
    minutes: minutesFor(drill, PRACTICE_REPS),
    gain: gain(PRACTICE_REPS) * TIRING ** i,
    apartFrom: null,
    why: `${why}; in one go until seven in ten come off.`,
  }));
}

/** What so many tests of a chart bring to it, as a share of all charts. */
function gainOfChart({ weakness: { rule, clearance }, chance }: Hand, chart: Chart, reps: number): number {
  if (!isOpenChart(chart)) return 0;
  const lattice = new ScoreLattice(rule);
  const risen = (reps * (chance * lattice.rise - (1 - chance) * lattice.fall)) / chart.curve.way;
  return Math.max(0, Math.min(1 - chart.curve.share, risen)) / clearance.charts.length;
}

/** Test reps of one chart, for what they bring to chart, coverage and days; null where that is nothing. */
function testBlock(hand: Hand, chart: Chart, { pilot, conditions, today }: Around): Block | null {
  const { weakness, drill, weight, chance, base } = hand;
  const { clearance, rule } = weakness;
  const { side } = chart;
  const reps = Math.min(TEST_REPS, testsLeft(rule, pilot.reps, chart, today) ?? TEST_REPS);
  if (reps === 0) return null;
  const once = 1 - (1 - chance) ** reps;
  const band = windBandOf(conditions.windMps);
  const missing = clearance.coverage.filter((cell) => cell.drillId === drill.id && !cell.shown);
  const newBand = missing.some(
    ({ what }) => typeof what === 'object' && 'band' in what && what.band === band,
  );
  const newSide = missing.some(({ what }) => what === 'craft' || ('side' in what && what.side === side));
  const coverage =
    clearance.coverage.length === 0
      ? 0
      : ((newBand ? 1 : 0) + (newSide ? 1 : 0)) * (once / clearance.coverage.length);
  const days = clearance.days.find((each) => each.drillId === drill.id)?.days ?? [];
  const day =
    days.length < rule.passDays && !days.includes(today) ? once / (rule.passDays * clearance.days.length) : 0;
  const gain = gainOfChart(hand, chart, reps);
  const brings = [
    gain > 0 ? 'the chart' : null,
    newBand ? `${band} wind` : null,
    newSide ? 'a side not yet shown' : null,
    day > 0 ? 'another day' : null,
  ].filter((each) => each !== null);
  if (brings.length === 0) return null;
  return {
    ...base,
    id: idOf(base, side === null ? 'test' : `test-${side}`),
    side,
    purpose: 'test',
    level: 0,
    reps,
    minutes: minutesFor(drill, reps),
    gain: weight * (gain + coverage + day),
    apartFrom: null,
    why: `Test, said beforehand: brings ${brings.join(', ')}; ${percent(chance)} should be met.`,
  };
}

/** Practice, and tests of every chart of it that still wants some. */
function blocksOf(weakness: WeaknessToday, drillId: DrillId, around: Around): readonly Block[] {
  const hand = handAt(weakness, drillId, around);
  const charts = weakness.clearance.charts.filter((chart) => chart.drillId === drillId);
  const isShown = charts.length > 0 && !charts.some(isOpenChart);
  const isReady = charts.length > 0 && (hand.chance >= READY_FOR_TEST || isShown);
  const tests = isReady ? charts.flatMap((chart) => testBlock(hand, chart, around) ?? []) : [];
  return isShown ? tests : [...practiceBlocks(hand), ...tests];
}

function checkBlocks(weakness: WeaknessToday, { pilot, today, findDrill }: Around): readonly Block[] {
  const { clearance } = weakness;
  const tally = (clearance.watch?.next ?? clearance.check)!.drills;
  return tally
    .filter((drill) => !drill.passed)
    .map(({ drillId, side, needed, met, missed }) => {
      const drill = findDrill(drillId);
      const ability = abilityIn(drill.group, pilot.reps, today);
      const reps = needed + CHECK_MISSED_ENDS - 1 - met - missed;
      return {
        id: [pilot.pilotId, weakness.weaknessId, drillId, side ? `check-${side}` : 'check'].join('/'),
        pilotId: pilot.pilotId,
        weaknessId: weakness.weaknessId,
        causeId: weakness.causeId,
        drillId,
        side: side ?? drill.sides[0] ?? null,
        purpose: 'check' as const,
        level: 0 as const,
        reps,
        minutes: minutesFor(drill, reps),
        gain:
          ((weakness.severity / USUAL_SEVERITY) *
            (0.5 + 0.5 * binomialAtMost(CHECK_MISSED_ENDS - 1, reps, 1 - chanceMet(ability, drillId)))) /
          tally.length,
        isNew: false,
        after: [],
        apartFrom: null,
        why: clearance.watch
          ? 'The check on watch is due: fresh, before anything else.'
          : 'The check is due: fresh, before anything else.',
      };
    });
}

/**
 * Everything that could be flown today by these pilots, what each would bring, and what is kept back and why.
 * @param findDrill drills with the school's own words
 */
export function candidatesFor(
  pilots: readonly PilotToday[],
  conditions: Conditions,
  today: Day,
  findDrill: FindDrill = drillOf,
): Candidates {
  const blocks: Block[] = [];
  const notToday: NotToday[] = [];
  const beforeFlying: BeforeFlying[] = [];
  for (const pilot of pilots) {
    const open = pilot.weaknesses.filter(({ clearance }) =>
      restricts({ state: clearance.state, limited: clearance.watch?.limited ?? false }),
    );
    const around: Around = { pilot, conditions, today, restricting: open, findDrill };
    const taken = new Set<string>();
    for (const weakness of pilot.weaknesses) {
      const next = nextStep(weakness.clearance, today);
      const say = (drillId: DrillId | null, words: string, refused = false) =>
        notToday.push({ pilotId: pilot.pilotId, drillId, causeId: weakness.causeId, words, refused });
      const offered =
        next.do === 'check'
          ? checkBlocks(weakness, around)
          : next.do === 'drill'
            ? weakness.drillIds.flatMap((drillId): readonly Block[] => {
                const drill = findDrill(drillId);
                const shared = taken.has(drillId);
                taken.add(drillId);
                // Its reps count wherever it decides: it is flown once.
                if (shared) {
                  say(drillId, `${drill.name} is flown for another weakness today and counts here too.`);
                  return [];
                }
                if (drill.kind !== 'flown') {
                  beforeFlying.push({
                    pilotId: pilot.pilotId,
                    weaknessId: weakness.weaknessId,
                    drillId,
                    words: drill.dose,
                  });
                  return [];
                }
                const flown = pilot.reps.filter((rep) => rep.drillId === drillId && !rep.takenBack);
                if (drill.simulator === 'first' && !flown.some((rep) => rep.met)) {
                  beforeFlying.push({
                    pilotId: pilot.pilotId,
                    weaknessId: weakness.weaknessId,
                    drillId,
                    words: `On the simulator first: ${PRACTICE_REPS} reps, until one comes off.`,
                  });
                  return [];
                }
                return blocksOf(weakness, drillId, around);
              })
            : [];
      if (next.do === 'wait')
        say(null, `Rests until the check on ${next.until}: practice now would move it.`);
      if (next.do === 'sign') say(null, 'The check is passed: it waits for your signature.');
      for (const block of offered) {
        const broken =
          conditions.windMps > pilot.windLimitMps
            ? [
                `The wind is {v:${conditions.windMps.toFixed(1)}} and this pilot's limit {v:${pilot.windLimitMps.toFixed(1)}}: not today, or on the simulator.`,
              ]
            : brokenBy(
                {
                  drillId: block.drillId,
                  flownOn: 'craft',
                  place: conditions.place,
                  windMps: conditions.windMps,
                  windLimitMps: pilot.windLimitMps,
                },
                around.restricting,
              ).map((each) => each.words);
        if (broken.length === 0) blocks.push(block);
        else if (
          !notToday.some(
            (each) => each.refused && each.pilotId === block.pilotId && each.drillId === block.drillId,
          )
        )
          say(block.drillId, broken[0]!, true);
      }
    }
  }
  return { blocks, notToday, beforeFlying };
}
