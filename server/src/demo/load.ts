import type { CauseId } from '@skelby/core/causes/causes';
import { type Chart, type Clearance, clearanceOf } from '@skelby/core/clearance/clearance';
import { testsADayOf } from '@skelby/core/clearance/clearing-rule';
import { modesFor } from '@skelby/core/clearance/counts-for-test';
import { bandsWanted } from '@skelby/core/clearance/coverage';
import type { Purpose } from '@skelby/core/clearance/facts';
import type { Side } from '@skelby/core/drills/drill';
import { deckFor } from '@skelby/core/drill-cases/decks';
import { drillOf, type DrillId } from '@skelby/core/drills/drills';
import { addDays, type Day } from '@skelby/core/vocabulary/day';
import { proposeChain } from '@skelby/core/debrief/chain';
import { NO_FINDINGS } from '@skelby/core/debrief/findings';
import { answersOf } from '@skelby/core/evidence/evidence';
import type { FlightMode, OccurrenceKind } from '@skelby/core/vocabulary/flying';
import type { WindBand } from '@skelby/core/vocabulary/wind-band';
import { Learner } from '@skelby/core/synthetic-pilot/learner';
import type { Knex } from 'knex';
import { v7 as uuidv7 } from 'uuid';
import { addSchool, addTrainer } from '../db/add-school';
import { inSchool, type SchoolTx } from '../db/in-school';
import type { AnyCommand } from '@skelby/core/commands/command';
import { confirmCause } from '@skelby/core/commands/confirm-cause';
import { logOccurrence } from '@skelby/core/commands/log-occurrence';
import { moveWeakness } from '@skelby/core/commands/move-weakness';
import { newRep, recordRep } from '@skelby/core/commands/record-rep';
import { saveDebrief } from '@skelby/core/commands/save-debrief';
import { saveCraft, saveFlight, savePilot, saveSite } from '@skelby/core/commands/save-records';
import { carryOut } from '../commands/carry-out';
import { loadFacts, type LoadedFacts } from '../facts/weakness-facts';
import { chanceFrom } from './chance';
import { DEMO_DEBRIEFS } from './debriefs';
import { FLOWN } from './flown';
import { demoHabitOf, FLOWN_EACH, flownKey, type FlownRep } from './flying';
import {
  DEMO_CRAFT,
  DEMO_MISS_REASONS,
  DEMO_PILOTS,
  DEMO_SCHOOL,
  DEMO_SITES,
  DEMO_STORIES,
  DEMO_TRAINERS,
  type DemoStory,
} from './school';

const SEASON_DAYS = 120;
/** Share of a habit that a rep leaves. */
const LEAVES = 0.9;
/** How often it shows, however much is flown, in whoever is stuck; and in whoever falls back. */
const STUCK = 0.5;
const RELAPSE = 0.9;

interface Fleet {
  readonly pilots: readonly string[];
  readonly craft: readonly string[];
  readonly sites: readonly string[];
}

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

/** Writes the demo's history through the same functions that serve a trainer's taps. */
class Season {
  private readonly chance = chanceFrom(7);
  private readonly drawn = new Map<DrillId, number>();
  private readonly learners = new Map<string, Learner<FlownRep>>();
  private made = 0;
  private fleet: Fleet = { pilots: [], craft: [], sites: [] };

  constructor(
    private readonly school: SchoolTx,
    private readonly today: Day,
  ) {}

  private key(): string {
    this.made += 1;
    const random = new Uint8Array(16).map(() => Math.floor(this.chance() * 256));
    return uuidv7({ msecs: Date.parse(`${this.today}T00:00:00Z`) - 1_000_000 + this.made, random });
  }

  private ago = (days: number): Day => addDays(this.today, -days);
  private at = (day: Day, minute: number): string =>
    new Date(Date.parse(`${day}T09:00:00Z`) + minute * 60_000).toISOString();

  async write(): Promise<void> {
    const saveAll = async (command: AnyCommand, all: readonly object[]) => {
      const keys: string[] = [];
      for (const fields of all) {
        const id = this.key();
        await carryOut(this.school, command, { id }, fields);
        keys.push(id);
      }
      return keys;
    };
    this.fleet = {
      pilots: await saveAll(savePilot, DEMO_PILOTS),
      craft: await saveAll(saveCraft, DEMO_CRAFT),
      sites: await saveAll(saveSite, DEMO_SITES),
    };
    await this.flights();
    for (const story of [...DEMO_STORIES].sort((a, b) => b.daysAgo - a.daysAgo)) await this.tell(story);
  }

