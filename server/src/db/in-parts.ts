import type { Readable } from 'node:stream';

/** What comes, in pieces of one size; the last may be shorter. @param size bytes */
export async function* inParts(file: Readable, size: number): AsyncGenerator<Buffer> {
  let held: Buffer[] = [];
  let length = 0;
  for await (const chunk of file as AsyncIterable<Buffer>) {
    for (let from = 0; from < chunk.length;) {
      const part = chunk.subarray(from, from + size - length);
      held.push(part);
      length += part.length;
      from += part.length;
      if (length < size) break;
      yield Buffer.concat(held);
      [held, length] = [[], 0];
    }
  }
  if (length > 0) yield Buffer.concat(held);
}
