import type { CommandResult } from '@skelby/core/sync/batch';
import type { Waiting } from './waiting';

/** The server takes 64 kB at once. */
const BATCH_CHARACTERS = 45_000;

/** As many as go into one request, first things first. */
export function firstOf(items: readonly Waiting[], atMost: number): readonly Waiting[] {
  let characters = 0;
  const fit = items
    .slice(0, atMost)
    .findIndex((item, i) => (characters += JSON.stringify(item).length) > BATCH_CHARACTERS && i > 0);
  return items.slice(0, fit === -1 ? atMost : fit);
}

/** An entry with what the server said to it; a missing word leaves it to be sent again. */
export function answeredWith(item: Waiting, result: CommandResult | undefined, sentAt: number): Waiting {
  if (!result) return item;
  if (result.done) return { ...item, sentAt };
  const { status, detail, theirs, by, override } = result;
  return {
    ...item,
    refused: {
      status,
      detail,
      ...(theirs ? { theirs } : {}),
      ...(by === undefined ? {} : { by }),
      ...(override ? { override } : {}),
    },
  };
}
