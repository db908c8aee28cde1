import {
  type EventFinder,
  type EventsFrom,
  flightEvent,
  mostIn,
  speedAcross,
  stretches,
} from './flight-event';

/** Trouble begins at half the induced velocity and ends at one and a half, with less way on than half of it (Leishman ch. 2 and 12). */
const [WASH_FROM, WASH_TO, WASH_ACROSS] = [0.5, 1.5, 0.5];
const WASH_S = 0.8;

/** Sinking straight down into its own wash. */
export const ownWashFinder: EventFinder = ({ flight, limits, airborne }) => {
  const { axes, t, hz } = flight;
  const { up } = axes;
  if (!up) return [];
  const v = limits.hoverInducedMps;
  const sinks = (i: number) => {
    const sink = -up.speed[i]!;
    return (
      airborne[i] === 1 &&
      sink > WASH_FROM * v &&
      sink < WASH_TO * v &&
      speedAcross(flight, i) < WASH_ACROSS * v &&
      sink > 2 * up.speedSd[i]!
    );
  };
  return stretches(t.length, sinks, { least: WASH_S * hz, bridges: hz / 2 }).map(([from, to]) => {
    const fastest = mostIn([from, to], (i) => -up.speed[i]!);
    return flightEvent('own-wash', t[from]!, {
      untilS: t[to]!,
      sure: 0.7,
      by: { sinkMps: fastest, inducedMps: v },
    });
  });
};

/** Hands are off, and it goes on. */
const HANDS_OFF = 0.06;
const SLIDES_MPS = 1;
const SLIDES_S = 3;
/** A stop takes so long: what is slid in it was flown, s. */
const STOPS_S = 2.5;

/** It slid with nobody's hand on it, while nothing held it. */
export const slidFinder: EventFinder = ({ flight, airborne }) => {
  const { channels, t, hz } = flight;
  const [pitch, roll] = [channels.get('stick_pitch'), channels.get('stick_roll')];
  if (!pitch || !roll) return [];
  const isOff = (i: number) => Math.hypot(pitch[i]!, roll[i]!) < HANDS_OFF;
  return stretches(t.length, (i) => airborne[i] === 1 && isOff(i), {
    least: (STOPS_S + SLIDES_S) * hz,
  }).flatMap(([from, to]) => {
    const settled = from + Math.round(STOPS_S * hz);
    const slides = stretches(to - settled, (k) => speedAcross(flight, settled + k) > SLIDES_MPS, {
      least: SLIDES_S * hz,
      bridges: hz / 2,
    });
    return slides.map(([a, b]) =>
      flightEvent('slid', t[settled + a]!, {
        untilS: t[settled + b]!,
        sure: 0.7,
        by: { speedMps: speedAcross(flight, settled + b) },
      }),
    );
  });
};

/** So many turns about, each so fast, within so long: common practice. */
const SWINGS = 5;
const SWING_MPS = 0.7;
const SWING_S = 8;

/** Moments at which the velocity along one axis turns about, after having been fast enough both ways. */
function turnsOf(speed: Float64Array, hz: number, least: number): readonly number[] {
  const smooth = Math.round(hz / 5);
  const turns: number[] = [];
  let side = 0;
  for (let i = smooth; i < speed.length; i += 1) {
    const now = speed[i]! > least ? 1 : speed[i]! < -least ? -1 : 0;
    if (now === 0 || now === side) continue;
    if (side !== 0) turns.push(i);
    side = now;
  }
  return turns;
}

/** Swinging to and fro, as hands do it that chase the craft. */
export const swungUpFinder: EventFinder = ({ flight, airborne }) => {
  const { axes, t, hz } = flight;
  return [axes.east, axes.north].flatMap(({ speed, speedSd }) => {
    const least = Math.max(SWING_MPS, 2 * speedSd[speedSd.length >> 1]!);
    const turns = turnsOf(speed, hz, least).filter((i) => airborne[i] === 1);
    for (let k = 0; k + SWINGS <= turns.length; k += 1) {
      const [first, last] = [turns[k]!, turns[k + SWINGS - 1]!];
      if (t[last]! - t[first]! > SWING_S) continue;
      return [
        flightEvent('swung-up', t[first]!, {
          untilS: t[turns.at(-1)!]!,
          sure: 0.75,
          by: { times: turns.length, withinS: t[last]! - t[first]! },
        }),
      ];
    }
    return [];
  });
};

const FAR_S = 1;

/** Further away, or higher, than it can be read or is let. Distance is from where it took off. */
export const farFinder: EventFinder = ({ flight, limits, place }: EventsFrom) => {
  const { axes, t, hz } = flight;
  const distance = (i: number) => Math.hypot(axes.east.place[i]!, axes.north.place[i]!);
  const up = axes.up?.place;
  const long = { least: FAR_S * hz, bridges: 5 * hz };
  return [
    // How far it was from a pilot who stands somewhere else nobody knows.
    ...stretches(t.length, (i) => place.fromPilot && distance(i) > limits.sightM, long).map((each) =>
      flightEvent('far', t[each[0]]!, {
        untilS: t[each[1]]!,
        sure: 0.9,
        by: { distanceM: mostIn(each, distance), limitM: limits.sightM },
      }),
    ),
    ...(up
      ? stretches(t.length, (i) => up[i]! > limits.heightM, long).map((each) =>
          flightEvent('high', t[each[0]]!, {
            untilS: t[each[1]]!,
            sure: 0.85,
            by: { heightM: mostIn(each, (i) => up[i]!), limitM: limits.heightM },
          }),
        )
      : []),
  ];
};
