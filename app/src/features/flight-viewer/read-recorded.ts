import { readGeoJson } from '@skelby/core/recorded-flight/formats/geojson';
import { GpxReader } from '@skelby/core/recorded-flight/formats/gpx';
import { mergedTopics } from '@skelby/core/recorded-flight/formats/merge-topics';
import {
  assertSize,
  encodingOf,
  type FileKind,
  kindOf,
} from '@skelby/core/recorded-flight/formats/recognise';
import { readULog } from '@skelby/core/recorded-flight/formats/ulog';
import { RecordingProblem } from '@skelby/core/recorded-flight/recording-problem';
import { delimiterOf } from '@skelby/core/recorded-flight/table/delimiter';
import { TableBuilder } from '@skelby/core/recorded-flight/table/table-builder';
import type { Table } from '@skelby/core/recorded-flight/table/table';
import { sentence } from '@skelby/core/vocabulary/said';
import { parse } from 'papaparse';

/** What a file is, is seen in so much of its beginning. */
const HEAD_BYTES = 65_536;
const CHUNK_BYTES = 1 << 20;

/** What a file is, its table, and whether something in it could not be read. */
interface Recorded {
  readonly kind: FileKind;
  readonly table: Table;
  readonly leftOut: boolean;
}

function readCsv(file: File, head: Uint8Array): Promise<Table> {
  const encoding = encodingOf(head);
  const delimiter = delimiterOf(new TextDecoder(encoding).decode(head));
  return new Promise((resolve, reject) => {
    const builder = new TableBuilder();
    let fault: unknown = null;
    let pieces = 0;
    parse<string[]>(file, {
      encoding,
      delimiter,
      chunkSize: CHUNK_BYTES,
      chunk: ({ data: rows }, parser) => {
        pieces += 1;
        try {
          if (rows.length === 0 && pieces * CHUNK_BYTES < file.size)
            throw new RecordingProblem(sentence('recording.no-figures'));
          for (const row of rows) builder.row(row);
        } catch (error) {
          fault ??= error;
          parser.abort();
        }
      },
      complete: () => {
        try {
          if (fault) throw fault as Error;
          resolve(builder.done());
        } catch (error) {
          reject(error as Error);
        }
      },
      error: reject,
    });
  });
}

/** Reads a text piece by piece. */
async function eachPiece(file: File, encoding: string, take: (piece: string) => void): Promise<void> {
  const decoder = new TextDecoder(encoding);
  for (let at = 0; at < file.size; at += CHUNK_BYTES) {
    const bytes = new Uint8Array(await file.slice(at, at + CHUNK_BYTES).arrayBuffer());
    take(decoder.decode(bytes, { stream: true }));
  }
  take(decoder.decode());
}

async function readGpx(file: File, head: Uint8Array): Promise<Table> {
  const reader = new GpxReader();
  await eachPiece(file, encodingOf(head), (piece) => reader.write(piece));
  return reader.done();
}

async function readTopics(file: File): Promise<Recorded> {
  const { topics, leftOut } = await readULog({
    size: file.size,
    read: async (offset, length) => new Uint8Array(await file.slice(offset, offset + length).arrayBuffer()),
  });
  return { kind: 'ulog', table: mergedTopics(topics), leftOut };
}

/**
 * A recorder's file as a table, recognised by what is in it.
 * @throws RecordingProblem that says what is wrong and what to do
 */
export async function readRecorded(file: File): Promise<Recorded> {
  assertSize(file.size);
  const head = new Uint8Array(await file.slice(0, HEAD_BYTES).arrayBuffer());
  const kind = kindOf(head);
  switch (kind) {
    case 'ulog':
      return readTopics(file);
    case 'gpx':
      return { kind, table: await readGpx(file, head), leftOut: false };
    case 'geojson':
      return {
        kind,
        table: readGeoJson(new TextDecoder(encodingOf(head)).decode(await file.arrayBuffer())),
        leftOut: false,
      };
    case 'table':
      return { kind, table: await readCsv(file, head), leftOut: false };
  }
}
