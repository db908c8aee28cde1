import type { Knex } from 'knex';
import { connect } from '../server/src/db/connection';
import { migrate } from '../server/src/db/migrate';
import { CannotGoOn, say } from './say';

/** Makes a database in our own cluster unless it is there. */
export async function ensureDatabase(url: (database: string) => string, name: string): Promise<void> {
  const db = connect(url('postgres'));
  try {
    const { rows } = (await db.raw('select 1 from pg_database where datname = ?', [name])) as {
      rows: unknown[];
    };
    if (rows.length === 0) await db.raw('create database ??', [name]);
  } finally {
    await db.destroy();
  }
}

export async function remakeDatabase(url: (database: string) => string, name: string): Promise<void> {
  const db = connect(url('postgres'));
  try {
    await db.raw('drop database if exists ??', [name]);
    await db.raw('create database ??', [name]);
  } finally {
    await db.destroy();
  }
}

/** @param setting names the address. @throws CannotGoOn when the database is not to be reached */
export async function assertAnswers(db: Knex, setting: 'DATABASE_URL' | 'DATABASE_APP_URL'): Promise<void> {
  try {
    await db.raw('select 1');
  } catch (error) {
    const why = (error as Error).message || 'no connection';
    throw new CannotGoOn(
      `The database at ${setting} does not answer (${why}). Check the address, user and password, and that it is running.`,
    );
  }
}

/** Brings a database up to date and hands it over for some work. */
export async function withDatabase<T>(url: string, work: (db: Knex) => Promise<T>): Promise<T> {
  const db = connect(url);
  try {
    await assertAnswers(db, 'DATABASE_URL');
    await migrate(db);
    return await work(db);
  } finally {
    await db.destroy();
  }
}

/** Brings a database that Skelby did not make itself up to date. */
export async function runMigrate(): Promise<number> {
  const url = process.env['DATABASE_URL'];
  if (!url)
    throw new CannotGoOn(
      'DATABASE_URL is missing: give the address of the owner. A database that Skelby made itself is brought up to date as it starts.',
    );
  await withDatabase(url, () => Promise.resolve());
  say('The database is up to date.');
  return 0;
}
