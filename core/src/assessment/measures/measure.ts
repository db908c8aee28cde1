import type { MissReason } from '../../clearance/facts';
import type { Measured, Segment } from '../segment';

export type MeasureUnit = 'm' | 's' | 'm/s' | '°' | '%' | 'count' | 'ratio' | 'yes';

/** What is known of every measure. A `%` is kept as a share, 0 to 1; `yes` as 1 or 0. */
export interface MeasureFacts<Unit extends MeasureUnit = MeasureUnit> {
  readonly unit: Unit;
  readonly label: string;
  /** The reason that a trainer would give for a miss by it. */
  readonly missReason: MissReason;
}

export type Measuring = (segment: Segment) => Measured | null;
export type Comparing = (segments: readonly Segment[]) => Measured | null;

interface OfAPart {
  readonly is: 'measure';
  readonly of: Measuring;
}
interface OfAllParts {
  readonly is: 'comparison';
  readonly of: Comparing;
}
interface ByHand {
  readonly is: 'by-hand';
}

export type Measure = MeasureFacts & (OfAPart | OfAllParts | ByHand);

/** Measures one part of a flight; null where that part does not show it. */
export const measure = <Unit extends MeasureUnit>(
  facts: MeasureFacts<Unit> & { readonly of: Measuring },
): MeasureFacts<Unit> & OfAPart => ({ ...facts, is: 'measure' });

/** Compares several parts of a flight with each other. */
export const comparison = <Unit extends MeasureUnit>(
  facts: MeasureFacts<Unit> & { readonly of: Comparing },
): MeasureFacts<Unit> & OfAllParts => ({ ...facts, is: 'comparison' });

/** Measured by a trainer with tape or timer only: no flight shows it. */
export const byHand = <Unit extends MeasureUnit>(facts: MeasureFacts<Unit>): MeasureFacts<Unit> & ByHand => ({
  ...facts,
  is: 'by-hand',
});
