import { guarded, unguarded } from './formula-guard';
import type { CauseId } from '../causes/causes';
import type { Findings } from '../debrief/findings';
import type { Evidence, SentNumber } from '../evidence/evidence';
import { type QuestionId, QUESTIONS } from '../evidence/questions';

/** The debrief as a file carries it. */
export interface DebriefRecord extends Findings {
  readonly state: 'open' | 'closed';
}

/** An occurrence as a file carries it; SI units, instants in UTC. */
export interface OccurrenceRecord {
  readonly id: string;
  readonly pilotId: string;
  readonly pilot: string;
  readonly kind: string;
  readonly day: string;
  readonly happenedAt: string;
  readonly causeId: CauseId;
  readonly note: string;
  readonly craft: string | null;
  readonly site: string | null;
  readonly windMps: number | null;
  readonly confirmedCauseId: CauseId | null;
  readonly withdrawnReason: string | null;
  readonly debrief: DebriefRecord | null;
}

const BASE = [
  'id',
  'pilot_id',
  'pilot',
  'kind',
  'day',
  'happened_at',
  'logged_cause',
  'note',
  'craft',
  'site',
  'logged_wind_mps',
  'confirmed_cause',
  'withdrawn_reason',
  'debrief_state',
  'own_pick',
  'primary_cause',
  'contributing_causes',
  'overrule_reason',
  'actual_severity',
  'potential_severity',
  'likelihood',
  'injury',
  'third_party',
  'damage',
  'went_well',
  'chain',
  'name_withheld',
] as const;
/** A column that every file has; what it holds is copy. */
export type BaseColumn = (typeof BASE)[number];

/** Every column of the CSV: the occurrence, the debrief, then one for each question, named by its id. */
export const COLUMNS: readonly (BaseColumn | QuestionId)[] = [...BASE, ...QUESTIONS.map(({ id }) => id)];

const saysNumber = (sent: SentNumber): string =>
  typeof sent === 'number'
    ? String(sent)
    : sent.within === undefined
      ? String(sent.value)
      : `${sent.value}±${sent.within}`;

const GUARDED: ReadonlySet<string> = new Set([
  'pilot',
  'note',
  'craft',
  'site',
  'withdrawn_reason',
  'overrule_reason',
  'damage',
  'went_well',
]);

const yes = (value: boolean) => (value ? 'yes' : 'no');

type Cells = Readonly<Record<string, string>>;
const orEmpty = (value: string | number | null | undefined): string => String(value ?? '');

const debriefCells = (debrief: NonNullable<OccurrenceRecord['debrief']>): Cells => ({
  debrief_state: debrief.state,
  own_pick: orEmpty(debrief.ownPick),
  primary_cause: orEmpty(debrief.primary),
  contributing_causes: debrief.contributing.join(';'),
  overrule_reason: debrief.overruleReason,
  actual_severity: orEmpty(debrief.actual),
  potential_severity: orEmpty(debrief.potential),
  likelihood: orEmpty(debrief.likelihood),
  injury: orEmpty(debrief.injury),
  third_party: yes(debrief.thirdParty),
  damage: debrief.damage.join('\n'),
  went_well: debrief.wentWell,
  chain: debrief.chain.length > 0 ? JSON.stringify(debrief.chain) : '',
  name_withheld: yes(debrief.nameWithheld),
  ...Object.fromEntries(
    Object.entries(debrief.evidence).map(([id, sent]) => [
      id,
      typeof sent === 'string' ? sent : saysNumber(sent),
    ]),
  ),
});

/** One line of the CSV, by column. */
export function toCells(record: OccurrenceRecord): Cells {
  const cells: Cells = {
    id: record.id,
    pilot_id: record.pilotId,
    pilot: record.pilot,
    kind: record.kind,
    day: record.day,
    happened_at: record.happenedAt,
    logged_cause: record.causeId,
    note: record.note,
    craft: orEmpty(record.craft),
    site: orEmpty(record.site),
    logged_wind_mps: orEmpty(record.windMps),
    confirmed_cause: orEmpty(record.confirmedCauseId),
    withdrawn_reason: orEmpty(record.withdrawnReason),
    ...(record.debrief ? debriefCells(record.debrief) : {}),
  };
  return Object.fromEntries(
    COLUMNS.map((name) => [name, GUARDED.has(name) ? guarded(cells[name] ?? '') : (cells[name] ?? '')]),
  );
}

