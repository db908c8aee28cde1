import type { RepFields } from '@skelby/core/shapes/loop';
import type { RecordedRep } from '../api/types';
import type { Waiting } from '../outbox/outbox';

const REP = /^\/reps\/([^/]+)$/;
const TAKEN_BACK = /^\/reps\/([^/]+)\/taken-back$/;

/** The server's reps with what still waits on this phone laid over them. */
export function withWaiting(weaknessId: string, reps: readonly RecordedRep[], waiting: readonly Waiting[]): readonly RecordedRep[] {
  const taken = new Set<string>();
  const added: RecordedRep[] = [];
  const known = new Set(reps.map((rep) => rep.id));
  for (const item of waiting) {
    if (item.refused) continue;
    const back = TAKEN_BACK.exec(item.path)?.[1];
    if (back) taken.add(back);
    const id = REP.exec(item.path)?.[1];
    const fields = item.body as unknown as RepFields;
    if (id && fields.weaknessId === weaknessId && !known.has(id)) added.push({ ...fields, id, takenBack: false } as RecordedRep);
  }
  return [...reps, ...added].map((rep) => (taken.has(rep.id) ? { ...rep, takenBack: true } : rep));
}
