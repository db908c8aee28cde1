import type { Schema } from 'yup';
import type { KeysOf } from './address';
import type { Said } from '../vocabulary/said';
import type { Handle } from './handles';

/** Why a command is refused, and which of its fields it is about. */
export interface FieldRefusal {
  readonly field: string;
  readonly said: Said;
}

/** One thing that can be done, with all that whoever does it has to know. */
export interface Command<Name extends string, Pattern extends string, Body> extends Handle<
  Name,
  Pattern,
  Body
> {
  readonly schema: (keys: KeysOf<Pattern>) => Schema<Body>;
  /** What the schema cannot see: whether the fields go together. Null when they do. */
  readonly rule: (body: Body, keys: KeysOf<Pattern>) => FieldRefusal | null;
}

interface Definition<Pattern extends string, Body> {
  readonly schema: Schema<Body> | ((keys: KeysOf<Pattern>) => Schema<Body>);
  readonly rule?: (body: Body, keys: KeysOf<Pattern>) => FieldRefusal | null;
}

/** A command from its handle, its shape and its rule. */
export const command = <Name extends string, Pattern extends string, Body>(
  handle: Handle<Name, Pattern, Body>,
  { schema, rule }: Definition<Pattern, Body>,
): Command<Name, Pattern, Body> => ({
  ...handle,
  schema: typeof schema === 'function' ? schema : () => schema,
  rule: rule ?? (() => null),
});

/* eslint-disable @typescript-eslint/no-explicit-any -- a command of any kind: each keeps its own types */
export type AnyHandle = Handle<string, any, any>;
export type AnyCommand = Command<string, any, any>;
export type BodyOf<C> = C extends Handle<any, any, infer Body> ? Body : never;
export type KeysOfCommand<C> = C extends Handle<any, infer Pattern, any> ? KeysOf<Pattern> : never;
/* eslint-enable @typescript-eslint/no-explicit-any */
