import { messageWords } from '@skelby/copy/say';
import { STAMPS } from '@skelby/core/sync/batch';
import { choiceOrNone, instant, key, line } from '@skelby/core/schemas/fields';
import { array, mixed, object, ValidationError } from 'yup';
import type { Waiting } from './waiting';

const FORMAT = 'skelby-waiting';
const ANOTHER = 'This is not a file of waiting entries: pick one that was saved on this page.';

const shape = object({
  savedAt: instant('=savedAt'),
  entries: array(
    object({
      key: key('=key'),
      path: line('=path', 200),
      what: line('=what', 200),
      stamp: choiceOrNone('=stamp', STAMPS),
      body: mixed<Readonly<Record<string, unknown>>>().defined('An entry has no body: the file is damaged.'),
    }),
  ).defined('entries is missing: the file is damaged.'),
});

/** What waits on this phone, as a file that another phone or a desk can send. */
export const fileOf = (items: readonly Waiting[], savedAt: string): string =>
  JSON.stringify(
    {
      format: FORMAT,
      savedAt,
      entries: items.map(({ key: each, path, body, stamp, what }) => ({
        key: each,
        path,
        what,
        stamp,
        body,
      })),
    },
    null,
    1,
  );

/** @throws Error saying what is wrong with the file */
export async function entriesIn(
  text: string,
): Promise<readonly Pick<Waiting, 'key' | 'path' | 'body' | 'what' | 'stamp'>[]> {
  let content: unknown;
  try {
    content = JSON.parse(text);
  } catch {
    throw new Error(ANOTHER);
  }
  if ((content as { format?: unknown } | null)?.format !== FORMAT) throw new Error(ANOTHER);
  const { entries } = await shape.validate(content).catch((error: unknown) => {
    throw error instanceof ValidationError
      ? new Error(error.errors.map((each) => messageWords(each)).join(' '))
      : error;
  });
  return entries.map((entry) => ({ ...entry, stamp: entry.stamp ?? null }));
}
