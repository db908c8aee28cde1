import { announceTests } from './announce-tests';
import { callOffTests } from './call-off-tests';
import { changePlan } from './change-plan';
import type { AnyCommand } from './command';
import { confirmCause } from './confirm-cause';
import { confirmRepError } from './confirm-rep-error';
import { handOver } from './hand-over';
import { keepFlown } from './keep-flown';
import { logOccurrence } from './log-occurrence';
import { moveWeakness } from './move-weakness';
import { recordOwnRep, sayOfWeakness, tellNearMiss } from './of-a-pilot';
import { recordCourseFact } from './record-course-fact';
import { recordRep } from './record-rep';
import { revokeLink } from './revoke-link';
import { saveDebrief } from './save-debrief';
import { saveDrillVersion } from './save-drill-version';
import { saveCraft, saveFlight, savePilot, saveSite } from './save-records';
import { saveSession } from './save-session';
import { setReporting } from './set-reporting';
import { setRule } from './set-rule';
import { setMethods, setRetention, setUnits, switchExperience } from './school-settings';
import { settleHistory, undoSettling } from './settle-history';
import { stampWeakness } from './stamp-weakness';
import { takeConfirmationBack } from './take-confirmation-back';
import { takeRepBack } from './take-rep-back';
import { withdrawOccurrence } from './withdraw-occurrence';

/** Everything that can be done, each once. Server and outbox loop over this list. */
export const COMMANDS = [
  recordRep,
  takeRepBack,
  recordCourseFact,
  logOccurrence,
  keepFlown,
  withdrawOccurrence,
  confirmCause,
  takeConfirmationBack,
  saveDebrief,
  changePlan,
  stampWeakness,
  announceTests,
  callOffTests,
  confirmRepError,
  moveWeakness,
  savePilot,
  saveCraft,
  saveSite,
  saveFlight,
  saveSession,
  saveDrillVersion,
  setUnits,
  setMethods,
  setRule,
  setReporting,
  setRetention,
  switchExperience,
  settleHistory,
  undoSettling,
  revokeLink,
  handOver,
  recordOwnRep,
  tellNearMiss,
  sayOfWeakness,
] as const;

export type CommandName = (typeof COMMANDS)[number]['name'];
/** What a private link does is asked for by no right. */
export type TrainerCommandName = Exclude<
  CommandName,
  'record-own-rep' | 'tell-near-miss' | 'say-of-weakness'
>;
export type CommandNamed<Name extends CommandName> = Extract<
  (typeof COMMANDS)[number],
  { readonly name: Name }
>;

/** The command at an address under /api, with the keys that stand in it; null where nothing can be done. */
export function commandAt(
  path: string,
): { readonly command: AnyCommand; readonly keys: Record<string, string> } | null {
  for (const command of COMMANDS as readonly AnyCommand[]) {
    const keys = command.address.read(path) as Record<string, string> | null;
    if (keys) return { command, keys };
  }
  return null;
}
