import { chainInWords } from '@skelby/copy/chain';
import type { CauseId } from '@skelby/core/causes/causes';
import { clearanceOf } from '@skelby/core/clearance/clearance';
import { addDays, type Day } from '@skelby/core/vocabulary/day';
import { proposeChain } from '@skelby/core/debrief/chain';
import { NO_FINDINGS } from '@skelby/core/debrief/findings';
import { answersOf } from '@skelby/core/evidence/evidence';
import type { OccurrenceKind } from '@skelby/core/vocabulary/flying';
import type { SchoolTx } from '../db/in-school';
import type { AnyCommand } from '@skelby/core/commands/command';
import { confirmCause } from '@skelby/core/commands/confirm-cause';
import { logOccurrence } from '@skelby/core/commands/log-occurrence';
import { moveWeakness } from '@skelby/core/commands/move-weakness';
import { saveDebrief } from '@skelby/core/commands/save-debrief';
import { saveCraft, saveFlight, savePilot, saveSite } from '@skelby/core/commands/save-records';
import type { FlownAnswers } from '@skelby/core/schemas/flown';
import { putOnCourse } from './on-course';
import { RECORDED_CAUSE, recordCrash, recordDays } from './recorded';
import { loadFacts } from '../facts/weakness-facts';
import { DEMO_DEBRIEFS } from './debriefs';
import type { SeasonBook } from './season-book';
import { SeasonFlying } from './season-flying';
import { DEMO_CRAFT, DEMO_PILOTS, DEMO_SITES, DEMO_STORIES, type DemoStory } from './school';

/** Length of a season, days. */
export const SEASON_DAYS = 120;
/** How often it shows, however much is flown, in whoever is stuck; and in whoever falls back. */
const STUCK = 0.5;
const RELAPSE = 0.9;

interface Fleet {
  readonly pilots: readonly string[];
  readonly craft: readonly string[];
  readonly sites: readonly string[];
}

/** Writes the demo's history through the same functions that serve a trainer's taps. */
export class Season {
  private fleet: Fleet = { pilots: [], craft: [], sites: [] };
  private readonly school: SchoolTx;
  private readonly flying: SeasonFlying;

  /**
   * @param pilots so many of them, with what happened to them
   * @param isRecorded with files of recorders, a dozen flights and a crash, and pilots on the course
   */
  constructor(
    private readonly book: SeasonBook,
    private readonly pilots: number = DEMO_PILOTS.length,
    private readonly isRecorded = false,
  ) {
    this.school = book.school;
    this.flying = new SeasonFlying(book);
  }

  async write(): Promise<void> {
    const saveAll = async (command: AnyCommand, all: readonly object[]) => {
      const keys: string[] = [];
      for (const fields of all) {
        const id = this.book.key();
        await this.book.carryOut(command, { id }, fields);
        keys.push(id);
      }
      return keys;
    };
    this.fleet = {
      pilots: await saveAll(
        savePilot,
        DEMO_PILOTS.slice(0, this.pilots).map((pilot) => ({ ...pilot, consentBy: pilot.name })),
      ),
      craft: await saveAll(saveCraft, DEMO_CRAFT),
      sites: await saveAll(saveSite, DEMO_SITES),
    };
    await this.flights();
    if (this.isRecorded) {
      const { pilots, craft, sites } = this.fleet;
      await recordDays({ book: this.book, pilots: pilots.slice(0, 4), craft, site: sites[0]! });
    }
    const stories = DEMO_STORIES.filter(({ pilot }) => pilot < this.pilots);
    for (const story of stories.sort((a, b) => b.daysAgo - a.daysAgo)) await this.tell(story);
    await this.book.catchUp();
    if (this.isRecorded) await putOnCourse(this.book, this.fleet.pilots);
  }

  private async flights(): Promise<void> {
    for (const [i, pilotId] of this.fleet.pilots.entries()) {
      const pilot = DEMO_PILOTS[i]!;
      const own = DEMO_CRAFT.map((craft, c) => (craft.mode === pilot.mode ? c : -1)).filter((c) => c >= 0);
      for (let ago = SEASON_DAYS - i; ago > 0; ago -= 3 + Math.floor(this.book.chance() * 6)) {
        const craft = own[Math.floor(this.book.chance() * own.length)]!;
        const packs = 1 + Math.floor(this.book.chance() * 4);
        await this.book.carryOut(
          saveFlight,
          { id: this.book.key() },
          {
            pilotId,
            craftId: this.fleet.craft[craft],
            siteId: this.fleet.sites[this.book.chance() < 0.7 ? 0 : 1],
            day: this.book.ago(ago),
            packs,
            minutes: Math.round(packs * (6 + this.book.chance() * 5)),
            windMps: Math.round(this.book.chance() * pilot.windLimitMps * 10) / 10,
          },
        );
      }
    }
  }

  private async log(story: DemoStory, day: Day): Promise<string> {
    const id = this.book.key();
    const { kind, note, windMps, cause: causeId } = story;
    const { pilots, craft, sites } = this.fleet;
    await this.book.carryOut(
      logOccurrence,
      { id },
      {
        pilotId: pilots[story.pilot],
        kind,
        causeId,
        note,
        craftId: craft[story.craft],
        siteId: sites[story.site],
        windMps,
        happenedAt: this.book.at(day, 30),
        day,
      },
    );
    return id;
  }

