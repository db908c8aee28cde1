import { useRef, useState } from 'react';
import { fileQueue } from '../../offline/flight-files/use-files';
import { useWho } from '../../shared/api/use-who';
import { keep, kept } from '../../shared/storage/storage';
import type { FromViewer, ToViewer } from './flight-file.worker';
import type { Packed } from './pack';

const NAME = 'flight-files.to-school';

/** Whether files that something is made of go to the school, too; as it was last set on this phone. */
export function useKeepsFiles() {
  const [keeps, set] = useState(() => kept<boolean>(NAME) ?? true);
  return {
    keeps,
    setKeeps: (value: boolean) => {
      keep(NAME, value);
      set(value);
    },
  };
}

export interface KeptAs {
  readonly name: string;
  readonly pilotId: string | null;
  readonly flightId: string | null;
}

/** Packs the file that the worker has, and sets it on its way to the school. */
export function useKeeping(tell: (what: ToViewer) => void) {
  const accountId = useWho()?.accountId;
  const asked = useRef<((packed: Packed | null) => void) | null>(null);
  const pack = (file?: File) =>
    new Promise<Packed | null>((resolve) => {
      asked.current = resolve;
      tell({ do: 'pack', file });
    });
  return {
    told: ({ packed }: FromViewer & { readonly is: 'packed' }) => asked.current?.(packed),
    /**
     * @param given absent: the file that was read last
     * @returns its key, or null where it stays here: this browser cannot pack, or has no room
     */
    keep: async (as: KeptAs, given?: File): Promise<string | null> => {
      const file = accountId ? await pack(given) : null;
      if (!file || !accountId) return null;
      try {
        await fileQueue.add({ ...as, ...file, accountId });
      } catch (error) {
        if (!(error instanceof DOMException)) throw error;
        return null;
      }
      return file.id;
    },
  };
}