  private async flights(): Promise<void> {
    for (const [i, pilotId] of this.fleet.pilots.entries()) {
      const pilot = DEMO_PILOTS[i]!;
      const own = DEMO_CRAFT.map((craft, c) => (craft.mode === pilot.mode ? c : -1)).filter((c) => c >= 0);
      for (let ago = SEASON_DAYS - i; ago > 0; ago -= 3 + Math.floor(this.chance() * 6)) {
        const craft = own[Math.floor(this.chance() * own.length)]!;
        const packs = 1 + Math.floor(this.chance() * 4);
        await carryOut(
          this.school,
          saveFlight,
          { id: this.key() },
          {
            pilotId,
            craftId: this.fleet.craft[craft],
            siteId: this.fleet.sites[this.chance() < 0.7 ? 0 : 1],
            day: this.ago(ago),
            packs,
            minutes: Math.round(packs * (6 + this.chance() * 5)),
            windMps: Math.round(this.chance() * pilot.windLimitMps * 10) / 10,
          },
        );
      }
    }
  }

  private async tell(story: DemoStory): Promise<void> {
    const day = this.ago(story.daysAgo);
    const occurrenceId = this.key();
    await carryOut(
      this.school,
      logOccurrence,
      { id: occurrenceId },
      {
        pilotId: this.fleet.pilots[story.pilot],
        kind: story.kind,
        causeId: story.cause,
        note: story.note,
        craftId: this.fleet.craft[story.craft],
        siteId: this.fleet.sites[story.site],
        windMps: story.windMps,
        happenedAt: this.at(day, 30),
        day,
      },
    );
    if (story.ending === 'to-debrief') return;
    const weaknessId = await this.debrief(occurrenceId, story.cause, this.at(day, 50));
    await this.finish(story, weaknessId, day);
  }

  private async confirm(occurrenceId: string, causeId: CauseId, at: string): Promise<string> {
    const fields = { causeId, weaknessId: this.key(), moveId: this.key(), planId: this.key(), at };
    const done = await carryOut(this.school, confirmCause, { id: occurrenceId }, fields);
    return (done as { weaknessId: string }).weaknessId;
  }

  /** Debriefs what the demo has findings for; confirms the rest as logged. */
  private async debrief(occurrenceId: string, causeId: CauseId, at: string): Promise<string> {
    const found = DEMO_DEBRIEFS[causeId];
    if (!found) return this.confirm(occurrenceId, causeId, at);
    const findings = { ...NO_FINDINGS, ownPick: causeId, primary: causeId, ...found };
    const { kind } = (await this.school.tx('occurrences').where({ id: occurrenceId }).first('kind')) as {
      kind: OccurrenceKind;
    };
    const chain = proposeChain(answersOf(findings.evidence), causeId, findings.contributing, kind);
    const done = await carryOut(
      this.school,
      saveDebrief,
      { id: occurrenceId, versionId: this.key() },
      {
        base: 0,
        state: 'closed',
        reason: '',
        at,
        weaknessId: this.key(),
        moveId: this.key(),
        undoId: this.key(),
        planId: this.key(),
        findings: { ...findings, chain },
      },
    );
    return (done as { weaknessId: string }).weaknessId;
  }

  private async move(
    weaknessId: string,
    kind: 'signed' | 'signed-early' | 'closed',
    day: Day,
    reason = '',
  ): Promise<void> {
    await carryOut(
      this.school,
      moveWeakness,
      { id: weaknessId, moveId: this.key() },
      {
        kind,
        undoes: null,
        at: this.at(day, 400),
        day,
        reason,
      },
    );
  }

