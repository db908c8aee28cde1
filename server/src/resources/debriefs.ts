import type Router from '@koa/router';
import { type Findings, missingToClose, teaches } from '@skelby/core/debrief/findings';
import { answersOf } from '@skelby/core/evidence/evidence';
import { craftFacts, type CraftRecord, USUAL_CRAFT } from '@skelby/core/vocabulary/craft-facts';
import { debriefShape } from '@skelby/core/schemas/debrief';
import { unconfirmShape } from '@skelby/core/schemas/loop';
import type { Experience } from '@skelby/core/ranking/experience';
import { rank } from '@skelby/core/ranking/rank';
import { v7 as uuid } from 'uuid';
import type { SchoolTx } from '../db/in-school';
import { bodyOf } from '../http/body';
import { type InTheirSchool, keyIn } from '../http/in-their-school';
import { badField, conflict, notFound, Problem } from '../http/problems';
import { recordEvent } from './events';
import { learn, lessonIn, modelOf } from './experience';
import { rankOfSeverity } from './known-of-pilot';
import { confirmCause, lockOccurrence, unconfirmCause } from './occurrences';
import { assertNotFuture } from './when';

interface DebriefRow {
  readonly id: string;
  readonly number: number;
  readonly state: 'open' | 'closed';
  readonly findings: Findings;
  readonly lesson: Experience | null;
}

const latest = ({ tx }: SchoolTx, occurrenceId: string) =>
  tx('debriefs').where({ occurrenceId }).orderBy('number', 'desc').first() as Promise<DebriefRow | undefined>;

/** The debrief as it stands, and when, by whom and why each version of it was saved. */
export async function debriefOf(school: SchoolTx, occurrenceId: string) {
  const versions = (await school
    .tx('debriefs as d')
    .leftJoin('accounts as a', (on) => on.on('a.school_id', 'd.school_id').andOn('a.id', 'd.account_id'))
    .select('d.id', 'd.number', 'd.state', 'd.reason', 'd.at', 'a.name as by')
    .where({ 'd.occurrence_id': occurrenceId })
    .orderBy('d.number', 'desc')) as unknown[];
  return { debrief: (await latest(school, occurrenceId)) ?? null, versions };
}

/** What the ranking puts first, with the school's own weights, and whether it says that it knows. */
async function proposal(
  school: SchoolTx,
  craft: CraftRecord | null,
  findings: Findings,
): Promise<{ first: string; known: boolean }> {
  const { causes, stance } = rank(
    answersOf(findings.evidence),
    craftFacts(craft ?? USUAL_CRAFT),
    await modelOf(school),
  );
  return { first: causes[0]!.id, known: stance !== 'not-known' };
}

function assertComplete(findings: Findings, proposed: string | null): void {
  const missing = missingToClose(findings, proposed);
  if (missing.length === 0) return;
  throw new Problem(
    422,
    'Not accepted',
    missing.map((each) => each.message).join(' '),
    missing.map((each) => ({ field: `findings.${each.field}`, message: each.message })),
  );
}

/**
 * Saves a version of the debrief. Closing confirms the primary cause and opens or moves its weakness; a
 * closed debrief is changed only
 * with a reason. The same version again changes nothing; a version made from an older one than there is now
 * is refused.
 */