  private async tell(story: DemoStory): Promise<void> {
    const day = this.book.ago(story.daysAgo);
    const occurrenceId = await this.log(story, day);
    if (this.isRecorded && story.kind === 'crash' && story.cause === RECORDED_CAUSE)
      await recordCrash(this.book, occurrenceId, this.fleet.pilots[story.pilot]!);
    if (story.ending === 'to-debrief') return;
    const weaknessId = await this.debrief(occurrenceId, story.cause, this.book.at(day, 50));
    await this.finish(story, weaknessId, day);
  }

  private async confirm(occurrenceId: string, causeId: CauseId, at: string): Promise<string> {
    const fields = {
      causeId,
      weaknessId: this.book.key(),
      moveId: this.book.key(),
      planId: this.book.key(),
      at,
    };
    const done = await this.book.carryOut(confirmCause, { id: occurrenceId }, fields);
    return (done as { weaknessId: string }).weaknessId;
  }

  /** Debriefs what the demo has findings for; confirms the rest as logged. */
  private async debrief(occurrenceId: string, causeId: CauseId, at: string): Promise<string> {
    const found = DEMO_DEBRIEFS[causeId];
    if (!found) return this.confirm(occurrenceId, causeId, at);
    const { kind, flown } = (await this.school
      .tx('occurrences')
      .where({ id: occurrenceId })
      .first('kind', 'flown')) as { kind: OccurrenceKind; flown: FlownAnswers | null };
    const evidence = { ...flown?.evidence, ...found.evidence };
    const findings = { ...NO_FINDINGS, ownPick: causeId, primary: causeId, ...found, evidence };
    const known = answersOf(findings.evidence);
    const chain = chainInWords(proposeChain(known, causeId, findings.contributing, kind));
    const done = await this.book.carryOut(
      saveDebrief,
      { id: occurrenceId, versionId: this.book.key() },
      {
        base: 0,
        state: 'closed',
        reason: '',
        at,
        weaknessId: this.book.key(),
        moveId: this.book.key(),
        undoId: this.book.key(),
        planId: this.book.key(),
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
    await this.book.carryOut(
      moveWeakness,
      { id: weaknessId, moveId: this.book.key() },
      {
        kind,
        undoes: null,
        at: this.book.at(day, 400),
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
        await this.flying.practise(weaknessId, addDays(day, 1), 8);
        return this.flying.test(weaknessId, addDays(day, 2), 0.55);
      case 'stuck':
        await this.flying.practise(weaknessId, addDays(day, 1), 12);
        (await this.flying.learnerOf(weaknessId)).relapse(STUCK, 1);
        return this.flying.test(weaknessId, addDays(day, 3), 1);
      case 'waiting':
        await this.flying.practise(weaknessId, addDays(day, 2), 10);
        return this.flying.test(weaknessId, this.book.ago(8), 1);
      case 'check-due':
        await this.flying.practise(weaknessId, addDays(day, 3), 14);
        return this.flying.test(weaknessId, this.book.ago(19), 1);
      case 'check-passed':
        await this.ready(weaknessId, day);
        return this.flying.check(weaknessId, this.book.ago(1));
      case 'check-failed':
        await this.ready(weaknessId, day);
        (await this.flying.learnerOf(weaknessId)).relapse(RELAPSE);
        await this.flying.check(weaknessId, await this.checkFrom(weaknessId));
        return this.flying.practise(weaknessId, this.book.ago(6), 5);
      case 'signed-early':
        await this.flying.practise(weaknessId, addDays(day, 2), 9);
        await this.flying.test(weaknessId, addDays(day, 4), 0.5);
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
        return this.move(weaknessId, 'closed', this.book.ago(8), 'Two months without a repeat.');
      case 'reopened':
        await this.clear(weaknessId, day);
        return this.happensAgain(story, weaknessId);
    }
  }

  private async happensAgain(story: DemoStory, weaknessId: string): Promise<void> {
    const day = this.book.ago(9);
    const occurrenceId = await this.log(
      { ...story, kind: 'near-miss', note: 'Followed the gully on the picture again.', windMps: 2.2 },
      day,
    );
    await this.confirm(occurrenceId, story.cause, this.book.at(day, 45));
    await this.flying.practise(weaknessId, this.book.ago(4), 6);
  }

  private async ready(weaknessId: string, day: Day): Promise<void> {
    await this.flying.practise(weaknessId, addDays(day, 2), 10);
    await this.flying.test(weaknessId, addDays(day, 4), 1);
  }

  private async checkFrom(weaknessId: string): Promise<Day> {
    return clearanceOf(await loadFacts(this.school, weaknessId)).check!.from;
  }

  private async clear(weaknessId: string, day: Day): Promise<void> {
    await this.ready(weaknessId, day);
    const from = await this.checkFrom(weaknessId);
    await this.flying.check(weaknessId, from);
    await this.move(weaknessId, 'signed', from);
  }
}
