import { CAUSES, type CauseId } from '../causes/causes';
import { drillOf, mayDecide } from '../drills/drills';
import { proposePlan } from '../plan/propose-plan';
import { brokenBy } from '../restrictions/restrictions';
import { DAY, ofToday } from '../testing/by-day';
import { Diary, FIRST_DAY } from '../testing/diary';
import { addDays } from '../vocabulary/day';
import { FLIGHT_MODES, type FlightMode, onReleaseIn } from '../vocabulary/flying';
import type { WindBand } from '../vocabulary/wind-band';
import type { Flies, Purpose, Rep } from './facts';
import { modeNow } from './form-now';
import { keyDrillsOfPlan } from '../plan/propose-plan';
import { nextStep } from './next-step';

/**
 * A competent pilot, who misses one rep in ten, is cleared of every cause in every mode and with every wind limit,
 * by the plan the app proposes and without a trainer overruling anything.
 */

const WIND_LIMITS = [1.5, 4, 6.7, 12];
/** The least wind of each band in which it is flown, m/s. */
const WIND_OF: Readonly<Record<WindBand, number>> = { calm: 1, light: 2.5, breezy: 5.2 };
const MOST_DAYS = 120;

/** Lehmer's generator (Park and Miller 1988). */
function chanceFrom(seed: number): () => number {
  let state = seed;
  return () => (state = (state * 48_271) % 2_147_483_647) / 2_147_483_647;
}

interface Cleared {
  readonly reps: number;
  readonly days: number;
}

/** Flies a weakness to the signature; null when that cannot be done. */
function clear(causeId: CauseId, pilot: Flies, seed: number) {
  const { windLimitMps } = pilot;
  const chance = chanceFrom(seed);
  const drillIds = proposePlan(causeId, pilot.mode, {}).map(({ drillId }) => drillId);
  const keyDrills = keyDrillsOfPlan(causeId, pilot.mode, drillIds);
  if (keyDrills.length === 0) return 'no drill decides';
  const diary = new Diary(pilot, keyDrills, causeId);
  const weakness = [{ causeId, drillIds }];
  const fly = (
    day: string,
    drillId: (typeof keyDrills)[number],
    more: Partial<Rep> & { readonly purpose: Purpose; readonly mode: FlightMode },
  ) => {
    diary.rep(day, chance() >= 0.1, { drillId, ...more });
  };
  for (let i = 1; i <= MOST_DAYS; i += 1) {
    const day = addDays(FIRST_DAY, i);
    const now = diary.now();
    const next = nextStep(now, day);
    if (next.do === 'wait') continue;
    if (next.do === 'sign') {
      diary.move('signed', day);
      return diary.now().state === 'watch'
        ? ({ reps: diary.reps.length, days: i } satisfies Cleared)
        : 'signed and not on watch';
    }
    const windOf = (band: WindBand) => Math.min(WIND_OF[band], windLimitMps);
    for (const { drillId, side } of now.charts) {
      const missing = now.coverage.flatMap(({ drillId: of, what, shown }) =>
        of === drillId && !shown && typeof what === 'object' && 'band' in what ? [what.band] : [],
      );
      const bands = now.coverage.flatMap(({ drillId: of, what }) =>
        of === drillId && typeof what === 'object' && 'band' in what ? [what.band] : [],
      );
      // What is shown on the ground has no wind.
      const band = (missing.length > 0 ? missing : bands)[i % (missing.length || bands.length)] ?? 'calm';
      if (WIND_OF[band] > windLimitMps && windLimitMps >= WIND_OF.calm)
        return `${drillId} asks for ${band} wind`;
      const refused = brokenBy(
        { drillId, flownOn: 'craft', place: 'open', windMps: windOf(band), windLimitMps, flies: pilot },
        weakness,
      );
      if (refused.length > 0) return JSON.stringify(refused[0]!.said);
      if (!mayDecide(drillOf(drillId))) return `${drillId} cannot decide`;
      const attempts = next.do === 'check' ? 5 : 4;
      const purpose = next.do === 'check' ? 'check' : 'test';
      const mode = modeNow(drillId, purpose, pilot, diary.now());
      for (let rep = 0; rep < attempts; rep += 1) {
        if (
          next.do === 'check' &&
          diary.now().check?.drills.find((each) => each.drillId === drillId && (each.side ?? null) === side)
            ?.passed !== false
        )
          break;
        fly(day, drillId, { side, band, purpose, mode });
      }
    }
  }
  return `not cleared after ${MOST_DAYS} days`;
}

/** Every cause in every mode with every wind limit, with hold off too where there is one. */
const all = CAUSES.flatMap(({ id }) =>
  FLIGHT_MODES.flatMap((mode) =>
    WIND_LIMITS.flatMap((limit) =>
      [false, true]
        .filter((holdOff) => !holdOff || onReleaseIn(mode) === 'hold')
        .map((holdOff) => [id, mode, limit, holdOff] as const),
    ),
  ),
);

test.each(ofToday(all, 3))(
  `%s in %s, wind limit %d m/s, hold off too: %s (TEST_DAY ${DAY})`,
  (causeId, mode, windLimitMps, holdOff) => {
    const ended = clear(causeId, { mode, windLimitMps, holdOff }, 11 + windLimitMps);
    if (typeof ended === 'string') throw new Error(ended);
  },
);
