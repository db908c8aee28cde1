import { chanceClearedWithin } from '@skelby/core/clearance/chart-probability';
import { limitOf } from '@skelby/core/clearance/choose-limit';
import { clearanceOf } from '@skelby/core/clearance/clearance';
import { FIRST_RULE } from '@skelby/core/clearance/clearing-rule';
import type { Move, Rep, WeaknessFacts } from '@skelby/core/clearance/facts';
import { ScoreLattice } from '@skelby/core/clearance/score-lattice';
import { addDays, type Day } from '@skelby/core/vocabulary/day';

/**
 * A class of pilots whose true skill is known, put through the whole rule and through three simpler ones.
 * Everything here is made up
 * on purpose: what is looked at is the rule.
 */

const PILOTS = 1_500;
const REPS_A_PACK = 6;
const PACKS_A_DAY = 2;
const DAYS_BETWEEN = 2;
/** A trainer gives up on a test after twice the planned reps. */
const MOST_REPS = 2 * FIRST_RULE.plannedReps;
const FIRST: Day = '2026-03-02';
const DRILL = 'tail-in-hover';

/** Lehmer's generator (Park and Miller 1988), so that every run prints the same table. */
class Chance {
  constructor(private state: number) {}

  next(): number {
    this.state = (this.state * 48_271) % 2_147_483_647;
    return this.state / 2_147_483_647;
  }

  /** Gamma of whole or half shape is enough here; Marsaglia and Tsang 2000. */
  private gamma(shape: number): number {
    if (shape < 1) return this.gamma(shape + 1) * this.next() ** (1 / shape);
    const d = shape - 1 / 3;
    const c = 1 / Math.sqrt(9 * d);
    for (;;) {
      const x = Math.sqrt(-2 * Math.log(this.next())) * Math.cos(2 * Math.PI * this.next());
      const v = (1 + c * x) ** 3;
      if (v > 0 && Math.log(this.next()) < 0.5 * x * x + d - d * v + d * Math.log(v)) return d * v;
    }
  }

  /** A pack's own miss rate around the pilot's: a good day or a bad one. */
  around(mean: number, correlation: number): number {
    if (correlation === 0) return mean;
    const size = 1 / correlation - 1;
    const [a, b] = [this.gamma(mean * size), this.gamma((1 - mean) * size)];
    return a / (a + b);
  }
}

/** A pilot's true miss rate: constant, or learnt with every rep and partly lost with every day of rest. */
interface Skill {
  readonly name: string;
  readonly start: number;
  readonly learntARep: number;
  readonly lostADay: number;
  readonly best: number;
}

const SKILLS: readonly Skill[] = [
  { name: 'not competent: misses 40 %, learns nothing', start: 0.4, learntARep: 0, lostADay: 0, best: 0.4 },
  { name: 'half-way: misses 25 %, learns nothing', start: 0.25, learntARep: 0, lostADay: 0, best: 0.25 },
  { name: 'competent: misses 10 %', start: 0.1, learntARep: 0, lostADay: 0, best: 0.1 },
  {
    name: 'learns from 50 % towards 8 %, keeps most of it',
    start: 0.5,
    learntARep: 0.03,
    lostADay: 0.005,
    best: 0.08,
  },
  {
    name: 'learns fast and forgets: back above 30 % within a week',
    start: 0.5,
    learntARep: 0.08,
    lostADay: 0.12,
    best: 0.08,
  },
];

class PilotWith {
  private learnt: number;

  constructor(private readonly skill: Skill) {
    this.learnt = 1;
  }

  missRate(): number {
    return this.skill.best + (this.skill.start - this.skill.best) * this.learnt;
  }
  flies(): void {
    this.learnt *= 1 - this.skill.learntARep;
  }
  rests(days: number): void {
    this.learnt = 1 - (1 - this.learnt) * (1 - this.skill.lostADay) ** days;
  }
}

interface Ended {
  readonly cleared: boolean;
  readonly reps: number;
  /** True miss rate a month after the signature. */
  readonly later: number;
}

type Simple = (met: readonly boolean[]) => boolean;
const inARow =
  (count: number): Simple =>
  (met) =>
    met.length >= count && met.slice(-count).every(Boolean);
/**
 * Wald's sequential probability ratio test (1945) of 10 % against 40 % with both errors at 10 %; `met` since
 * it last said "not competent".
 */
function sprt(met: readonly boolean[]): boolean {
  let sum = 0;
  for (const each of met) {
    sum += each ? Math.log(0.9 / 0.6) : Math.log(0.1 / 0.4);
    if (sum >= Math.log(0.9 / 0.1)) return true;
    if (sum <= Math.log(0.1 / 0.9)) sum = 0;
  }
  return false;
}

const RULES: readonly { readonly name: string; readonly simple: Simple | null }[] = [
  { name: 'all five rungs', simple: null },
  { name: 'three in a row', simple: inARow(3) },
  { name: 'five in a row', simple: inARow(5) },
  { name: 'sequential probability ratio', simple: sprt },
];

