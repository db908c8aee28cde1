/** What a program of a school may send, in the order in which one thing leans on another; everybody in it is made up. */

const key = (last: number) => `01936f2a-0000-7000-8000-${String(last).padStart(12, '0')}`;
const [PILOT, CRAFT, SITE, NEAR_MISS, WEAKNESS] = [key(1), key(2), key(3), key(4), key(5)];
const AT = '2026-03-04T09:20:00.000Z';
const DAY = '2026-03-04';

export interface ApiExample {
  /** The command of core. */
  readonly name: string;
  readonly path: string;
  readonly body: Readonly<Record<string, unknown>>;
}

export const API_EXAMPLES: readonly ApiExample[] = [
  {
    name: 'save-pilot',
    path: `/pilots/${PILOT}`,
    body: {
      ...{ name: 'Alva Renn', stickLayout: 2, mode: 'position-hold', windLimitMps: 5 },
      ...{ consentBy: 'Alva Renn', note: '' },
    },
  },
  {
    name: 'save-craft',
    path: `/craft/${CRAFT}`,
    body: {
      ...{ name: 'Trainer 2', mode: 'position-hold', massKg: 0.9, spanM: 0.4, rotors: 4, rotorRadiusM: 0.12 },
      ...{ thrustToWeight: 2.2, topSpeedMps: 15, hasPauseSwitch: true },
    },
  },
  {
    name: 'save-site',
    path: `/sites/${SITE}`,
    body: { name: 'Lower meadow', place: 'open', tallestM: 12, hazard: 'A wire along the north hedge' },
  },
  {
    name: 'save-flight',
    path: `/flights/${key(6)}`,
    body: { pilotId: PILOT, craftId: CRAFT, siteId: SITE, day: DAY, packs: 2, minutes: 14, windMps: 2 },
  },
  {
    name: 'log-occurrence',
    path: `/occurrences/${NEAR_MISS}`,
    body: {
      ...{ pilotId: PILOT, kind: 'near-miss', causeId: 'orientation-nose-in', craftId: CRAFT, siteId: SITE },
      ...{ note: 'Coming back it went the other way.', windMps: 2, happenedAt: AT, day: DAY },
    },
  },
  {
    name: 'confirm-cause',
    path: `/occurrences/${NEAR_MISS}/confirmation`,
    body: { causeId: 'orientation-nose-in', weaknessId: WEAKNESS, moveId: key(9), planId: key(7), at: AT },
  },
  {
    name: 'record-rep',
    path: `/reps/${key(8)}`,
    body: {
      ...{ weaknessId: WEAKNESS, drillId: 'nose-in-hover', purpose: 'practice', met: true, band: 'calm' },
      ...{ flownOn: 'craft', mode: 'position-hold', pilotRelative: false, pack: 1, craftId: CRAFT },
      side: null,
      ...{ day: DAY, flownAt: '2026-03-04T10:05:00.000Z' },
    },
  },
  {
    name: 'take-rep-back',
    path: `/reps/${key(8)}/taken-back`,
    body: { reason: 'Counted for the wrong pilot.' },
  },
];
