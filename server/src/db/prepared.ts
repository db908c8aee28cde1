import { createHash } from 'node:crypto';

/** A statement that is planned once a connection: planning is most of what a long one costs. */
interface Prepared {
  readonly name: string;
}

/** For `options` of a statement. @param name of a statement whose text never changes, whatever is asked */
export const prepared = (name: string): Prepared => ({ name });

/** The same for one of a few texts. */
export const preparedAs = (text: string): Prepared =>
  prepared(createHash('sha256').update(text).digest('base64'));

/**
 * To be asked for within a statement: those after it in the same transaction keep one plan for whatever is asked. Of a
 * statement with many lists PostgreSQL thinks that a plan for these very keys is cheaper each time, and plans for longer
 * than it reads.
 */
export const PLANNED_ONCE = "set_config('plan_cache_mode', 'force_generic_plan', true)";
