import type { Evidence } from '../evidence/evidence';
import { aidsReader, automaticsReader, simulatedReader } from './aids';
import { airReader } from './air';
import { type CannotTell, type Finding, isFinding, type Reader } from './finding';
import { correctionReader, effectReader, sticksReader } from './hands';
import type { ReadFrom } from './lines';
import { metReader } from './met';
import { snapReader } from './snap';
import { figuresReader, heightReader, phaseReader, travelReader, turnReader } from './motion';
import { Trouble } from './trouble';

/** Every reader, in the order in which a debrief would ask. */
const READERS: readonly Reader[] = [
  phaseReader,
  correctionReader,
  effectReader,
  travelReader,
  turnReader,
  heightReader,
  figuresReader,
  snapReader,
  aidsReader,
  airReader,
  metReader,
  automaticsReader,
  sticksReader,
  simulatedReader,
];

/** What is less sure than this is not passed on. */
const SURE_ENOUGH = 0.5;

export interface FlightRead {
  /** When it began to go wrong, s; null: it did not. */
  readonly onsetS: number | null;
  readonly findings: readonly Finding[];
  readonly cannotTell: readonly CannotTell[];
}

/** Reads a flight around the moment it began to go wrong. */
export function readFlight(from: ReadFrom): FlightRead {
  const trouble = Trouble.in(from);
  if (!trouble) return { onsetS: null, findings: [], cannotTell: [] };
  const read = READERS.flatMap((reader) => reader(trouble));
  return {
    onsetS: trouble.onset.atS,
    findings: read.filter(isFinding),
    cannotTell: read.filter((each): each is CannotTell => !isFinding(each)),
  };
}

/**
 * The answers that a debrief would get, as far as a flight can tell: what was seen, felt or believed stays open, and so
 * does what was not recorded.
 */
export const evidenceFrom = (from: ReadFrom): Evidence => evidenceOf(readFlight(from));

/** The same of a flight that was read already. */
export function evidenceOf({ findings }: Pick<FlightRead, 'findings'>): Evidence {
  const told = findings.filter(
    ({ sure, value }) => sure >= SURE_ENOUGH && !(typeof value === 'number' && Number.isNaN(value)),
  );
  return Object.fromEntries(told.map(({ id, value }) => [id, value])) as Evidence;
}
