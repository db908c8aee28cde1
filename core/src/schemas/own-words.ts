import { setLocale } from 'yup';

/** What a value must be, as whoever typed or sent it would say. */
const KINDS: Readonly<Record<string, string>> = {
  string: 'text',
  number: 'a number',
  boolean: 'true or false',
  array: 'a list',
  object: 'an object with named fields',
  date: 'a day',
  mixed: 'something else',
};

const named = (path: string | undefined): string => path || 'The body';

/** Where a shape has no words of its own, the field and the remedy are named all the same. */
setLocale({
  mixed: {
    default: ({ path }: { path?: string }) => `${named(path)} is not right: look at it again.`,
    required: ({ path }: { path?: string }) => `${named(path)} is missing: give it.`,
    defined: ({ path }: { path?: string }) => `${named(path)} is missing: give it.`,
    notNull: ({ path }: { path?: string }) => `${named(path)} is empty: give it.`,
    notType: ({ path, type }: { path?: string; type: string }) =>
      `${named(path)} must be ${KINDS[type] ?? type}: send it so.`,
  },
  string: {
    max: ({ path, max }: { path?: string; max: number }) =>
      `${named(path)} is too long: at most ${max} characters, so shorten it.`,
    min: ({ path, min }: { path?: string; min: number }) =>
      `${named(path)} is too short: at least ${min} characters.`,
  },
  array: {
    max: ({ path, max }: { path?: string; max: number }) =>
      `${named(path)} is too long: at most ${max} entries, so leave some out.`,
    min: ({ path, min }: { path?: string; min: number }) =>
      `${named(path)} is too short: at least ${min} entries.`,
  },
  object: {
    noUnknown: ({ path, unknown }: { path?: string; unknown: readonly string[] }) =>
      `${named(path)} has fields that nobody knows: leave out ${[unknown].flat().join(', ')}.`,
  },
});
