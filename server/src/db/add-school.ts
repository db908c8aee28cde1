import { type ClearingRule, DEFAULT_RULE } from '@skelby/core/clearance/clearing-rule';
import type { Role } from '@skelby/core/people/roles';
import type { Knex } from 'knex';
import { v7 as uuid } from 'uuid';
import { hashPassword } from './password';

export interface NewTrainer {
  readonly name: string;
  readonly email: string;
  readonly password: string;
  /** Absent: the first of a school is its owner, the others are trainers. */
  readonly role?: Role;
}

export interface NewSchool {
  readonly name: string;
  readonly rule?: ClearingRule;
  readonly ruleFrom?: Date;
  readonly demoLoadedOn?: string;
}

/** Makes a school with its first clearing rule. Done as the database's owner: the app itself may not. */
export async function addSchool(db: Knex, school: NewSchool): Promise<string> {
  const id = uuid();
  await db('schools').insert({ id, name: school.name, demoLoadedOn: school.demoLoadedOn ?? null });
  await db('clearing_rules').insert({
    schoolId: id,
    id: uuid(),
    inForceFrom: school.ruleFrom ?? new Date(),
    ...(school.rule ?? DEFAULT_RULE),
  });
  return id;
}

/** Adds a trainer; the first of a school is its owner. */
export async function addTrainer(db: Knex, schoolId: string, trainer: NewTrainer): Promise<string> {
  const id = uuid();
  const first = await db('accounts').where({ schoolId }).first('id');
  await db('accounts').insert({
    schoolId,
    id,
    name: trainer.name,
    email: trainer.email.trim().toLowerCase(),
    passwordHash: await hashPassword(trainer.password),
    role: trainer.role ?? (first ? 'trainer' : 'owner'),
  });
  return id;
}
