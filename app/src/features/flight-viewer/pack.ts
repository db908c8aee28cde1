import { sha256 } from '@noble/hashes/sha2.js';
import { keyOfHash } from '@skelby/core/vocabulary/key-of-hash';

/** A file as it goes to the school. */
export interface Packed {
  /** From its SHA-256. */
  readonly id: string;
  readonly packed: Blob;
}

/** Packs a file with gzip, and names it by what is in it. @returns null where the browser cannot pack */
export async function packed(file: Blob): Promise<Packed | null> {
  if (!('CompressionStream' in globalThis)) return null;
  const hash = sha256.create();
  const looked = new TransformStream<Uint8Array<ArrayBuffer>, Uint8Array<ArrayBuffer>>({
    transform: (chunk, out) => {
      hash.update(chunk);
      out.enqueue(chunk);
    },
  });
  const stream = file.stream().pipeThrough(looked).pipeThrough(new CompressionStream('gzip'));
  const blob = await new Response(stream).blob();
  return { id: keyOfHash(hash.digest()), packed: blob };
}
