import { saveSession } from '@skelby/core/commands/handles';
import type { TrainingSession } from '@skelby/core/pages/pages';
import { done } from '../outbox/commands';
import { notYetIn, type Waiting } from '../outbox/waiting';
import type { Kept } from './kept';

/** Sessions with those saved on this phone. */
export function sessionsOver(kept: Kept, items: readonly Waiting[]): readonly TrainingSession[] | undefined {
  const read = kept.get<readonly TrainingSession[]>('sessions');
  const saved = done(saveSession, notYetIn(items, read?.readAt ?? 0));
  if (saved.length === 0) return read?.data;
  const all = new Map(read?.data.map((session) => [session.id, session]));
  for (const { keys, body } of saved) {
    const { basedOn, ...content } = body as typeof body & { readonly basedOn?: number | null };
    all.set(keys.id, { ...all.get(keys.id), id: keys.id, content, by: null });
  }
  return [...all.values()].sort((a, b) =>
    a.content.day === b.content.day ? (a.id < b.id ? 1 : -1) : a.content.day < b.content.day ? 1 : -1,
  );
}