export async function putDebrief(
  school: SchoolTx,
  occurrenceId: string,
  id: string,
  body: unknown,
): Promise<{ id: string; number: number; weaknessId: string | null }> {
  const { base, state, reason, at, weaknessId, moveId, undoId, planId, ...rest } =
    await debriefShape.validate(body, { abortEarly: false });
  const findings = rest.findings as Findings;
  assertNotFuture('at', at);
  const { tx, schoolId, accountId } = school;
  const occurrence = await lockOccurrence(school, occurrenceId);
  const there = (await tx('debriefs').where({ id }).first('number')) as { number: number } | undefined;
  if (there) return { id, number: there.number, weaknessId: occurrence.weaknessId };
  if (occurrence.withdrawnAt !== null)
    throw conflict('This entry was withdrawn: log it again if it did happen.');
  const before = await latest(school, occurrenceId);
  const number = before?.number ?? 0;
  if (number !== base) {
    throw new Problem(
      409,
      'Changed meanwhile',
      'Somebody saved this debrief meanwhile: look at both and choose. Yours is still on this phone.',
      [],
      {
        theirs: { state: before?.state ?? null, findings: before?.findings ?? null },
        override: { base: number },
      },
    );
  }
  if (before?.state === 'closed' && reason.length < 3)
    throw badField('reason', 'This debrief is closed: say in a few words why it is changed.');
  const craft = occurrence.craftId
    ? ((await tx('craft').where({ id: occurrence.craftId }).first()) as CraftRecord)
    : null;
  const proposed = await proposal(school, craft, findings);
  const lesson = state === 'closed' && teaches(findings, proposed.first) ? lessonIn(findings, craft) : null;
  let opened = occurrence.weaknessId;
  if (state === 'closed') {
    assertComplete(findings, proposed.known ? proposed.first : null);
    const causeId = findings.primary!;
    if (occurrence.confirmedCauseId !== null && occurrence.confirmedCauseId !== causeId) {
      await unconfirmCause(school, occurrenceId, {
        moveId: undoId,
        at,
        reason: reason || 'The debrief named another cause.',
      });
    }
    if (occurrence.confirmedCauseId !== causeId || occurrence.weaknessId === null)
      ({ weaknessId: opened } = await confirmCause(
        school,
        occurrenceId,
        { causeId, weaknessId, moveId, planId, at },
        {
          link: findings.chain.find((each) => each.breakable)?.causeId ?? null,
          severity: rankOfSeverity(findings.potential),
        },
      ));
  }
  await tx('debriefs').insert({
    schoolId,
    id,
    occurrenceId,
    number: number + 1,
    state,
    findings: JSON.stringify(findings),
    proposedCauseId: proposed.first,
    lesson: lesson && JSON.stringify(lesson),
    reason: reason || null,
    at,
    accountId,
  });
  await recordEvent(school, {
    action:
      state === 'closed'
        ? 'debrief-closed'
        : before?.state === 'closed'
          ? 'debrief-reopened'
          : 'debrief-saved',
    subject: 'occurrence',
    subjectId: occurrenceId,
    pilotId: occurrence.pilotId,
    reason,
    data: { number: number + 1 },
  });
  await learn(school, lesson, before?.lesson ?? null);
  return { id, number: number + 1, weaknessId: opened };
}

/** Takes the confirmation back, and with it opens the debrief that gave it. */
export async function takeConfirmationBack(
  school: SchoolTx,
  occurrenceId: string,
  body: unknown,
): Promise<{ id: string }> {
  const done = await unconfirmCause(school, occurrenceId, body);
  const { at, reason } = unconfirmShape.cast(body) as { at: string; reason: string };
  const before = await latest(school, occurrenceId);
  if (before?.state !== 'closed') return done;
  const { tx, schoolId, accountId } = school;
  await tx('debriefs').insert({
    schoolId,
    id: uuid(),
    occurrenceId,
    number: before.number + 1,
    state: 'open',
    findings: JSON.stringify(before.findings),
    reason,
    at,
    accountId,
  });
  await learn(school, null, before.lesson);
  return done;
}

export function debriefRoutes(router: Router, inSchool: InTheirSchool): void {
  const at = (ctx: Parameters<typeof keyIn>[0]) => keyIn(ctx, 'id', 'occurrence');
  router.get(
    '/occurrences/:id/debrief',
    inSchool((school, ctx) => debriefOf(school, at(ctx))),
  );
  router.get(
    '/occurrences/:id/debrief/:versionId',
    inSchool(async ({ tx }, ctx) => {
      const version = (await tx('debriefs')
        .where({ occurrenceId: at(ctx), id: keyIn(ctx, 'versionId', 'version') })
        .first()) as DebriefRow | undefined;
      if (!version) throw notFound('version');
      return version;
    }),
  );
  router.put(
    '/occurrences/:id/confirmation/taken-back',
    inSchool((school, ctx) => takeConfirmationBack(school, at(ctx), bodyOf(ctx))),
  );
  router.put(
    '/occurrences/:id/debrief/:versionId',
    inSchool((school, ctx) => putDebrief(school, at(ctx), keyIn(ctx, 'versionId', 'version'), bodyOf(ctx))),
  );
}
