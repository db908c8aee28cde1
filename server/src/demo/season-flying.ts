import { type Chart, type Clearance, clearanceOf } from '@skelby/core/clearance/clearance';
import { testsADayOf } from '@skelby/core/clearance/clearing-rule';
import { modesFor } from '@skelby/core/clearance/counts-for-test';
import { bandsWanted } from '@skelby/core/clearance/coverage';
import type { Purpose } from '@skelby/core/clearance/facts';
import { newRep, recordRep } from '@skelby/core/commands/record-rep';
import type { Side } from '@skelby/core/drills/drill';
import { deckFor } from '@skelby/core/drill-cases/decks';
import { drillOf, type DrillId } from '@skelby/core/drills/drills';
import { Learner } from '@skelby/core/synthetic-pilot/learner';
import { addDays, type Day } from '@skelby/core/vocabulary/day';
import type { FlightMode } from '@skelby/core/vocabulary/flying';
import type { WindBand } from '@skelby/core/vocabulary/wind-band';
import { loadFacts, type LoadedFacts } from '../facts/weakness-facts';
import { FLOWN } from './flown';
import { demoHabitOf, FLOWN_EACH, flownKey, type FlownRep } from './flying';
import { DEMO_MISS_REASONS } from './school';
import type { SeasonBook } from './season-book';

/** Share of a habit that a rep leaves. */
const LEAVES = 0.9;
/** Longest that a demo pilot is tested for. */
const MOST_TEST_DAYS = 12;
const MOST_CHECK_REPS = 60;

/** Whether a chart, or the coverage of its drill, still wants test reps. */
const isLeft = ({ drillId, side, curve }: Chart, coverage: Clearance['coverage'], upTo: number): boolean =>
  upTo < 1
    ? curve.share < upTo
    : curve.reachedAt === null ||
      coverage.some(
        (cell) =>
          cell.drillId === drillId &&
          !cell.shown &&
          (typeof cell.what === 'string' || !('side' in cell.what) || cell.what.side === side),
      );

interface DemoRep {
  readonly weaknessId: string;
  readonly drillId: DrillId;
  readonly purpose: Purpose;
  readonly flown: FlownRep;
  readonly side: Side | null;
  readonly band: WindBand;
  readonly flies: FlightMode;
  readonly day: Day;
  readonly minute: number;
  readonly onSimulator?: boolean;
}

/** Flies the reps of the demo's season: practice, tests and checks. */
export class SeasonFlying {
  private readonly drawn = new Map<DrillId, number>();
  private readonly learners = new Map<string, Learner<FlownRep>>();

  constructor(private readonly book: SeasonBook) {}

  private async rep(asked: DemoRep): Promise<void> {
    const { weaknessId, drillId, purpose, side, band, day, minute } = asked;
    const [missReason, measure] = asked.flown;
    const rep = newRep({
      weaknessId,
      drillId,
      purpose,
      met: missReason === null,
      missReason,
      measure,
      side,
      band,
      flownOn: asked.onSimulator ? 'simulator' : 'craft',
      mode: modesFor(drillOf(drillId), { mode: asked.flies })[0]!,
      pilotRelative: false,
      drillVersion: 0,
      pack: 1 + Math.floor(minute / 60),
      day,
      flownAt: this.book.at(day, 60 + minute),
      caseId: this.nextCase(drillId),
    });
    await this.book.carryOut(recordRep, { id: this.book.key() }, rep, `${weaknessId} ${purpose} ${day}`);
  }

  /** One case after the other: what was drawn does not matter here. */
  private nextCase(drillId: DrillId): string | null {
    const cases = deckFor(drillId);
    const nth = this.drawn.get(drillId) ?? 0;
    this.drawn.set(drillId, nth + 1);
    return cases[nth % cases.length]?.id ?? null;
  }

  /** Reps are flown by synthetic hands: they have the habit behind the cause, and wear it down. */
  async learnerOf(weaknessId: string): Promise<Learner<FlownRep>> {
    const known = this.learners.get(weaknessId);
    if (known) return known;
    const { causeId } = await loadFacts(this.book.school, weaknessId);
    const learner = new Learner<FlownRep>(
      demoHabitOf(causeId),
      LEAVES,
      100 + this.book.made,
      (drillId, side, habit, nth) => {
        const key = flownKey(drillId, side);
        const series = (habit ? FLOWN.habits[habit]?.[key] : undefined) ?? FLOWN.steady[key];
        return series?.[nth % FLOWN_EACH] ?? null;
      },
    );
    this.learners.set(weaknessId, learner);
    return learner;
  }

