import type { ColumnKind } from './table';

/** What one cell says. */
export interface TableCell {
  readonly kind: ColumnKind;
  readonly value: number;
}

const NUMBER = /^[+-]?(\d+\.?\d*|\.\d+)(e[+-]?\d+)?$/i;
const NUMBER_WITH_COMMA = /^[+-]?\d+,\d+$/;
const NOTHING = /^(|nan|null|none|n\/a|-|--)$/i;
const INSTANT = /^\d{4}-\d\d-\d\d[T ]\d\d:\d\d(:\d\d([.,]\d+)?)?\s*(Z|[+-]\d\d:?\d\d)?$/i;
const CLOCK = /^(\d{1,2}):(\d\d)(?::(\d\d(?:[.,]\d+)?))?$/;
const YES_NO: Readonly<Record<string, number>> = { true: 1, false: 0 };
const MS = 1000;

function clockSeconds(text: string): number | null {
  const found = CLOCK.exec(text);
  if (!found) return null;
  const [, hours, minutes, seconds = '0'] = found;
  const s = Number(seconds.replace(',', '.'));
  return Number(hours) < 24 && Number(minutes) < 60 && s < 61
    ? Number(hours) * 3600 + Number(minutes) * 60 + s
    : null;
}

/** Seconds since 1970 of a moment by ISO 8601; without a zone it is taken for UTC. Null: it is none, 30 February say. */
function instantSeconds(text: string): number | null {
  if (!INSTANT.test(text)) return null;
  const plain = text.replace(' ', 'T').replace(',', '.').trim();
  const ms = Date.parse(/(Z|[+-]\d\d:?\d\d)$/i.test(plain) ? plain : `${plain}Z`);
  const day = Number(plain.slice(8, 10));
  const isDay = new Date(`${plain.slice(0, 10)}T00:00:00Z`).getUTCDate() === day;
  return Number.isNaN(ms) || !isDay ? null : ms / MS;
}

const [ZERO, NINE, POINT, MINUS, X] = [48, 57, 46, 45, 120];
/** Nearly every cell of a flight is one of these, and there are millions of them. */
const found = { kind: 'number' as const, value: 0 };

/** A number as it is mostly written; null: look closer. The answer is used again. */
function plainNumber(raw: string): TableCell | null {
  const first = raw.charCodeAt(0);
  if (!((first >= ZERO && first <= NINE) || first === MINUS || first === POINT)) return null;
  if (raw.charCodeAt(1) === X) return null;
  const value = Number(raw);
  if (!Number.isFinite(value)) return null;
  found.value = value;
  return found;
}

/** @returns null for a cell with nothing in it; words have no value */
export function cellOf(raw: string): TableCell | null {
  const plain = plainNumber(raw);
  if (plain !== null) return plain;
  const text = raw.trim();
  if (NOTHING.test(text)) return null;
  if (NUMBER.test(text)) return { kind: 'number', value: Number(text) };
  if (NUMBER_WITH_COMMA.test(text)) return { kind: 'number', value: Number(text.replace(',', '.')) };
  const yesNo = YES_NO[text.toLowerCase()];
  if (yesNo !== undefined) return { kind: 'number', value: yesNo };
  const clock = clockSeconds(text);
  if (clock !== null) return { kind: 'clock', value: clock };
  const instant = instantSeconds(text);
  if (instant !== null) return { kind: 'instant', value: instant };
  return { kind: 'words', value: NaN };
}
