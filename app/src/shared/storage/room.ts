import { useEffect, useState } from 'react';

/** What the browser keeps for this page, and whether it may throw it away when room is short. */
export interface Room {
  readonly usedBytes: number;
  readonly mostBytes: number;
  readonly isKept: boolean;
}

/** Over plain HTTP from another machine a browser has none of this. */
const manager = (): StorageManager | undefined => navigator.storage as StorageManager | undefined;

/** Asks the browser not to throw away what waits here; some ask the person, some decide by how often it is used. */
export const askToKeep = async (): Promise<boolean> => (await manager()?.persist()) ?? false;

async function roomNow(): Promise<Room | null> {
  const storage = manager();
  if (!storage) return null;
  const [{ usage = 0, quota = 0 }, isKept] = await Promise.all([storage.estimate(), storage.persisted()]);
  return { usedBytes: usage, mostBytes: quota, isKept };
}

/** @returns null where the browser does not say, and what asks it to keep everything */
export function useRoom(): { readonly room: Room | null; readonly ask: () => void } {
  const [room, setRoom] = useState<Room | null>(null);
  const look = () => void roomNow().then(setRoom);
  useEffect(look, []);
  return { room, ask: () => void askToKeep().then(look) };
}