const repOf = (
  nth: number,
  met: boolean,
  { checking, pack, day }: { readonly checking: boolean; readonly pack: number; readonly day: Day },
): Rep => ({
  id: String(nth).padStart(4, '0'),
  drillId: DRILL,
  purpose: checking ? 'check' : 'test',
  met,
  side: null,
  band: pack % 2 ? 'light' : 'calm',
  flownOn: 'craft',
  mode: 'position-hold',
  pilotRelative: false,
  day,
  flownAt: `${day}T09:${String(nth % 60).padStart(2, '0')}:00.000Z`,
  takenBack: false,
});

function follow(skill: Skill, correlation: number, simple: Simple | null, chance: Chance): Ended {
  const pilot = new PilotWith(skill);
  const reps: Rep[] = [];
  const moves: Move[] = [
    { id: 'opened', kind: 'opened', at: `${FIRST}T08:00:00.000Z`, reason: null, undoes: null },
  ];
  const facts = (): WeaknessFacts => ({
    causeId: 'overcontrol',
    keyDrills: [DRILL],
    pilot: { mode: 'position-hold', windLimitMps: 5 },
    rule: FIRST_RULE,
    moves,
    reps,
  });
  let day = FIRST;
  const restTo = (days: number) => {
    pilot.rests(days);
    day = addDays(day, days);
  };
  const end = (cleared: boolean): Ended => {
    const flown = reps.length;
    pilot.rests(30);
    return { cleared, reps: flown, later: pilot.missRate() };
  };
  for (let pack = 0; reps.length < MOST_REPS; pack += 1) {
    if (pack > 0 && pack % PACKS_A_DAY === 0) restTo(DAYS_BETWEEN);
    const state = simple ? null : clearanceOf(facts());
    const checking = state?.state === 'ready-for-check';
    if (checking) restTo(FIRST_RULE.checkGapDays);
    const missRate = chance.around(pilot.missRate(), correlation);
    for (let rep = 0; rep < (checking ? 5 : REPS_A_PACK); rep += 1) {
      reps.push(repOf(reps.length, chance.next() >= missRate, { checking, pack, day }));
      pilot.flies();
      if (simple?.(reps.map((each) => each.met))) return end(true);
    }
    if (checking && clearanceOf(facts()).check?.passed) return end(true);
  }
  return end(false);
}

const percent = (share: number) => `${(100 * share).toFixed(0)} %`;

export interface ClearingLine {
  readonly skill: string;
  readonly correlation: number;
  readonly rule: string;
  readonly cleared: number;
  /** Mean test and check reps of those who were cleared. */
  readonly reps: number;
  /** Share of the cleared who miss more than 25 % a month later. */
  readonly gone: number;
}

export function clearingTable(): readonly ClearingLine[] {
  return SKILLS.flatMap((skill) =>
    [0, 0.15].flatMap((correlation) =>
      RULES.map(({ name, simple }) => {
        const chance = new Chance(20_260_302);
        const ended = Array.from({ length: PILOTS }, () => follow(skill, correlation, simple, chance));
        const cleared = ended.filter((each) => each.cleared);
        return {
          skill: skill.name,
          correlation,
          rule: name,
          cleared: cleared.length / PILOTS,
          reps: cleared.reduce((sum, each) => sum + each.reps, 0) / Math.max(1, cleared.length),
          gone: cleared.filter((each) => each.later > 0.25).length / Math.max(1, cleared.length),
        };
      }),
    ),
  );
}

export function sayClearing(): string {
  const lattice = new ScoreLattice(FIRST_RULE);
  const { point } = limitOf(FIRST_RULE);
  const lines = clearingTable().map(
    (line) =>
      `| ${line.skill} | ${line.correlation} | ${line.rule} | ${percent(line.cleared)} | ${line.cleared === 0 ? '–' : line.reps.toFixed(0)} | ${line.cleared === 0 ? '–' : percent(line.gone)} |`,
  );
  return [
    `One chart alone, exact: a pilot who misses 40 % is through within ${FIRST_RULE.plannedReps} reps in ${(100 * chanceClearedWithin({ lattice, limit: point, missRate: 0.4 }, FIRST_RULE.plannedReps)[FIRST_RULE.plannedReps]!).toFixed(1)} %, within ${MOST_REPS} in ${(100 * chanceClearedWithin({ lattice, limit: point, missRate: 0.4 }, MOST_REPS)[MOST_REPS]!).toFixed(1)} %.`,
    '',
    `| pilot (${PILOTS} of each, up to ${MOST_REPS} reps) | reps of a pack hang together | rule | cleared | reps it took | of these missing over 25 % a month later |`,
    '| --- | --- | --- | --- | --- | --- |',
    ...lines,
  ].join('\n');
}