  /**
   * A rep that no flight can tell of: spoken, on the ground, or not for the simulator. @param missed how
   * often it is
   */
  private told(missed: number): FlownRep {
    return [
      this.book.chance() >= missed
        ? null
        : DEMO_MISS_REASONS[Math.floor(this.book.chance() * DEMO_MISS_REASONS.length)]!,
      null,
    ];
  }

  async practise(weaknessId: string, day: Day, reps: number): Promise<void> {
    const facts = await loadFacts(this.book.school, weaknessId);
    const { drillIds: drills } = (await this.book.school
      .tx('plans')
      .where({ weaknessId })
      .orderBy('made_at', 'desc')
      .first('drill_ids')) as { drillIds: readonly DrillId[] };
    const learner = await this.learnerOf(weaknessId);
    for (let i = 0; i < reps; i += 1) {
      const drill = drillOf(drills[Math.floor((i * drills.length) / reps)]!);
      const side = drill.sides.length === 0 ? null : drill.sides[i % drill.sides.length]!;
      await this.rep({
        weaknessId,
        drillId: drill.id,
        purpose: 'practice',
        flown: learner.fly(drill.id, side) ?? this.told(0.38),
        side,
        band: 'calm',
        flies: facts.pilot.mode,
        day,
        minute: i * 4,
        onSimulator: drill.simulator === 'first',
      });
    }
  }

  /** Flies test reps day by day, as many as count, up to a share of each chart's limit and of the coverage. */
  async test(weaknessId: string, from: Day, upTo: number): Promise<void> {
    for (
      let day = from;
      day <= addDays(from, MOST_TEST_DAYS) && day <= this.book.today;
      day = addDays(day, 1)
    ) {
      const facts = await loadFacts(this.book.school, weaknessId);
      const { charts, coverage } = clearanceOf(facts);
      const left = charts.filter((chart) => isLeft(chart, coverage, upTo));
      if (left.length === 0) return;
      for (const [i, chart] of left.entries())
        await this.testOneDay(weaknessId, facts, chart, { day, upTo, i });
    }
  }

  /** One chart's test reps of one day, in the winds in which they are wanted by turns. */
  private async testOneDay(
    weaknessId: string,
    facts: LoadedFacts,
    { drillId, side }: Pick<Chart, 'drillId' | 'side'>,
    { day, upTo, i }: { readonly day: Day; readonly upTo: number; readonly i: number },
  ): Promise<void> {
    const learner = await this.learnerOf(weaknessId);
    for (let rep = 0; rep < testsADayOf(facts.rule); rep += 1) {
      const { charts, coverage } = clearanceOf(await loadFacts(this.book.school, weaknessId));
      const now = charts.find((chart) => chart.drillId === drillId && chart.side === side)!;
      if (!isLeft(now, coverage, upTo)) return;
      const bands = bandsWanted(drillId, facts.pilot.windLimitMps);
      const missing = coverage
        .filter((cell) => cell.drillId === drillId && !cell.shown)
        .flatMap(({ what }) => (typeof what === 'object' && 'band' in what ? [what.band] : []));
      const band =
        (missing.length > 0 ? missing : bands)[now.curve.reps % (missing.length || bands.length)] ?? 'calm';
      await this.rep({
        weaknessId,
        drillId,
        purpose: 'test',
        flown: learner.fly(drillId, side) ?? this.told(0.05),
        side,
        band,
        flies: facts.pilot.mode,
        day,
        minute: (i * testsADayOf(facts.rule) + rep) * 4,
      });
    }
  }

  /** Flies a check until it is passed or has failed. */
  async check(weaknessId: string, day: Day): Promise<void> {
    const learner = await this.learnerOf(weaknessId);
    for (let i = 0; i < MOST_CHECK_REPS; i += 1) {
      const facts = await loadFacts(this.book.school, weaknessId);
      const left = clearanceOf(facts).check?.drills.find((drill) => !drill.passed);
      if (!left) return;
      const { drillId, side = null } = left;
      await this.rep({
        weaknessId,
        drillId,
        purpose: 'check',
        flown: learner.fly(drillId, side) ?? this.told(0),
        side,
        band: 'calm',
        flies: facts.pilot.mode,
        day,
        minute: i * 4,
      });
    }
  }
}
