import { UUID } from '../vocabulary/key';

/** Names of the keys that a pattern such as `/weaknesses/:id/plans/:planId` holds. */
type KeyName<Pattern extends string> = Pattern extends `${string}:${infer Key}/${infer Rest}`
  ? Key | KeyName<`/${Rest}`>
  : Pattern extends `${string}:${infer Key}`
    ? Key
    : never;

export type KeysOf<Pattern extends string> = { readonly [Key in KeyName<Pattern>]: string };

/** An address under /api: the one place that builds it, reads it, and gives its pattern to the router. */
export interface Address<Pattern extends string> {
  readonly pattern: Pattern;
  readonly build: (keys: KeysOf<Pattern>) => string;
  /** The keys in a path; null when the path is another address, or a key is none. */
  readonly read: (path: string) => KeysOf<Pattern> | null;
}

/** Ids of drills are words; every other key is a UUID that the client made. */
const WORD_KEYS = new Set(['drillId']);
const WORD = /^[\w-]+$/;
const isKey = (name: string, value: string): boolean => (WORD_KEYS.has(name) ? WORD : UUID).test(value);

export function addressOf<const Pattern extends string>(pattern: Pattern): Address<Pattern> {
  const parts = pattern.split('/');
  const start = pattern.slice(0, pattern.indexOf(':') < 0 ? undefined : pattern.indexOf(':'));
  return {
    pattern,
    build: (keys) =>
      parts.map((part) => (part.startsWith(':') ? keys[part.slice(1) as KeyName<Pattern>] : part)).join('/'),
    read: (path) => {
      // Most paths are another address: an outbox is looked through for each of them.
      if (!path.startsWith(start)) return null;
      const given = path.split('/');
      if (given.length !== parts.length) return null;
      const keys: Record<string, string> = {};
      for (const [i, part] of parts.entries()) {
        const value = given[i]!;
        if (!part.startsWith(':')) {
          if (part !== value) return null;
        } else if (isKey(part.slice(1), value)) keys[part.slice(1)] = value;
        else return null;
      }
      return keys as KeysOf<Pattern>;
    },
  };
}
