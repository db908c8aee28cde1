import type { AnyHandle, BodyOf, KeysOfCommand } from '@skelby/core/commands/command';
import type { Waiting } from './waiting';

/** What the outbox is given: a command with its keys and body, and what it is, for the trainer. */
export type Entry = Pick<Waiting, 'path' | 'body' | 'what' | 'stamp'>;

/** An edit says which revision it was made from. */
interface Based {
  readonly basedOn?: number | null;
}

/** An entry for the outbox. @param what it is, for the trainer */
export const entryOf = <C extends AnyHandle>(
  command: C,
  keys: KeysOfCommand<C>,
  body: BodyOf<C> & Based,
  what: string,
): Entry => ({
  path: command.address.build(keys),
  body: body as Readonly<Record<string, unknown>>,
  what,
  stamp: command.stamp,
});

/** The time was typed by a person, so that no clock of this phone's has to be put right. */
export const typedByHand = (entry: Entry): Entry => ({ ...entry, stamp: null });

export interface Done<C extends AnyHandle> {
  readonly keys: KeysOfCommand<C>;
  readonly body: BodyOf<C>;
  /** When it was made here, from its key. */
  readonly madeAt: string;
}

/** A UUID of version 7 begins with the moment it was made (RFC 9562). */
export const madeAt = (key: string): string =>
  new Date(Number.parseInt(key.replaceAll('-', '').slice(0, 12), 16)).toISOString();

/** All entries of one command, in the order they were made. */
export const done = <C extends AnyHandle>(command: C, items: readonly Waiting[]): readonly Done<C>[] =>
  items.flatMap((item) => {
    const keys = command.address.read(item.path) as KeysOfCommand<C> | null;
    return keys ? [{ keys, body: item.body as BodyOf<C>, madeAt: madeAt(item.key) }] : [];
  });
