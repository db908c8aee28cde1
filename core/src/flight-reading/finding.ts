import type { QuestionId } from '../evidence/questions';
import type { Sample } from '../flight-log/flight-log';
import type { Trouble } from './trouble';

/** One answer that a flight gives. */
export interface Finding {
  readonly id: QuestionId;
  readonly value: string | number;
  /** The moment it shows, s. */
  readonly atS: number;
  /** How sure it is, 0 to 1; what is less sure than even is not passed on. */
  readonly sure: number;
}

/** What shows at a line. */
export const at = (id: Finding['id'], value: string | number, { t }: Sample, sure = 0.8): Finding => ({
  id,
  value,
  atS: t,
  sure,
});

/** A question that this flight cannot answer, and why. */
export interface CannotTell {
  readonly id: QuestionId;
  readonly because:
    'too-few-lines' | 'no-sticks' | 'no-attitude' | 'no-wind' | 'no-mode' | 'no-battery' | 'no-take-off';
}

/** What one reader makes of a trouble. Nothing: the flight has no such thing. */
export type Reader = (trouble: Trouble) => readonly (Finding | CannotTell)[];

export const cannot = (
  because: CannotTell['because'],
  ...ids: readonly QuestionId[]
): readonly CannotTell[] => ids.map((id) => ({ id, because }));
export const isFinding = (read: Finding | CannotTell): read is Finding => 'value' in read;
