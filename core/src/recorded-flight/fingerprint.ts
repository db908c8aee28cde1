import type { Recording } from './recording';

/** What is hashed for the id of a flight among what was flown. */
export const flownText = (fingerprint: string): string => `skelby flight ${fingerprint}`;

/** Places that tell two flights apart, spread over the flight. */
const LOOKED_AT = 12;

/**
 * What a flight is known again by, whichever file it comes in: when and where it began, to the second and to about a
 * hundred metres; where nobody wrote that down, how long it is and where it went, to the metre.
 */
export function fingerprintOf({ t, startedAt, origin, channels }: Recording): string {
  if (startedAt !== null && origin)
    return `${Math.round(startedAt)} ${origin.latDeg.toFixed(3)} ${origin.lonDeg.toFixed(3)}`;
  const [east, north] = [channels.get('east')!, channels.get('north')!];
  const at = Array.from({ length: LOOKED_AT }, (_, i) => {
    const row = Math.floor((i * (t.length - 1)) / (LOOKED_AT - 1));
    return `${Math.round(east[row]!)},${Math.round(north[row]!)}`;
  });
  return [startedAt === null ? '' : Math.round(startedAt), Math.round(t.at(-1)!), ...at].join(' ');
}
