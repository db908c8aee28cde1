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
