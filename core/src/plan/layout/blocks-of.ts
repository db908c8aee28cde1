import type { Around, BeforeFlying, PilotToday, WeaknessToday } from './today';
import type { Level } from '../../vocabulary/training';
import { USUAL_SEVERITY } from '../../debrief/severity';
import { type Said, sentence } from '../../vocabulary/said';
import { binomialAtMost } from '../../rates/exact-interval';
import type { Drill } from '../../drills/drill';
import type { Chart, Clearance } from '../../clearance/clearance';
import { CHECK_MISSED_ENDS } from '../../clearance/clearing-rule';
import { isFlownAsUsual, modeNow } from '../../clearance/form-now';
import { testsLeft } from '../../clearance/tests-left';
import { ScoreLattice } from '../../clearance/score-lattice';
import type { Purpose } from '../../clearance/facts';
import type { DrillGroupId, Side } from '../../drills/drill';
import { drillOf, type DrillId, isFlown } from '../../drills/drills';
import { allBefore } from '../../drills/prerequisites';
import { type WindBand, windBandOf } from '../../vocabulary/wind-band';
import { type Methods, USUAL_METHODS } from '../../methods/methods';
import { seenFromTheFront } from '../by-method';
import { AIM, abilityIn, chanceMet, levelFor } from '../ability';
import type { Block, ProposedBlock } from './block';

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
export const PRACTICE_REPS = 6;
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
/** Blocked until about so many of ten come off, then mixed; where drills are mixed early, far sooner. */
const MIXED_FROM: Readonly<Record<Methods['mixing'], number>> = { late: 0.7, early: 0.3 };
/**
 * What a practice rep at the right difficulty brings, against a whole chart from nothing to its limit: a
 * house assumption.
 */
export const LEARNT_A_REP = 0.012;
const LATELY = 10;

const isOpenChart = (chart: Chart) => chart.curve.reachedAt === null;

/** The sides of a drill, those whose charts are furthest behind first: practice goes round them. */
function sidesBehindFirst(drillId: DrillId, { charts }: Clearance): readonly Side[] {
  const shareOf = (side: Side) => {
    const chart = charts.find((each) => each.drillId === drillId && each.side === side);
    return chart && !isOpenChart(chart) ? 1 : (chart?.curve.share ?? 0);
  };
  return [...drillOf(drillId).sides].sort((a, b) => shareOf(a) - shareOf(b));
}

export const minutesFor = ({ group }: Drill, reps: number) => Math.ceil((reps * SECONDS_A_REP[group]) / 60);

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

/** Whether a pilot has met a drill, here or before. */
export const hasShown = ({ reps, shown = [] }: PilotToday, drillId: DrillId): boolean =>
  shown.includes(drillId) || reps.some((rep) => rep.drillId === drillId && rep.met && !rep.takenBack);

function handAt(weakness: WeaknessToday, drillId: DrillId, { pilot, today, findDrill }: Around): Hand {
  const drill = findDrill(drillId);
  const flown = pilot.reps.filter((rep) => rep.drillId === drillId && !rep.takenBack);
  const ability = abilityIn(drill.group, pilot.reps, today);
  const level: Level = levelFor(ability, drillId);
  const lately = flown.slice(-LATELY);
  // What the pilot has met before need not come before it again today.
  const after = [...allBefore(drillId)].filter((id) => !hasShown(pilot, id));
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
      isNew: flown.length === 0 && !hasShown(pilot, drillId),
      after,
    },
  };
}

const idOf = ({ pilotId, weaknessId, drillId }: Hand['base'], part: string) =>
  [pilotId, weaknessId, drillId, part].join('/');

/** Practice in one go, or in two halves that stay apart once most of it comes off. */
function practiceBlocks(hand: Hand, { mixing, noseIn }: Methods): readonly ProposedBlock[] {
  const { weakness, drill, weight, level, atLevel, comingOff, base } = hand;
  const sides = sidesBehindFirst(drill.id, weakness.clearance);
  const side = sides[0] ?? null;
  const charts = weakness.clearance.charts.filter((chart) => chart.drillId === drill.id);
  const open = charts.filter(isOpenChart);
  const behind = open.find((chart) => chart.side === side) ?? open[0];
  const left = charts.length > 0 ? 1 - (behind?.curve.share ?? 1) : 0.5;
  const fit = Math.max(0, 1 - Math.abs(atLevel - AIM) / AIM);
  const gain = (reps: number) => weight * reps * LEARNT_A_REP * fit * left;
  const why = (how: Said): Said => sentence('block.practice', { level, atLevel, how });
  const block = { ...base, purpose: 'practice' as const, level };
  const inDoses = noseIn === 'early' && seenFromTheFront(drill.id);
  if (inDoses || comingOff >= MIXED_FROM[mixing])
    return (['a', 'b'] as const).map((half, i) => ({
      ...block,
      side: sides[i % sides.length] ?? null,
      id: idOf(base, `practice-${half}`),
      reps: MIXED_REPS,
      minutes: minutesFor(drill, MIXED_REPS),
      gain: gain(MIXED_REPS),
      apartFrom: idOf(base, `practice-${half === 'a' ? 'b' : 'a'}`),
      why: why(inDoses ? sentence('block.in-doses') : sentence('block.mixed', { comingOff })),
    }));
  return Array.from({ length: BLOCKS_OF_ONE }, (_, i) => ({
    ...block,
    side: sides[i % sides.length] ?? null,
    id: idOf(base, `practice-${i + 1}`),
    reps: PRACTICE_REPS,
    minutes: minutesFor(drill, PRACTICE_REPS),
    gain: gain(PRACTICE_REPS) * TIRING ** i,
    apartFrom: null,
    why: why(sentence('block.in-one-go')),
  }));
}

