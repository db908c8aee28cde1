import type { Schema } from 'yup';
import type { Stamp } from '../sync/batch';
import { type Address, addressOf, type KeysOf } from './address';

/** Why a command is refused, and which of its fields it is about. */
export interface FieldRefusal {
  readonly field: string;
  readonly message: string;
}

/** One thing that can be done, for the server that does it and the phone that asks for it or keeps it until there is signal. */
export interface Command<Name extends string, Pattern extends string, Body> {
  readonly name: Name;
  readonly address: Address<Pattern>;
  /** Who may ask for it: a trainer who is signed in, or whoever holds a pilot's private link. */
  readonly by: 'trainer' | 'pilot';
  readonly schema: (keys: KeysOf<Pattern>) => Schema<Body>;
  /** The field of the body that the clock of whoever asks fills in; null where there is none. */
  readonly stamp: Stamp | null;
  /** What the schema cannot see: whether the fields go together. Null when they do. */
  readonly rule: (body: Body, keys: KeysOf<Pattern>) => FieldRefusal | null;
}

interface Definition<Name extends string, Pattern extends string, Body> {
  readonly name: Name;
  readonly address: Pattern;
  readonly schema: Schema<Body> | ((keys: KeysOf<Pattern>) => Schema<Body>);
  readonly stamp?: Stamp;
  readonly by?: 'trainer' | 'pilot';
  readonly rule?: (body: Body, keys: KeysOf<Pattern>) => FieldRefusal | null;
}

export const command = <const Name extends string, const Pattern extends string, Body>({
  name,
  address,
  schema,
  stamp,
  by,
  rule,
}: Definition<Name, Pattern, Body>): Command<Name, Pattern, Body> => ({
  name,
  address: addressOf(address),
  by: by ?? 'trainer',
  schema: typeof schema === 'function' ? schema : () => schema,
  stamp: stamp ?? null,
  rule: rule ?? (() => null),
});

/* eslint-disable @typescript-eslint/no-explicit-any -- a command of any kind: each keeps its own types */
export type AnyCommand = Command<string, any, any>;
export type BodyOf<C> = C extends Command<any, any, infer Body> ? Body : never;
export type KeysOfCommand<C> = C extends Command<any, infer Pattern, any> ? KeysOf<Pattern> : never;
/* eslint-enable @typescript-eslint/no-explicit-any */