  private async finish(story: DemoStory, weaknessId: string, day: Day): Promise<void> {
    switch (story.ending) {
      case 'to-debrief':
      case 'open':
      case 'added':
        return;
      case 'drilling':
        await this.practise(weaknessId, addDays(day, 1), 8);
        return this.test(weaknessId, addDays(day, 2), 0.55);
      case 'stuck':
        await this.practise(weaknessId, addDays(day, 1), 12);
        (await this.learnerOf(weaknessId)).relapse(STUCK, 1);
        return this.test(weaknessId, addDays(day, 3), 1);
      case 'waiting':
        await this.practise(weaknessId, addDays(day, 2), 10);
        return this.test(weaknessId, this.ago(8), 1);
      case 'check-due':
        await this.practise(weaknessId, addDays(day, 3), 14);
        return this.test(weaknessId, this.ago(19), 1);
      case 'check-passed':
        await this.ready(weaknessId, day);
        return this.check(weaknessId, this.ago(1));
      case 'check-failed':
        await this.ready(weaknessId, day);
        (await this.learnerOf(weaknessId)).relapse(RELAPSE);
        await this.check(weaknessId, await this.checkFrom(weaknessId));
        return this.practise(weaknessId, this.ago(6), 5);
      case 'signed-early':
        await this.practise(weaknessId, addDays(day, 2), 9);
        await this.test(weaknessId, addDays(day, 4), 0.5);
        return this.move(
          weaknessId,
          'signed-early',
          addDays(day, 9),
          'Flew six windy out-and-backs with me on a course, all called in time.',
        );
      case 'watch':
        return this.clear(weaknessId, day);
      case 'closed':
        await this.clear(weaknessId, day);
        return this.move(weaknessId, 'closed', this.ago(8), 'Two months without a repeat.');
      case 'reopened': {
        await this.clear(weaknessId, day);
        const again = this.ago(9);
        const occurrenceId = this.key();
        await carryOut(
          this.school,
          logOccurrence,
          { id: occurrenceId },
          {
            pilotId: this.fleet.pilots[story.pilot],
            kind: 'near-miss',
            causeId: story.cause,
            note: 'Followed the gully on the picture again.',
            craftId: this.fleet.craft[story.craft],
            siteId: this.fleet.sites[story.site],
            windMps: 2.2,
            happenedAt: this.at(again, 30),
            day: again,
          },
        );
        await this.confirm(occurrenceId, story.cause, this.at(again, 45));
        return this.practise(weaknessId, this.ago(4), 6);
      }
    }
  }

  private async ready(weaknessId: string, day: Day): Promise<void> {
    await this.practise(weaknessId, addDays(day, 2), 10);
    await this.test(weaknessId, addDays(day, 4), 1);
  }

  private async checkFrom(weaknessId: string): Promise<Day> {
    return clearanceOf(await loadFacts(this.school, weaknessId)).check!.from;
  }

  private async clear(weaknessId: string, day: Day): Promise<void> {
    await this.ready(weaknessId, day);
    const from = await this.checkFrom(weaknessId);
    await this.check(weaknessId, from);
    await this.move(weaknessId, 'signed', from);
  }

  private async rep(
    weaknessId: string,
    drillId: DrillId,
    purpose: Purpose,
    [missReason, measure]: FlownRep,
    side: Side | null,
    band: WindBand,
    flies: FlightMode,
    day: Day,
    minute: number,
    onSimulator = false,
  ): Promise<void> {
    const rep = newRep({
      weaknessId,
      drillId,
      purpose,
      met: missReason === null,
      missReason,
      measure,
      side,
      band,
      flownOn: onSimulator ? 'simulator' : 'craft',
      mode: modesFor(drillOf(drillId), { mode: flies })[0]!,
      pilotRelative: false,
      drillVersion: 0,
      pack: 1 + Math.floor(minute / 60),
      day,
      flownAt: this.at(day, 60 + minute),
      caseId: this.nextCase(drillId),
    });
    await carryOut(this.school, recordRep, { id: this.key() }, rep);
  }

  /** One case after the other: what was drawn does not matter here. */
  private nextCase(drillId: DrillId): string | null {
    const cases = deckFor(drillId);
    const nth = this.drawn.get(drillId) ?? 0;
    this.drawn.set(drillId, nth + 1);
    return cases[nth % cases.length]?.id ?? null;
  }

