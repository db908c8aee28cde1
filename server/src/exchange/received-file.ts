import { createWriteStream } from 'node:fs';
import { type FileHandle, open, unlink } from 'node:fs/promises';
import { randomUUID } from 'node:crypto';
import os from 'node:os';
import path from 'node:path';
import { Readable, Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { Problem } from '../problem/problem';

const MOST_BYTES = 64 * 1024 * 1024;

/** Lets a file through as long as it is not too large. */
function limited(): Transform {
  let bytes = 0;
  return new Transform({
    transform(chunk: Buffer, _, done) {
      bytes += chunk.length;
      if (bytes > MOST_BYTES) done(new Problem(413, 'Too large', 'The file is larger than 64 MB: split it.'));
      else done(null, chunk);
    },
  });
}

const READ_AT_ONCE = 256 * 1024;

/** From its beginning. A stream of the file itself would close it when whoever reads breaks off. */
async function* bytesOf(handle: FileHandle): AsyncGenerator<Buffer> {
  for (let position = 0; ;) {
    const { bytesRead, buffer } = await handle.read(Buffer.alloc(READ_AT_ONCE), 0, READ_AT_ONCE, position);
    if (bytesRead === 0) return;
    position += bytesRead;
    yield buffer.subarray(0, bytesRead);
  }
}

/**
 * Takes a file in to the last byte, however slowly it comes, and then hands it over. It lies in the system's folder
 * for what passes, under no name, and is gone when the work is done or the server is not there any more.
 * @param work is given the file from its beginning, as often as it asks
 * @throws Problem 413 when it is larger than 64 MB
 */
export async function withReceived<T>(
  coming: Readable,
  work: (file: () => Readable) => Promise<T>,
): Promise<T> {
  const name = path.join(os.tmpdir(), `skelby-${randomUUID()}`);
  const handle = await open(name, 'wx+', 0o600);
  try {
    await unlink(name);
    // By its number: a stream made by the handle itself would keep it from being closed.
    const { fd } = handle;
    await pipeline(coming, limited(), createWriteStream(name, { fd, autoClose: false }));
    return await work(() => Readable.from(bytesOf(handle)));
  } finally {
    await handle.close();
  }
}
