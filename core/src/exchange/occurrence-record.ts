import { guarded, unguarded } from './formula-guard';
import type { CauseId } from '../causes/causes';
import type { Findings } from '../debrief/findings';
import type { Evidence, SentNumber } from '../evidence/evidence';
import { QUESTIONS } from '../evidence/questions';

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

export interface Column {
  readonly name: string;
  readonly meaning: string;
}

const BASE: readonly Column[] = [
  { name: 'id', meaning: 'Key, a UUID; made anew when empty' },
  { name: 'pilot_id', meaning: 'Key of the pilot; may be empty when the name is enough' },
  { name: 'pilot', meaning: 'Name of the pilot; one who is not there yet is added' },
  { name: 'kind', meaning: 'crash or near-miss' },
  { name: 'day', meaning: 'Day, YYYY-MM-DD' },
  { name: 'happened_at', meaning: 'Instant in UTC, such as 2026-05-31T09:30:00.000Z' },
  { name: 'logged_cause', meaning: 'Cause as it was logged: an id of the list of causes' },
  { name: 'note', meaning: 'What happened, in words' },
  { name: 'craft', meaning: 'Name of a craft of the school, or empty' },
  { name: 'site', meaning: 'Name of a site of the school, or empty' },
  { name: 'logged_wind_mps', meaning: 'Wind as it was logged, m/s, or empty' },
  {
    name: 'confirmed_cause',
    meaning: 'Confirmed cause, or empty; brought in from a file it opens no weakness by itself',
  },
  { name: 'withdrawn_reason', meaning: 'Why the entry was withdrawn; empty: it was not' },
  { name: 'debrief_state', meaning: 'open or closed; empty: not debriefed' },
  { name: 'own_pick', meaning: "The trainer's pick before the ranking was seen" },
  { name: 'primary_cause', meaning: 'Primary cause decided on' },
  { name: 'contributing_causes', meaning: 'Ids, with semicolons between' },
  { name: 'overrule_reason', meaning: 'Why it was decided against the ranking' },
  { name: 'actual_severity', meaning: 'negligible, minor, major, hazardous or catastrophic' },
  { name: 'potential_severity', meaning: 'The same, for what it could come to' },
  { name: 'likelihood', meaning: 'rare, possible or likely' },
  { name: 'injury', meaning: 'none, first-aid or medical' },
  { name: 'third_party', meaning: 'yes or no' },
  { name: 'damage', meaning: 'Parts, one on each line of the cell' },
  { name: 'went_well', meaning: 'What went well' },
  { name: 'chain', meaning: 'Links as JSON: [{"words", "causeId", "breakable"}]' },
  { name: 'name_withheld', meaning: 'yes or no' },
];

/** Every column of the CSV: the occurrence, the debrief, then one for each question, named by its id. */
export const COLUMNS: readonly Column[] = [
  ...BASE,
  ...QUESTIONS.map((question) => ({
    name: question.id,
    meaning:
      question.kind === 'choice'
        ? `${question.ask} ${question.values.map((value) => value.id).join(', ')}${question.id === 'nose' ? ', or a bearing from 0 to 360' : ''}`
        : `${question.ask} ${question.least} to ${question.most} ${question.unit}; how far off it may be after ±, as in 20±3`,
  })),
];

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
    COLUMNS.map(({ name }) => [name, GUARDED.has(name) ? guarded(cells[name] ?? '') : (cells[name] ?? '')]),
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
