import type { DrillId } from '@skelby/core/drills/drills';
import type { CauseId } from '@skelby/core/causes/causes';
import type { ClearingRule } from '@skelby/core/clearance/clearing-rule';
import type { Move, Rep, TestSet, WeaknessFacts } from '@skelby/core/clearance/facts';
import type { InLists } from '@skelby/core/clearance/in-lists';
import type { FlightMode } from '@skelby/core/vocabulary/flying';
import type { WeaknessStamp } from '@skelby/core/pages/pages';
import { factsOf, type KeptPlan, type KeptWeakness } from '@skelby/core/weakness/facts-of';
import type { SchoolTx } from '../db/in-school';
import { prepared } from '../db/prepared';
import { notFound } from '../problem/problem';
import { rowsBy } from './by';
import type { KeptCheckpoint } from './checkpoints';
import { fromJson } from './from-json';

export interface WeaknessRow {
  readonly id: string;
  readonly pilotId: string;
  readonly causeId: CauseId;
  readonly state: string;
}

interface MoveRow extends Move {
  readonly occurrenceId: string | null;
}

export interface LoadedFacts extends WeaknessFacts {
  readonly pilotId: string;
  /** With who counted each; nobody where the pilot flew alone. */
  readonly reps: readonly (Rep & { readonly accountId: string | null })[];
  readonly moves: readonly MoveRow[];
  /** Newest first. */
  readonly plans: readonly KeptPlan[];
  readonly stamps: readonly WeaknessStamp[];
  readonly checkpoint: KeptCheckpoint | null;
}

const ALIASED = 'coalesce((select weakness_id from weakness_aliases where id = ?), ?)';

/** The weakness's own key, for the one under which it was opened a second time; any other key as it is. */
export async function ownKey(tx: SchoolTx['tx'], id: string): Promise<string> {
  const { rows } = (await tx.raw(`select ${ALIASED} as id`, [id, id])) as { rows: { id: string }[] };
  return rows[0]!.id;
}

/**
 * Keeps a second writer out of all that belongs to one pilot until the transaction ends. Every write that
 * works a weakness out takes this
 * lock before any other of that pilot's rows: a rep counts for several weaknesses, and two writers that took
 * those one by one would wait for
 * each other for ever. It does not stand in the way of rows that merely refer to the pilot.
 */
export const lockPilot = async ({ tx }: SchoolTx, pilotId: string): Promise<void> => {
  await tx('pilots').where({ id: pilotId }).forNoKeyUpdate().first('id');
};

/**
 * Locks the pilot of a weakness, in one statement. What else is to be known of it is read afterwards.
 * @throws Problem 404
 */
export async function lockPilotOf(
  { tx }: SchoolTx,
  id: string,
): Promise<{ readonly weaknessId: string; readonly pilotId: string; readonly openedAt: string }> {
  const { rows } = (await tx
    .raw(
      `select w.id as weakness_id, w.opened_at, p.id as pilot_id
       from weaknesses w join pilots p on p.school_id = w.school_id and p.id = w.pilot_id
      where w.id = ${ALIASED} for no key update of p`,
      [id, id],
    )
    .options(prepared('lock-pilot-of'))) as {
    rows: { weaknessId: string; pilotId: string; openedAt: string }[];
  };
  if (!rows[0]) throw notFound('weakness');
  return rows[0];
}

/**
 * Locks the pilot of a weakness, and with it the weakness. A key under which it was opened a second time
 * finds it too.
 */
export async function lockWeakness(school: SchoolTx, id: string): Promise<WeaknessRow> {
  const read = () =>
    school.tx('weaknesses').whereRaw(`id = ${ALIASED}`, [id, id]).first() as Promise<WeaknessRow | undefined>;
  const weakness = await read();
  if (!weakness) throw notFound('weakness');
  await lockPilot(school, weakness.pilotId);
  return (await read())!;
}

interface HeadRow extends ClearingRule {
  readonly causeId: CauseId;
  readonly pilotId: string;
  readonly mode: FlightMode;
  readonly windLimitMps: number;
  readonly holdOff: boolean;
  readonly failedAt: readonly string[];
}

