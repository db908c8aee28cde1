import type { AnyCommand, BodyOf, KeysOfCommand } from '@skelby/core/commands/command';
import type { SchoolTx } from '../db/in-school';

/** What a handler is given: the command's own fields, checked, and the body as it came. */
export interface GivenCommand<C extends AnyCommand> {
  readonly keys: KeysOfCommand<C>;
  readonly fields: BodyOf<C>;
  readonly body: unknown;
}

/** Does one command in the transaction it is given; what it returns is the answer. */
export type Handler<C extends AnyCommand> = (school: SchoolTx, given: GivenCommand<C>) => Promise<unknown>;
