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
import { lockOccurrence } from '../facts/occurrence-rows';
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
export const saveDebrief: Handler<typeof command> = async (
  school,
  { keys: { id: occurrenceId, versionId: id }, fields: version },
) => {
  const { base, state, reason, at, weaknessId, moveId, undoId, planId, ...rest } = version;
  const findings = rest.findings as Findings;
  const { tx, schoolId, accountId } = school;
  const occurrence = await lockOccurrence(school, occurrenceId);
  const there = (await tx('debriefs').where({ id }).first('number')) as { number: number } | undefined;
  if (there) return { id, number: there.number, weaknessId: occurrence.weaknessId };
  if (occurrence.withdrawnAt !== null)
    throw conflict('This entry was withdrawn: log it again if it did happen.');
  const before = await latestDebrief(school, occurrenceId);
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
      await unconfirm(school, occurrenceId, {
        moveId: undoId,
        at,
        reason: reason || 'The debrief named another cause.',
      });
    }
    if (occurrence.confirmedCauseId !== causeId || occurrence.weaknessId === null)
      ({ weaknessId: opened } = await confirm(
        school,
        occurrenceId,
        { causeId, weaknessId, moveId, planId, at },
        fromDebrief(findings),
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
};
