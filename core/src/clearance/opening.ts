import { addDays, type Day } from '../vocabulary/day';
import { onReleaseIn } from '../vocabulary/flying';
import { type Cell, CheckRound, type KeptCheck } from './check-round';
import { testsADayOf } from './clearing-rule';
import { whyNotCounted } from './counts-for-test';
import { coverageOf } from './coverage';
import type { CurveTails } from './curve-tails';
import { daysOf } from './days-of';
import type { Move, Rep, OpeningStamp, WeaknessFacts } from './facts';
import { firstThree, type FirstThree } from './first-three';
import type { Check } from './rungs';
import { type KeptShown, ShownTests } from './shown-tests';
import { type KeptCharts, TestCharts } from './test-charts';
import { type KeptWatch, WatchRound } from './watch-round';

/** Whether drills with two forms are shown in both, flown with this. */
const showsTwoForms = ({ mode, holdOff }: OpeningStamp): boolean =>
  holdOff === true && onReleaseIn(mode) === 'hold';

/** An opening as it is written down. */
export interface KeptOpening extends Pick<
  Opening,
  'phase' | 'openings' | 'signedEarly' | 'isUnproven' | 'relapsed' | 'keptOn' | 'lastPractice' | 'flown'
> {
  readonly openedAnewAt: string | null;
  readonly failedAt: readonly string[];
  readonly round: KeptCheck | null;
  readonly watch: KeptWatch | null;
  readonly charts: KeptCharts;
  readonly shown: KeptShown;
  readonly stamps: readonly OpeningStamp[];
}

/**
 * A weakness from its first confirmed cause on, moved by what happened in the order in which it did. What was
 * shown must still stand: the evidence goes on after the pass, and a cell of the coverage is shown by the last
 * tests of it.
 */
export class Opening {
  phase: 'none' | 'active' | 'watch' | 'closed' = 'none';
  openings = 0;
  signedEarly = false;
  /** Signed as cleared although not everything stood, as it is known now. */
  isUnproven = false;
  relapsed = false;
  keptOn: Day | null = null;
  round: CheckRound | null = null;
  watch: WatchRound | null = null;
  /** Day of the last practice of any kind before the check. */
  lastPractice: Day | null = null;
  /** Reps flown since it was opened, or since it was called back. */
  flown = 0;
  failedAt: string[] = [];
  charts: TestCharts;
  private shown = new ShownTests();
  private stamps: OpeningStamp[];
  private known: FirstThree | null = null;
  private openedAnewAt: string | null = null;

  constructor(private readonly facts: WeaknessFacts) {
    this.charts = new TestCharts(facts.rule);
    this.charts.decideBy(facts.deciding?.[0]?.keyDrills ?? facts.keyDrills);
    this.stamps = [facts.stamps?.[0] ?? { at: '', ...facts.pilot }];
  }

  get three(): FirstThree {
    const limit = Math.max(...this.stamps.map(({ windLimitMps }) => windLimitMps));
    const keyDrills = [...new Set(this.charts.deciding.map(({ drillId }) => drillId))];
    const { counted, asFlown } = this.shown.all;
    const shown = { counted, asFlown: this.stamps.some(showsTwoForms) ? asFlown : null };
    this.known ??= firstThree(
      {
        charts: this.charts.charts(),
        coverage: coverageOf(keyDrills, limit, shown, 'still-stands'),
        days: daysOf(keyDrills, counted),
      },
      this.facts.rule,
    );
    return this.known;
  }

  get isReady(): boolean {
    return this.lastPractice !== null && this.charts.allPassed && this.three.met;
  }

  get checkFrom(): Day | null {
    return this.lastPractice && addDays(this.lastPractice, this.facts.rule.checkGapDays);
  }

  /** How far the check has been flown; a passed one stays as it ended. */
  checkDrills(): Check['drills'] {
    return (this.round ?? new CheckRound(this.charts.deciding)).drills();
  }