/** What so many tests of a chart bring to it, as a share of all charts. */
function gainOfChart({ weakness: { rule, clearance }, chance }: Hand, chart: Chart, reps: number): number {
  if (!isOpenChart(chart)) return 0;
  const lattice = new ScoreLattice(rule);
  const risen = (reps * (chance * lattice.rise - (1 - chance) * lattice.fall)) / chart.curve.way;
  return Math.max(0, Math.min(1 - chart.curve.share, risen)) / clearance.charts.length;
}

/** What of the coverage a test of a chart in this wind could show that is not shown yet. */
function bringsTo({ clearance }: WeaknessToday, { drillId, side }: Chart, band: WindBand) {
  const missing = clearance.coverage.filter((cell) => cell.drillId === drillId && !cell.shown);
  return {
    newBand: missing.some(({ what }) => typeof what === 'object' && 'band' in what && what.band === band),
    newSide: missing.some(
      ({ what }) => what === 'craft' || (typeof what === 'object' && 'side' in what && what.side === side),
    ),
    asFlown: missing.some(({ what }) => what === 'as-flown') && isFlownAsUsual(drillId, clearance),
  };
}

/** Test reps of one chart, for what they bring to chart, coverage and days; null where that is nothing. */
function testBlock(hand: Hand, chart: Chart, { pilot, conditions, today }: Around): ProposedBlock | null {
  const { weakness, drill, weight, chance, base } = hand;
  const { clearance, rule } = weakness;
  const { side } = chart;
  const reps = Math.min(TEST_REPS, testsLeft(rule, pilot.reps, chart, today) ?? TEST_REPS);
  const once = 1 - (1 - chance) ** reps;
  const band = windBandOf(conditions.windMps);
  const { newBand, newSide, asFlown } = bringsTo(weakness, chart, band);
  const cells = Number(newBand) + Number(newSide) + Number(asFlown);
  const coverage = (cells * once) / Math.max(1, clearance.coverage.length);
  const days = clearance.days.find((each) => each.drillId === drill.id)?.days ?? [];
  const isNewDay = days.length < rule.passDays && !days.includes(today);
  const day = isNewDay ? once / (rule.passDays * clearance.days.length) : 0;
  const gain = gainOfChart(hand, chart, reps);
  const brings = [
    gain > 0 ? sentence('brings.chart') : null,
    newBand ? sentence('brings.band', { band }) : null,
    newSide ? sentence('brings.side') : null,
    asFlown ? sentence('brings.as-flown') : null,
    day > 0 ? sentence('brings.day') : null,
  ].filter((each) => each !== null);
  if (reps === 0 || brings.length === 0) return null;
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
    why: sentence('block.test', { brings, chance }),
  };
}

/** What is said or done before flying: up to the day's tests where the drill decides. */
export function onTheGround(
  weakness: WeaknessToday,
  drill: Drill<DrillId>,
  { pilot, today }: Around,
): BeforeFlying {
  const chart = weakness.clearance.charts.find((each) => each.drillId === drill.id);
  const left = chart && isOpenChart(chart) ? testsLeft(weakness.rule, pilot.reps, chart, today) : 0;
  return {
    pilotId: pilot.pilotId,
    weaknessId: weakness.weaknessId,
    drillId: drill.id,
    said: left ? sentence('today.decides-by-cases', { left }) : sentence('today.dose', { drill: drill.id }),
  };
}

/** The mode in which reps of a purpose are flown now, to be said in the plan; null where it is not known. */
function modeOf({ clearance }: WeaknessToday, drill: Drill<DrillId>, purpose: Purpose, { pilot }: Around) {
  return pilot.flies && isFlown(drill) ? modeNow(drill.id, purpose, pilot.flies, clearance) : null;
}

/** Practice, and tests of every chart of it that still wants some. */
export function blocksOf(
  weakness: WeaknessToday,
  drillId: DrillId,
  around: Around,
): readonly ProposedBlock[] {
  const hand = handAt(weakness, drillId, around);
  const charts = weakness.clearance.charts.filter((chart) => chart.drillId === drillId);
  const isShown = charts.length > 0 && !charts.some(isOpenChart);
  const isReady = charts.length > 0 && (hand.chance >= READY_FOR_TEST || isShown);
  const tests = isReady ? charts.flatMap((chart) => testBlock(hand, chart, around) ?? []) : [];
  const blocks = isShown ? tests : [...practiceBlocks(hand, around.pilot.methods ?? USUAL_METHODS), ...tests];
  return blocks.map((block) => ({ ...block, mode: modeOf(weakness, hand.drill, block.purpose, around) }));
}

export function checkBlocks(weakness: WeaknessToday, around: Around): readonly ProposedBlock[] {
  const { pilot, today, findDrill } = around;
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
        mode: modeOf(weakness, drill, 'check', around),
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
        why: clearance.watch ? sentence('block.check-on-watch') : sentence('block.check'),
      };
    });
}
