import { type Day, isInstant } from '../vocabulary/day';
import type { Batch, BatchCommand } from './batch';

const NEAR_ENOUGH_MS = 120_000;
const MS_PER_MINUTE = 60_000;

export interface PutRight {
  readonly commands: readonly BatchCommand[];
  /** By how much the phone's clock was ahead at its worst, in ms; 0 when it was near enough. */
  readonly aheadMs: number;
}

const localDay = (instantMs: number, minutesAheadOfUtc: number): Day =>
  new Date(instantMs + minutesAheadOfUtc * MS_PER_MINUTE).toISOString().slice(0, 10);

/** Instant that the phone's clock filled in, ms since 1970; NaN where there is none. */
const stampOf = ({ stamp, body }: BatchCommand): number => {
  const stamped = stamp === null ? undefined : body[stamp];
  return typeof stamped === 'string' && isInstant(stamped) ? Date.parse(stamped) : Number.NaN;
};

function moved(command: BatchCommand, byMs: number, minutesAheadOfUtc: number): BatchCommand {
  const stampedMs = stampOf(command);
  // A stamp that is missing or no instant cannot be moved: whoever takes the command refuses it by name.
  if (command.stamp === null || byMs === 0 || Number.isNaN(stampedMs)) return command;
  const instantMs = stampedMs + byMs;
  const day = 'day' in command.body ? { day: localDay(instantMs, minutesAheadOfUtc) } : {};
  return {
    ...command,
    body: { ...command.body, ...day, [command.stamp]: new Date(instantMs).toISOString() },
  };
}

/**
 * Puts right what a phone with a wrong clock has stamped. A clock that is still wrong shows at the moment of
 * sending, and everything moves
 * by as much. One that was ahead and has been set since shows by stamps that lie in the future: those move
 * back together, so that the
 * last of them falls on now and the order between them stays. A clock that was behind and has been set since
 * cannot be told from reps
 * flown earlier.
 * @param nowMs the server's clock, ms since 1970
 */
export function putClockRight(batch: Batch, nowMs: number): PutRight {
  const ahead = Date.parse(batch.sentAt) - nowMs;
  const offset = Math.abs(ahead) > NEAR_ENOUGH_MS ? -ahead : 0;
  const shifted = batch.commands.map((command) => moved(command, offset, batch.minutesAheadOfUtc));
  const isFuture = (command: BatchCommand) => stampOf(command) > nowMs + NEAR_ENOUGH_MS;
  const latest = Math.max(nowMs, ...shifted.filter(isFuture).map(stampOf));
  const commands = shifted.map((command) =>
    isFuture(command) ? moved(command, nowMs - latest, batch.minutesAheadOfUtc) : command,
  );
  return { commands, aheadMs: offset !== 0 ? ahead : latest - nowMs };
}