  /** Reps are flown by synthetic hands: they have the habit behind the cause, and wear it down. */
  private async learnerOf(weaknessId: string): Promise<Learner<FlownRep>> {
    const known = this.learners.get(weaknessId);
    if (known) return known;
    const { causeId } = await loadFacts(this.school, weaknessId);
    const learner = new Learner<FlownRep>(
      demoHabitOf(causeId),
      LEAVES,
      100 + this.made,
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
      this.chance() >= missed
        ? null
        : DEMO_MISS_REASONS[Math.floor(this.chance() * DEMO_MISS_REASONS.length)]!,
      null,
    ];
  }

  private async practise(weaknessId: string, day: Day, reps: number): Promise<void> {
    const facts = await loadFacts(this.school, weaknessId);
    const { drillIds: drills } = (await this.school
      .tx('plans')
      .where({ weaknessId })
      .orderBy('made_at', 'desc')
      .first('drill_ids')) as { drillIds: readonly DrillId[] };
    const learner = await this.learnerOf(weaknessId);
    for (let i = 0; i < reps; i += 1) {
      const drill = drillOf(drills[Math.floor((i * drills.length) / reps)]!);
      const side = drill.sides.length === 0 ? null : drill.sides[i % drill.sides.length]!;
      await this.rep(
        weaknessId,
        drill.id,
        'practice',
        learner.fly(drill.id, side) ?? this.told(0.38),
        side,
        'calm',
        facts.pilot.mode,
        day,
        i * 4,
        drill.simulator === 'first',
      );
    }
  }

  /** Flies test reps day by day, as many as count, up to a share of each chart's limit and of the coverage. */
  private async test(weaknessId: string, from: Day, upTo: number): Promise<void> {
    for (let day = from; day <= addDays(from, MOST_TEST_DAYS) && day <= this.ago(0); day = addDays(day, 1)) {
      const facts = await loadFacts(this.school, weaknessId);
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
      const { charts, coverage } = clearanceOf(await loadFacts(this.school, weaknessId));
      const now = charts.find((chart) => chart.drillId === drillId && chart.side === side)!;
      if (!isLeft(now, coverage, upTo)) return;
      const bands = bandsWanted(drillId, facts.pilot.windLimitMps);
      const missing = coverage
        .filter((cell) => cell.drillId === drillId && !cell.shown)
        .flatMap(({ what }) => (typeof what === 'object' && 'band' in what ? [what.band] : []));
      const band =
        (missing.length > 0 ? missing : bands)[now.curve.reps % (missing.length || bands.length)] ?? 'calm';
      await this.rep(
        weaknessId,
        drillId,
        'test',
        learner.fly(drillId, side) ?? this.told(0.05),
        side,
        band,
        facts.pilot.mode,
        day,
        (i * testsADayOf(facts.rule) + rep) * 4,
      );
    }
  }

  /** Flies a check until it is passed or has failed. */
  private async check(weaknessId: string, day: Day): Promise<void> {
    const learner = await this.learnerOf(weaknessId);
    for (let i = 0; i < MOST_CHECK_REPS; i += 1) {
      const facts = await loadFacts(this.school, weaknessId);
      const left = clearanceOf(facts).check?.drills.find((drill) => !drill.passed);
      if (!left) return;
      const { drillId, side = null } = left;
      await this.rep(
        weaknessId,
        drillId,
        'check',
        learner.fly(drillId, side) ?? this.told(0),
        side,
        'calm',
        facts.pilot.mode,
        day,
        i * 4,
      );
    }
  }
}

/**
 * Loads the demo school unless it is there already; dates run up to the day of loading.
 * @returns whether it was loaded
 */
export async function loadDemo(db: Knex, now: Date): Promise<boolean> {
  if (await db('schools').whereNotNull('demo_loaded_on').first()) return false;
  const today = now.toISOString().slice(0, 10);
  await db.transaction(async (tx) => {
    const schoolId = await addSchool(tx, {
      name: DEMO_SCHOOL,
      demoLoadedOn: today,
      ruleFrom: new Date(`${addDays(today, -SEASON_DAYS - 30)}T00:00:00Z`),
    });
    const accounts: string[] = [];
    for (const trainer of DEMO_TRAINERS) accounts.push(await addTrainer(tx, schoolId, trainer));
    await inSchool(tx, { schoolId, accountId: accounts[0]! }, (school) => new Season(school, today).write());
  });
  return true;
}
