import { createHash, randomUUID } from 'node:crypto';
import type { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { createGunzip } from 'node:zlib';
import {
  FLIGHT_FILE_MOST_BYTES,
  type FlightFile,
  type FlightFilesPage,
} from '@skelby/core/pages/flight-files';
import { keyOfHash } from '@skelby/core/vocabulary/key-of-hash';
import type { Knex } from 'knex';
import { inSchool, type SchoolTx } from '../db/in-school';
import { rowsOf } from '../db/rows-of';
import { recordEvent } from '../facts/events';
import { badField, conflict, notFound, Problem } from '../problem/problem';
import { inParts } from '../db/in-parts';

/** Files of recorders: kept packed, in pieces, by their hash, for as long and as much as the school keeps. */

const MEGABYTE = 1024 * 1024;
const SHOWN = 60;

export interface GivenFile {
  readonly id: string;
  readonly name: string;
  readonly pilotId: string | null;
  readonly flightId: string | null;
}

const OTHER_FILE = 'The file is not the one that its key names: send it once more.';

/**
 * Unpacks it once, without keeping that.
 * @returns how many bytes it has. @throws Problem where it is not packed, too large, or not what its key says
 */
export async function assertWhole(packed: Readable, id: string): Promise<number> {
  const hash = createHash('sha256');
  let bytes = 0;
  try {
    await pipeline(packed, createGunzip(), async (parts: AsyncIterable<Buffer>) => {
      for await (const part of parts) {
        bytes += part.length;
        if (bytes > FLIGHT_FILE_MOST_BYTES) return;
        hash.update(part);
      }
    });
  } catch {
    // Left half-way, or it is no gzip.
    if (bytes <= FLIGHT_FILE_MOST_BYTES)
      throw new Problem(
        422,
        'Not accepted',
        'The file is not packed with gzip, or is cut short: send it again.',
      );
  }
  if (bytes > FLIGHT_FILE_MOST_BYTES)
    throw new Problem(
      413,
      'Too large',
      `The flight has more than ${FLIGHT_FILE_MOST_BYTES / MEGABYTE} MB: cut out the part that matters.`,
    );
  if (keyOfHash(hash.digest()) !== id) throw new Problem(422, 'Not accepted', OTHER_FILE);
  return bytes;
}

const fileOf = async ({ tx }: SchoolTx, id: string): Promise<FlightFile | undefined> =>
  (await rowsOf<FlightFile>(tx, tx('flight_files').select(SENT).where({ id })))[0];
const SENT = ['id', 'name', 'bytes', 'kept_bytes', 'pilot_id', 'flight_id', 'made_at'];

/** Those that have been kept for as long as the school keeps them go. */
const dropOld = ({ tx, schoolId }: SchoolTx): Promise<unknown> =>
  tx('flight_files')
    .whereRaw('made_at < now() - make_interval(months => (select flight_months from schools where id = ?))', [
      schoolId,
    ])
    .delete();

const keptNow = async ({ tx }: SchoolTx): Promise<number> => {
  const { rows } = (await tx.raw(
    'select coalesce(sum(kept_bytes), 0)::float8 as kept from flight_files',
  )) as {
    rows: { kept: number }[];
  };
  return rows[0]!.kept;
};

/**
 * @throws Problem 409 where the pilot is not there: what adds them may still be on its way from the same phone; 422 for one
 * who was forgotten
 */
async function assertPilot({ tx }: SchoolTx, pilotId: string | null): Promise<void> {
  if (pilotId === null) return;
  const pilot = (await tx('pilots').where({ id: pilotId }).first('forgotten_at')) as
    { forgottenAt: string | null } | undefined;
  if (!pilot) throw conflict('The pilot is not there yet: send it again once they are.');
  if (pilot.forgottenAt !== null)
    throw badField('pilot', 'This pilot was forgotten at their wish: no file of theirs is kept.');
}

/**
 * Gives files that came without a pilot to whoever flew the flight, or the entry, that they belong to: those may come before
 * a file or after it.
 */
export const claimFiles = ({ tx }: SchoolTx): Promise<unknown> =>
  tx.raw(`
    update flight_files f set pilot_id = coalesce(
      (select pilot_id from flights where school_id = f.school_id and id = f.flight_id),
      (select pilot_id from occurrences
        where school_id = f.school_id and flown ->> 'fileId' = f.id::text limit 1))
     where f.pilot_id is null`) as unknown as Promise<unknown>;

/**
 * Keeps a file that is here whole. The same one again only learns whose it is and which flight.
 * @param mostBytes what all files of the school may take
 * @throws Problem 413 where there is no room
 */
export async function keepFlightFile(
  school: SchoolTx,
  { id, name, pilotId, flightId }: GivenFile,
  { bytes, file, mostBytes }: { readonly bytes: number; readonly file: Readable; readonly mostBytes: number },
): Promise<FlightFile> {
  const { tx, schoolId, accountId } = school;
  await assertPilot(school, pilotId);
  const there = await fileOf(school, id);
  if (there) {
    await tx('flight_files')
      .where({ id })
      .update({ pilotId: there.pilotId ?? pilotId, flightId: there.flightId ?? flightId });
    return (await fileOf(school, id))!;
  }
  await dropOld(school);
  await tx('flight_files').insert({ schoolId, id, accountId, name, bytes, keptBytes: 0, pilotId, flightId });
  let [keptBytes, number] = [0, 0];
  for await (const content of inParts(file, MEGABYTE)) {
    await tx('flight_file_parts').insert({ schoolId, id: randomUUID(), fileId: id, number, content });
    keptBytes += content.length;
    number += 1;
  }
  await tx('flight_files').where({ id }).update({ keptBytes });
  if ((await keptNow(school)) > mostBytes)
    throw new Problem(
      413,
      'No room',
      `Flight files may take ${Math.round(mostBytes / MEGABYTE)} MB in this school, and there is no room for another: take some out under School, or keep them for fewer months.`,
    );
  await recordEvent(school, {
    action: 'added',
    subject: 'file',
    subjectId: id,
    pilotId,
    data: { name, bytes },
  });
  return (await fileOf(school, id))!;
}

/** What is kept, the newest first. */
export async function flightFilesPage(school: SchoolTx, mostBytes: number): Promise<FlightFilesPage> {
  const { tx, schoolId } = school;
  await dropOld(school);
  await claimFiles(school);
  const files = await rowsOf<FlightFile>(
    tx,
    tx('flight_files')
      .select(SENT)
      .orderBy([{ column: 'made_at', order: 'desc' }, 'id'])
      .limit(SHOWN),
  );
  const { all } = (await tx('flight_files').count('* as all').first()) as { all: string };
  const { flightMonths } = (await tx('schools').where({ id: schoolId }).first('flight_months')) as {
    flightMonths: number;
  };
  return { files, all: Number(all), keptBytes: await keptNow(school), mostBytes, months: flightMonths };
}

/** @throws Problem 404 */
export async function flightFile(school: SchoolTx, id: string): Promise<FlightFile> {
  const file = await fileOf(school, id);
  if (!file) throw notFound('flight file');
  return file;
}

/** Takes it out for good. @throws Problem 404 */
export async function dropFlightFile(school: SchoolTx, id: string): Promise<undefined> {
  const { name, pilotId } = await flightFile(school, id);
  await school.tx('flight_files').where({ id }).delete();
  await recordEvent(school, { action: 'removed', subject: 'file', subjectId: id, pilotId, data: { name } });
  return undefined;
}

/** Its bytes as they are kept, a piece at a time, each in a transaction of its own. */
export async function* packedParts(
  db: Knex,
  who: Parameters<typeof inSchool>[1],
  fileId: string,
): AsyncGenerator<Buffer> {
  for (let number = 0; ; number += 1) {
    const part = await inSchool(
      db,
      who,
      ({ tx }) =>
        tx('flight_file_parts').where({ fileId, number }).first('content') as Promise<
          { content: Buffer } | undefined
        >,
    );
    if (!part) return;
    yield part.content;
  }
}