/** The rule alone, out of a row that holds it beside other things. */
const ruleIn = (row: ClearingRule): ClearingRule => ({
  edition: row.edition,
  test: row.test,
  unacceptableMissPercent: row.unacceptableMissPercent,
  acceptableMissPercent: row.acceptableMissPercent,
  riskPercent: row.riskPercent,
  plannedReps: row.plannedReps,
  passDays: row.passDays,
  checkGapDays: row.checkGapDays,
  testsADay: row.testsADay,
  sidesAlike: row.sidesAlike,
  mostDaysBetweenChecks: row.mostDaysBetweenChecks,
  secondSigner: row.secondSigner,
});

/** Reads all that decides where a weakness stands. @throws Problem 404 */
export async function loadFacts(school: SchoolTx, id: string): Promise<LoadedFacts> {
  const facts = (await loadFactsOf(school, [id])).get(id);
  if (!facts) throw notFound('weakness');
  return facts;
}

interface OfWeakness {
  readonly weaknessId: string;
}
type RepRow = Rep &
  OfWeakness & {
    readonly pilotId: string;
    readonly accountId: string | null;
    readonly takenBackAt: string | null;
    readonly errorConfirmedBy: string | null;
  };

/** Rows that belong to a weakness, as JSON in a column of its own. */
const inOne = (name: string, rows: string): string =>
  `(select coalesce(json_agg(${name}), '[]') from (${rows}) ${name}) as ${name}`;

const KEPT = `
  select w.id as weakness_id, r.edition, r.test, r.unacceptable_miss_percent, r.acceptable_miss_percent, r.risk_percent,
    r.planned_reps, r.pass_days, r.check_gap_days, r.tests_a_day, r.sides_alike, r.most_days_between_checks, r.second_signer,
    w.cause_id, w.pilot_id, w.failed_at,
    json_build_object('state', w.state, 'rungs', w.rungs, 'checkFrom', w.check_from, 'checkPassed', w.check_passed,
      'limited', w.limited, 'signedEarly', w.signed_early) as lists, p.mode, p.wind_limit_mps, p.hold_off,
    ${inOne(
      'moves',
      `select m.id, m.kind, m.at, m.reason, m.undoes, m.happened_on, m.occurrence_id, m.account_id, m.recorded_at, a.name as by
         from moves m left join accounts a on a.school_id = m.school_id and a.id = m.account_id
        where m.school_id = w.school_id and m.weakness_id = w.id order by m.at, m.id`,
    )},
    ${inOne(
      'plans',
      'select * from plans where school_id = w.school_id and weakness_id = w.id order by made_at desc',
    )},
    ${inOne(
      'stamps',
      `select s.at, s.mode, s.wind_limit_mps, s.hold_off, s.craft_id, s.reason, s.told_by, a.name as by
         from opening_stamps s left join accounts a on a.school_id = s.school_id and a.id = s.account_id
        where s.school_id = w.school_id and s.weakness_id = w.id order by s.at`,
    )},
    ${inOne(
      'sets',
      `select * from test_sets where school_id = w.school_id and weakness_id = w.id
        and (?::bool or at >= coalesce((select before from weakness_checkpoints c where c.school_id = w.school_id and c.id = w.id), '-infinity'))
        order by at`,
    )},
    (select row_to_json(c) from weakness_checkpoints c where c.school_id = w.school_id and c.id = w.id) as checkpoint
  from weaknesses w
  join pilots p on p.school_id = w.school_id and p.id = w.pilot_id
  join clearing_rules r on r.school_id = w.school_id and r.id = w.rule_id
  where w.id = any(?::uuid[])`;

/** What lists know of a weakness. */
export interface KeptLists extends InLists {
  readonly signedEarly: boolean;
}

interface KeptRow extends HeadRow, OfWeakness {
  readonly moves: readonly MoveRow[];
  readonly plans: readonly KeptPlan[];
  readonly stamps: readonly WeaknessStamp[];
  readonly sets: readonly TestSet[];
  readonly checkpoint: KeptCheckpoint | null;
  readonly lists: KeptLists;
}

/**
 * What is kept of weaknesses, but their reps, in one statement.
 * @param allTests or those only that were announced since the checkpoint
 */
