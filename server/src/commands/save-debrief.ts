import { said } from '@skelby/copy/say';
import type { saveDebrief as command } from '@skelby/core/commands/save-debrief';
import { missingToClose, teaches, type Findings } from '@skelby/core/debrief/findings';
import { answersOf } from '@skelby/core/evidence/evidence';
import { rank } from '@skelby/core/ranking/rank';
import { craftFacts, USUAL_CRAFT, type CraftRecord } from '@skelby/core/vocabulary/craft-facts';
import type { SchoolTx } from '../db/in-school';
import { confirm, unconfirm } from '../facts/confirmation';
import { latestDebrief } from '../facts/debrief-versions';
import { recordEvent } from '../facts/events';
import { learn, lessonIn, modelOf } from '../facts/experience';
import { fromDebrief } from '@skelby/core/weakness/apply';
import { lockOccurrence, type OccurrenceRow } from '../facts/occurrence-rows';
import { badField, conflict, Problem } from '../problem/problem';
import type { Handler } from './handler';

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
  const errors = missing.map((each) => ({ field: `findings.${each.field}`, message: said(each.said) }));
  throw new Problem(422, 'Not accepted', errors.map(({ message }) => message).join(' '), { errors });
}

type Version = Parameters<Handler<typeof command>>[1]['fields'];
type Latest = Awaited<ReturnType<typeof latestDebrief>>;

/** @throws Problem where somebody saved another version meanwhile, or a closed one is changed without a reason */
function assertMayFollow(before: Latest, { base, reason }: Version): void {
  if ((before?.number ?? 0) !== base)
    throw new Problem(
      409,
      'Changed meanwhile',
      'Somebody saved this debrief meanwhile: look at both and choose. Yours is still on this phone.',
      {
        more: {
          theirs: { state: before?.state ?? null, findings: before?.findings ?? null },
          override: { base: before?.number ?? 0 },
        },
      },
    );
  if (before?.state === 'closed' && reason.length < 3)
    throw badField('reason', 'This debrief is closed: say in a few words why it is changed.');
}

/** Confirms the primary cause of a closed debrief, and takes another one back. @returns the weakness it belongs to */
async function confirmPrimary(
  school: SchoolTx,
  occurrence: OccurrenceRow,
  version: Version,
  findings: Findings,
): Promise<string | null> {
  const { weaknessId, moveId, undoId, planId, at, reason } = version;
  const { id, confirmedCauseId } = occurrence;
  const causeId = findings.primary!;
  if (confirmedCauseId === causeId && occurrence.weaknessId !== null) return occurrence.weaknessId;
  if (confirmedCauseId !== null && confirmedCauseId !== causeId)
    await unconfirm(school, id, {
      moveId: undoId,
      at,
      reason: reason || 'The debrief named another cause.',
    });
  const confirmed = await confirm(
    school,
    id,
    { causeId, weaknessId, moveId, planId, at },
    fromDebrief(findings),
  );
  return confirmed.weaknessId;
}

const actionOf = (state: Version['state'], before: Latest) => {
  if (state === 'closed') return 'debrief-closed';
  return before?.state === 'closed' ? 'debrief-reopened' : 'debrief-saved';
};

const craftFlown = async ({ tx }: SchoolTx, { craftId }: OccurrenceRow): Promise<CraftRecord | null> =>
  craftId ? ((await tx('craft').where({ id: craftId }).first()) as CraftRecord) : null;

/**
 * Saves a version of the debrief. Closing confirms the primary cause and opens or moves its weakness; a
 * closed debrief is changed only
 * with a reason. The same version again changes nothing; a version made from an older one than there is now
 * is refused.
 */
export const saveDebrief: Handler<typeof command> = async (
  school,
  { keys: { id: occurrenceId, versionId: id }, fields: version },
) => {
  const { state, reason, at } = version;
  const findings = version.findings as Findings;
  const { tx, schoolId, accountId } = school;
  const occurrence = await lockOccurrence(school, occurrenceId);
  const there = (await tx('debriefs').where({ id }).first('number')) as { number: number } | undefined;
  if (there) return { id, number: there.number, weaknessId: occurrence.weaknessId };
  if (occurrence.withdrawnAt !== null)
    throw conflict('This entry was withdrawn: log it again if it did happen.');
  const before = await latestDebrief(school, occurrenceId);
  assertMayFollow(before, version);
  const number = (before?.number ?? 0) + 1;
  const craft = await craftFlown(school, occurrence);
  const proposed = await proposal(school, craft, findings);
  const isClosed = state === 'closed';
  const lesson = isClosed && teaches(findings, proposed.first) ? lessonIn(findings, craft) : null;
  if (isClosed) assertComplete(findings, proposed.known ? proposed.first : null);
  const weaknessId = isClosed
    ? await confirmPrimary(school, occurrence, version, findings)
    : occurrence.weaknessId;
  await tx('debriefs').insert({
    schoolId,
    id,
    occurrenceId,
    number,
    state,
    findings: JSON.stringify(findings),
    proposedCauseId: proposed.first,
    lesson: lesson && JSON.stringify(lesson),
    reason: reason || null,
    at,
    accountId,
  });
  await recordEvent(school, {
    action: actionOf(state, before),
    subject: 'occurrence',
    subjectId: occurrenceId,
    pilotId: occurrence.pilotId,
    reason,
    data: { number },
  });
  await learn(school, lesson, before?.lesson ?? null);
  return { id, number, weaknessId };
};
