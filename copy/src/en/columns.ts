import type { BaseColumn } from '@skelby/core/exchange/occurrence-record';

/** What each column of an open file of occurrences holds. */
export const COLUMN_MEANINGS: Readonly<Record<BaseColumn, string>> = {
  id: 'Key, a UUID; made anew when empty',
  pilot_id: 'Key of the pilot; may be empty when the name is enough',
  pilot: 'Name of the pilot; one who is not there yet is added',
  kind: 'crash or near-miss',
  day: 'Day, YYYY-MM-DD',
  happened_at: 'Instant in UTC, such as 2026-05-31T09:30:00.000Z',
  logged_cause: 'Cause as it was logged: an id of the list of causes',
  note: 'What happened, in words',
  craft: 'Name of a craft of the school, or empty',
  site: 'Name of a site of the school, or empty',
  logged_wind_mps: 'Wind as it was logged, m/s, or empty',
  confirmed_cause: 'Confirmed cause, or empty; brought in from a file it opens no weakness by itself',
  withdrawn_reason: 'Why the entry was withdrawn; empty: it was not',
  debrief_state: 'open or closed; empty: not debriefed',
  own_pick: "The trainer's guess before the ranking was seen",
  primary_cause: 'Primary cause decided on',
  contributing_causes: 'Ids, with semicolons between',
  overrule_reason: 'Why it was decided against the ranking',
  actual_severity: 'negligible, minor, major, hazardous or catastrophic',
  potential_severity: 'The same, for what it could come to',
  likelihood: 'rare, possible or likely',
  injury: 'none, first-aid or medical',
  third_party: 'yes or no',
  damage: 'Parts, one on each line of the cell',
  went_well: 'What went well',
  chain: 'Links as JSON: [{"words", "causeId", "breakable"}]',
  name_withheld: 'yes or no',
};

/** What the JSON Schema of such a file says of its parts. */
export const SCHEMA_PARTS = {
  title: 'Occurrences',
  evidence: 'Answers by question id, numbers in SI units',
  bearing: 'Bearing in degrees, 0 away from the pilot, clockwise seen from above',
  within: 'How far off it may be, one standard deviation',
  withinInCell: 'how far off it may be after ±, as in 20±3',
  in: 'In',
} as const;

/** After the answers of a question that takes a bearing too. */
export const BEARING = ', or a bearing from 0 to 360';