  /** A cause was confirmed. @param stands whether it has not been taken back since */
  confirm({ at, happenedOn = null }: Pick<Move, 'at' | 'happenedOn'>, stands: boolean): void {
    if (this.phase === 'none') {
      this.phase = 'active';
      this.openings = 1;
      this.charts.begin(happenedOn);
    } else if (!stands) {
      return;
    } else if (this.phase === 'watch' || this.phase === 'closed') {
      if (this.signedEarly || this.relapsed) {
        this.charts.lower();
        this.charts.happenedToo(happenedOn);
      } else {
        this.openAnew(at);
        this.charts.begin(happenedOn);
      }
      this.goBack();
      [this.relapsed, this.signedEarly, this.lastPractice] = [false, false, null];
      [this.flown, this.failedAt.length] = [0, 0];
    } else if (this.isReady) {
      // What was shown did not last; what was spent on showing it stays spent.
      this.charts.lower();
      this.charts.happenedToo(happenedOn);
      this.goBack();
    } else {
      this.charts.happenedToo(happenedOn);
    }
    this.known = null;
  }

  sign(early: boolean, day: Day): void {
    this.isUnproven = !early && (this.keptOn === null || !this.charts.allPassed || !this.three.met);
    this.phase = 'watch';
    [this.signedEarly, this.relapsed] = [early, false];
    for (const cell of this.charts.deciding) this.charts.of(cell).watch();
    this.watch = new WatchRound(this.facts.rule, this.charts.deciding, this.keptOn, day);
  }

  close(): void {
    this.phase = 'closed';
  }

  stamp(stamp: OpeningStamp): void {
    if (this.stamps.some(({ at }) => at === stamp.at)) return;
    this.known = null;
    if (stamp.at === this.openedAnewAt) {
      // It came with the new opening: what was to be shown in the last one is over.
      this.stamps = [stamp];
      return;
    }
    const { mode, windLimitMps, holdOff = false } = this.stamps.at(-1)!;
    this.stamps.push(stamp);
    if (stamp.mode !== mode || stamp.windLimitMps !== windLimitMps || (stamp.holdOff ?? false) !== holdOff) {
      this.charts.beginAgain();
      [this.round, this.keptOn] = [null, null];
    }
  }

  decideBy(keyDrills: WeaknessFacts['keyDrills']): void {
    this.charts.decideBy(keyDrills);
    // What was kept was kept at other drills.
    [this.round, this.keptOn] = [null, null];
    this.watch?.decideBy(this.charts.deciding);
    this.known = null;
  }

  rep(rep: Rep): void {
    if (this.phase === 'none' || this.phase === 'closed') return;
    const cell = this.cellOf(rep);
    if (rep.takenBack && (rep.purpose !== 'test' || !cell || !this.stillCounts(rep))) {
      if (rep.purpose === 'test' && cell) this.charts.of(cell).useUp(rep.day);
      return;
    }
    this.flown += 1;
    this.known = null;
    if (rep.purpose === 'check' && cell && rep.flownOn === 'craft') this.attempt(rep, cell);
    else this.practise(rep, cell);
  }

  /** The chart that a test or check of it moves; null where it moves none. */
  private cellOf({ drillId, mode, pilotRelative, side, widthSpans = null }: Rep): Cell | null {
    const rep = { drillId, mode, pilotRelative, side, widthSpans };
    if (whyNotCounted(rep, this.facts.causeId, this.stamps.at(-1)!) !== null) return null;
    return (
      this.charts.deciding.find(
        (cell) => cell.drillId === drillId && (cell.side === null || cell.side === side),
      ) ?? null
    );
  }

  /** A miss that was taken back goes on counting until somebody else says that it was none. */
  private stillCounts({ met, takenBackConfirmed }: Rep): boolean {
    return !met && !takenBackConfirmed;
  }

  private practise(rep: Rep, cell: Cell | null): void {
    const decides = this.charts.deciding.some(({ drillId }) => drillId === rep.drillId);
    if (this.phase === 'watch') {
      if (decides) this.callBack(this.watch!.interrupt(rep.day), rep);
    } else if (decides) this.interrupt(rep);
    if (this.keptOn === null && (this.lastPractice === null || rep.day > this.lastPractice))
      this.lastPractice = rep.day;
    if (rep.purpose !== 'test') return;
    this.showAsFlown(rep);
    if (!cell) return;
    if (!this.charts.of(cell).add(rep.met, rep.day)) return;
    this.shown.add(rep);
    this.slip(rep);
  }