export async function readKept({ tx }: SchoolTx, ids: readonly string[], allTests = true) {
  const { rows } = (await tx.raw(KEPT, [allTests, [...ids]]).options(prepared('kept'))) as {
    rows: KeptRow[];
  };
  return rows.map((row) => ({
    id: row.weaknessId,
    pilotId: row.pilotId,
    causeId: row.causeId,
    pilot: { mode: row.mode, windLimitMps: row.windLimitMps, holdOff: row.holdOff },
    rule: ruleIn(row),
    moves: fromJson(row.moves),
    stamps: fromJson(row.stamps),
    plans: fromJson(row.plans),
    sets: fromJson(row.sets),
    failedAt: row.failedAt,
    lists: row.lists,
    checkpoint: row.checkpoint && fromJson([row.checkpoint])[0]!,
  }));
}

/** Of reps only what decides, and whose they are. */
const COUNTING = `
  select id, weakness_id, pilot_id, drill_id, purpose, met, side, band, flown_on, mode, pilot_relative, width_spans, day,
    flown_at, test_set_id, account_id, taken_back_at, error_confirmed_by
  from reps
  where pilot_id = any(?::uuid[]) and flown_at >= ? and (weakness_id = any(?::uuid[]) or drill_id = any(?))
  order by flown_at, id`;

type Kept = Awaited<ReturnType<typeof readKept>>[number];
/** A weakness, and the instant from which its reps are wanted. */
interface WantedSince {
  readonly kept: Kept;
  readonly from: string;
}

/** Reps that count for weaknesses of one pilot: their own, and wherever their drills decide or decided. */
export async function repsCounting({ tx }: SchoolTx, wanted: readonly WantedSince[]) {
  const drills = new Map(wanted.map(({ kept }) => [kept.id, drillsThatDecide(kept)]));
  const first = wanted.map(({ from }) => from).reduce((a, b) => (a < b ? a : b));
  const pilotIds = [...new Set(wanted.map(({ kept }) => kept.pilotId))];
  const deciding = [...new Set([...drills.values()].flatMap((each) => [...each]))];
  const { rows } = (await tx
    .raw(COUNTING, [pilotIds, first, [...drills.keys()], deciding])
    .options(prepared('reps-counting'))) as { rows: RepRow[] };
  const reps = rows.map(asItCounts);
  return ({ kept: { id, pilotId }, from }: WantedSince) =>
    reps.filter(
      (rep) =>
        rep.pilotId === pilotId &&
        rep.flownAt >= from &&
        (rep.weaknessId === id || drills.get(id)!.has(rep.drillId)),
    );
}

const asItCounts = (row: RepRow) => ({
  ...row,
  takenBack: row.takenBackAt !== null,
  takenBackConfirmed: row.errorConfirmedBy !== null,
});

/** The same of several, in as many statements as of one; those that are not there are left out. */
export async function loadFactsOf(
  school: SchoolTx,
  ids: readonly string[],
): Promise<ReadonlyMap<string, LoadedFacts>> {
  const kept = await readKept(school, ids);
  const decides = new Map(kept.map((each) => [each.id, drillsThatDecide(each)]));
  // A rep counts wherever its drill decides or decided, for whichever weakness it was flown.
  const reps = rowsBy(
    (await school
      .tx('reps')
      .whereIn('pilotId', [...new Set(kept.map(({ pilotId }) => pilotId))])
      .where((own) =>
        own
          .whereIn('weaknessId', ids)
          .orWhereIn('drill_id', [...new Set([...decides.values()].flatMap((drills) => [...drills]))]),
      )
      .orderBy(['flown_at', 'id'])) as RepRow[],
    (rep) => rep.pilotId,
  );
  return new Map(
    kept.map((each) => {
      const { id, pilotId } = each;
      const counts = reps(pilotId)
        .filter((rep) => rep.weaknessId === id || decides.get(id)!.has(rep.drillId))
        .map(asItCounts);
      return [
        id,
        {
          ...factsOf({ ...each, reps: counts }),
          reps: counts,
          moves: each.moves,
          plans: each.plans,
          stamps: each.stamps,
          checkpoint: each.checkpoint,
          pilotId,
        },
      ];
    }),
  );
}

/** Drills that decide a weakness, or did. */
function drillsThatDecide(kept: Omit<KeptWeakness, 'reps'>): ReadonlySet<DrillId> {
  const { keyDrills, deciding = [] } = factsOf({ ...kept, reps: [] });
  return new Set([...keyDrills, ...deciding.flatMap((each) => each.keyDrills)]);
}