const numberOr = (text: string): number | string =>
  text.trim() !== '' && Number.isFinite(Number(text)) ? Number(text) : text;

function evidenceIn(cells: Readonly<Record<string, string>>): Evidence {
  const evidence: Record<string, string | SentNumber> = {};
  for (const { id, kind } of QUESTIONS) {
    const text = cells[id]?.trim() ?? '';
    if (text === '') continue;
    const [value = '', within] = text.split('±');
    if (kind === 'number' && within !== undefined)
      evidence[id] = { value: numberOr(value), within: numberOr(within) } as SentNumber;
    else evidence[id] = kind === 'number' || id === 'nose' ? numberOr(text) : text;
  }
  return evidence;
}

/** JSON as it stands in a cell, or the text itself for the shape to refuse. */
function jsonIn(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return text;
  }
}

const saidYes = (text: string): boolean | string =>
  text === '' || text === 'no' ? false : text === 'yes' ? true : text;

/** What a line of the CSV says, still unchecked. */
export function fromCells(raw: Readonly<Record<string, string>>): unknown {
  const cell = (name: string) => (GUARDED.has(name) ? unguarded(raw[name] ?? '') : (raw[name]?.trim() ?? ''));
  const orNone = (name: string) => cell(name) || null;
  const evidence = evidenceIn(raw);
  const state = orNone('debrief_state') ?? (Object.keys(evidence).length > 0 ? 'open' : null);
  return {
    id: orNone('id'),
    pilotId: orNone('pilot_id'),
    pilot: cell('pilot'),
    kind: cell('kind'),
    day: cell('day'),
    happenedAt: cell('happened_at'),
    causeId: cell('logged_cause'),
    note: cell('note'),
    craft: orNone('craft'),
    site: orNone('site'),
    windMps: cell('logged_wind_mps') === '' ? null : numberOr(cell('logged_wind_mps')),
    confirmedCauseId: orNone('confirmed_cause'),
    withdrawnReason: orNone('withdrawn_reason'),
    debrief:
      state === null
        ? null
        : {
            state,
            evidence,
            ownPick: orNone('own_pick'),
            primary: orNone('primary_cause'),
            contributing: cell('contributing_causes').split(';').filter(Boolean),
            overruleReason: cell('overrule_reason'),
            actual: orNone('actual_severity'),
            potential: orNone('potential_severity'),
            likelihood: orNone('likelihood'),
            injury: orNone('injury'),
            thirdParty: saidYes(cell('third_party')),
            damage: cell('damage').split('\n').filter(Boolean),
            wentWell: cell('went_well'),
            chain: cell('chain') === '' ? [] : jsonIn(cell('chain')),
            nameWithheld: saidYes(cell('name_withheld')),
          },
  };
}

/** Which column a field of the record stands in. */
const COLUMN_OF: Readonly<Record<string, string>> = {
  pilotId: 'pilot_id',
  happenedAt: 'happened_at',
  causeId: 'logged_cause',
  windMps: 'logged_wind_mps',
  confirmedCauseId: 'confirmed_cause',
  withdrawnReason: 'withdrawn_reason',
  'debrief.state': 'debrief_state',
  'debrief.ownPick': 'own_pick',
  'debrief.primary': 'primary_cause',
  'debrief.contributing': 'contributing_causes',
  'debrief.overruleReason': 'overrule_reason',
  'debrief.actual': 'actual_severity',
  'debrief.potential': 'potential_severity',
  'debrief.likelihood': 'likelihood',
  'debrief.injury': 'injury',
  'debrief.thirdParty': 'third_party',
  'debrief.damage': 'damage',
  'debrief.wentWell': 'went_well',
  'debrief.chain': 'chain',
  'debrief.nameWithheld': 'name_withheld',
};

export function columnOf(path: string): string {
  const plain = path.replace(/\[\d+\].*$/, '');
  return COLUMN_OF[plain] ?? plain.replace(/^debrief\.evidence\./, '');
}