  /** The first few tests of a day in the usual mode of a drill that has two forms. */
  private showAsFlown(rep: Rep): void {
    if (rep.mode !== this.stamps.at(-1)!.mode || onReleaseIn(rep.mode) !== 'hold') return;
    this.shown.addAsFlown(rep, testsADayOf(this.facts.rule));
  }

  private attempt(rep: Rep, cell: Cell): void {
    if (this.phase === 'watch') {
      this.charts.of(cell).attempt(rep.met, rep.day);
      const calledBackAt = this.watch!.attempt(cell, rep.met, rep.day);
      this.callBack(calledBackAt, rep);
      if (calledBackAt.length === 0) this.slip(rep);
      return;
    }
    if (this.round?.isOverBy(rep.day)) this.interrupt(rep);
    const mayBegin = this.isReady && rep.day >= this.checkFrom!;
    if (!this.round && !mayBegin) return this.practise(rep, null);
    this.charts.of(cell).attempt(rep.met, rep.day);
    this.round ??= new CheckRound(this.charts.deciding);
    const ended = this.round.add(cell, rep.met, rep.day);
    if (ended === 'passed') this.keptOn ??= rep.day;
    if (ended === 'failed') this.fail(this.round.missedAt(), rep);
    else this.slip(rep);
  }

  /** A check that was begun and is not gone on with has failed where something was missed. */
  private interrupt(rep: Rep): void {
    if (!this.round || this.keptOn !== null) return;
    const missed = this.round.missedAt();
    this.round = null;
    if (missed.length > 0) this.fail(missed, rep);
  }

  private fail(missed: readonly Cell[], rep: Rep): void {
    this.failedAt.push(rep.id);
    this.charts.reopen(missed);
    [this.round, this.keptOn] = [null, null];
    this.lastPractice = rep.day;
    this.known = null;
  }

  /** Misses after the pass that no longer look like luck open the test again, or on watch ask for a check. */
  private slip(rep: Rep): void {
    const slipped = this.charts.slipped();
    if (slipped.length === 0) return;
    if (this.phase === 'watch') return this.watch!.ask(rep.day);
    this.charts.reopen(slipped);
    [this.round, this.keptOn] = [null, null];
    this.known = null;
  }

  private callBack(missed: readonly Cell[], rep: Rep): void {
    if (missed.length === 0) return;
    this.relapsed = true;
    this.charts.reopen(missed);
    this.goBack();
    this.flown = 0;
    this.lastPractice = rep.day;
  }

  /** Everything has to be shown again; the evidence is dealt with by who calls this. */
  private goBack(): void {
    this.phase = 'active';
    this.shown.forget();
    [this.round, this.keptOn, this.watch] = [null, null, null];
    this.known = null;
  }

  /** Where it stands, to be gone on from by `from`. */
  kept(): KeptOpening {
    const { phase, openings, signedEarly, isUnproven, relapsed, keptOn, lastPractice, flown, failedAt } =
      this;
    const { round, watch, charts, shown, stamps, openedAnewAt, facts } = this;
    return {
      ...{ phase, openings, signedEarly, isUnproven, relapsed, keptOn, lastPractice, flown, openedAnewAt },
      failedAt: [...failedAt],
      round: round && round.kept(),
      watch: watch && watch.kept(),
      charts: charts.kept(),
      shown: shown.kept(facts.rule.passDays),
      stamps: [...stamps],
    };
  }

  /**
   * @param facts as they were when it was kept, but for what happened since
   * @param curves what is drawn of them up to then; they go on from it
   */
  static from(facts: WeaknessFacts, kept: KeptOpening, curves?: CurveTails): Opening {
    const { round, watch, charts, shown, stamps, failedAt, ...plain } = kept;
    const opening = Object.assign(new Opening(facts), plain);
    opening.round = round && CheckRound.from(round);
    opening.watch = watch && WatchRound.from(facts.rule, watch);
    opening.charts = TestCharts.from(facts.rule, charts, curves);
    opening.shown = ShownTests.from(shown);
    [opening.stamps, opening.failedAt] = [[...stamps], [...failedAt]];
    return opening;
  }

  private openAnew(at: string): void {
    this.openings += 1;
    this.openedAnewAt = at;
    this.charts.forget();
    this.stamps = this.stamps.slice(-1);
  }
}
