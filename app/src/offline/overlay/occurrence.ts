import type { DebriefPage, OccurrenceOfPilot, Roster } from '../../shared/api/types';
import { logOccurrence } from '@skelby/core/commands/log-occurrence';
import { saveDebrief } from '@skelby/core/commands/save-debrief';
import { takeConfirmationBack } from '@skelby/core/commands/take-confirmation-back';
import { withdrawOccurrence } from '@skelby/core/commands/withdraw-occurrence';
import { confirmed, done } from '../outbox/commands';
import type { Waiting } from '../outbox/waiting';

/** An occurrence as it stands on this phone: logged, changed, confirmed or withdrawn here. */
export function occurrenceWith(
  id: string,
  read: OccurrenceOfPilot | undefined,
  waiting: readonly Waiting[],
  roster: Roster | undefined,
): OccurrenceOfPilot | undefined {
  const fields = done(logOccurrence, waiting)
    .filter((each) => each.keys.id === id)
    .at(-1)?.body;
  const pilot = roster?.pilots.find((each) => each.id === (fields?.pilotId ?? read?.pilotId));
  const blank = {
    revision: 1,
    confirmedCauseId: null,
    weaknessId: null,
    withdrawnAt: null,
    withdrawnReason: null,
  };
  let row =
    fields && pilot
      ? ({
          ...blank,
          ...read,
          ...fields,
          id,
          pilotName: pilot.name,
          pilotMode: pilot.mode,
          pilotStickLayout: pilot.stickLayout,
        } as OccurrenceOfPilot)
      : read;
  if (!row) return undefined;
  const cause = confirmed(waiting)
    .filter((each) => each.occurrenceId === id)
    .at(-1);
  if (cause) row = { ...row, confirmedCauseId: cause.causeId, weaknessId: cause.weaknessId };
  if (done(takeConfirmationBack, waiting).some((each) => each.keys.id === id))
    row = { ...row, confirmedCauseId: null, weaknessId: null };
  const withdrawn = done(withdrawOccurrence, waiting).find((each) => each.keys.id === id);
  return withdrawn ? { ...row, withdrawnAt: withdrawn.madeAt, withdrawnReason: withdrawn.body.reason } : row;
}

/** A debrief with the versions saved on this phone. An occurrence that was logged here has none before. */
export function debriefWith(
  occurrenceId: string,
  read: DebriefPage | undefined,
  waiting: readonly Waiting[],
): DebriefPage | undefined {
  const start =
    read ??
    (done(logOccurrence, waiting).some((each) => each.keys.id === occurrenceId)
      ? { debrief: null, versions: [] }
      : undefined);
  if (!start) return undefined;
  return done(saveDebrief, waiting)
    .filter((each) => each.keys.id === occurrenceId && each.body.base >= (start.debrief?.number ?? 0))
    .reduce<DebriefPage>((page, { keys, body: { base, state, reason, findings, at } }) => {
      const version = { id: keys.versionId, number: base + 1, state, reason: reason || null, at, by: null };
      return {
        debrief: {
          ...version,
          findings: findings as NonNullable<DebriefPage['debrief']>['findings'],
          proposedCauseId: null,
        },
        versions: [version, ...page.versions],
      };
    }, start);
}
