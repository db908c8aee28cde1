import type { DrillId } from '@skelby/core/drills/drills';
import type { CauseId } from '@skelby/core/causes/causes';
import type { ClearingRule } from '@skelby/core/clearance/clearing-rule';
import type { Move, TestSet } from '@skelby/core/clearance/facts';
import type { InLists } from '@skelby/core/clearance/in-lists';
import type { WeaknessStamp } from '@skelby/core/pages/pages';
import type { FlightMode } from '@skelby/core/vocabulary/flying';
import type { KeptPlan } from '@skelby/core/weakness/facts-of';
import type { SchoolTx } from '../db/in-school';
import { prepared } from '../db/prepared';
import { rowsOf } from '../db/rows-of';
import type { KeptCheckpoint } from './checkpoints';
import { fromJson } from '../db/from-json';

export interface MoveRow extends Move {
  readonly occurrenceId: string | null;
}

interface HeadRow extends ClearingRule {
  readonly weaknessId: string;
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

/** Rows that belong to a weakness, as JSON in a column of its own. */
const inOne = (name: string, rows: string): string =>
  `(select coalesce(json_agg(${name}), '[]') from (${rows}) ${name}) as ${name}`;

/** @param holds which of the checkpoints there are may hold, beside by their hash */
const kept = (holds: string): string => `
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
        and (:whole::bool or at >= coalesce((select before from weakness_checkpoints c where c.school_id = w.school_id and c.id = w.id and ${holds}), '-infinity'))
        order by at`,
    )},
    (select json_build_object('before', c.before, 'hangs_on', c.hangs_on, 'opening', c.opening) from weakness_checkpoints c where c.school_id = w.school_id and c.id = w.id and not :whole::bool and ${holds}) as checkpoint
  from weaknesses w
  join pilots p on p.school_id = w.school_id and p.id = w.pilot_id
  join clearing_rules r on r.school_id = w.school_id and r.id = w.rule_id
`;
const BY_KEY = `${kept('true')} where w.id = any(:ids::uuid[])`;
/**
 * Of the weaknesses of a pilot that a rep counts for: its own, and the open ones whose plan has its drill. What was kept of
 * any of theirs after the rep is dropped, since something flown then came in late, or was taken back; also of weaknesses
 * that are over, since they may be opened again. The same statement does not see that yet, and leaves it out by itself.
 */
const SHARING = `
  with dropped as (
    delete from weakness_checkpoints c using weaknesses w
     where w.school_id = c.school_id and w.id = c.id and w.pilot_id = :pilotId and c.before > :flownAt)
  ${kept('c.before <= :flownAt')}
  where w.pilot_id = :pilotId and (w.id = :weaknessId or w.state not in ('closed', 'withdrawn') and :drillId = any(
    (select pl.drill_ids from plans pl where pl.school_id = w.school_id and pl.weakness_id = w.id order by made_at desc limit 1)::text[]))`;

/** What lists know of a weakness. */
export interface KeptLists extends InLists {
  readonly signedEarly: boolean;
}

interface KeptRow extends HeadRow {
  readonly moves: readonly MoveRow[];
  readonly plans: readonly KeptPlan[];
  readonly stamps: readonly WeaknessStamp[];
  readonly sets: readonly TestSet[];
  readonly checkpoint: KeptCheckpoint | null;
  readonly lists: KeptLists;
}

/**
 * What is kept of weaknesses, but their reps, in one statement.
 * @param whole without a checkpoint; else with it, and of the announced tests those since
 */
export async function readKept({ tx }: SchoolTx, ids: readonly string[], whole = true) {
  const rows = await rowsOf<KeptRow>(tx, tx.raw(BY_KEY, { whole, ids: [...ids] }));
  return rows.map(keptIn);
}

/** A rep, for what hangs on it. */
export interface RepToCount {
  readonly pilotId: string;
  /** For which it was flown; null: for whichever its drill decides. */
  readonly weaknessId: string | null;
  readonly drillId: DrillId;
  readonly flownAt: string;
}

/** The same of the weaknesses that a rep counts for, where nothing is kept any more of what came after it. */
export async function readKeptSharing(
  { tx }: SchoolTx,
  { pilotId, weaknessId, drillId, flownAt }: RepToCount,
) {
  const { rows } = (await tx
    .raw(SHARING, { whole: false, pilotId, weaknessId, drillId, flownAt })
    .options(prepared('kept-sharing'))) as { rows: KeptRow[] };
  return rows.map(keptIn);
}

const keptIn = (row: KeptRow) => ({
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
});
