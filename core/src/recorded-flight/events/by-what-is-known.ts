import { FLIGHT_MODES } from '../../vocabulary/flying';
import { hasDirection } from '../wind';
import { type EventFinder, flightEvent, mostIn, speedAcross, stretches } from './flight-event';

/** Against what is known of the place and the craft. */

const ITSELF = FLIGHT_MODES.indexOf('programmed');
/** It is on its way when it moves so fast, m/s, for so long, s. */
const ON_ITS_WAY_MPS = 1.5;
const ON_ITS_WAY_S = 2;

/** On its way by itself, lower than the tallest thing of the place. */
export const lowReturnFinder: EventFinder = ({ flight, limits, airborne, place: { ground } }) => {
  const mode = flight.channels.get('mode');
  const up = flight.axes.up?.place;
  const { tallestM } = limits;
  // A file that begins in the air does not tell how high it flew.
  if (!mode || !up || tallestM === null || !ground) return [];
  const { t, hz } = flight;
  const height = (i: number) => up[i]! - ground(i);
  const isLow = (i: number) =>
    mode[i] === ITSELF &&
    airborne[i] === 1 &&
    height(i) < tallestM &&
    speedAcross(flight, i) > ON_ITS_WAY_MPS;
  return stretches(t.length, isLow, { least: ON_ITS_WAY_S * hz, bridges: hz }).map(([from, to]) =>
    flightEvent('low-return', t[from]!, {
      untilS: t[to]!,
      sure: 0.8,
      by: { heightM: -mostIn([from, to], (i) => -height(i)), tallestM },
    }),
  );
};

/** Further from where it took off than this it was not sent down there, m. */
const AWAY_M = 12;
/** It came down by itself: so long before it stood, s. */
const DOWN_S = 2;

/** It came down by itself, and not where it took off. */
export const forcedLandingFinder: EventFinder = ({ flight, limits, airborne, place }) => {
  const mode = flight.channels.get('mode');
  if (!mode || !place.fromPilot) return [];
  const { axes, channels, t, hz } = flight;
  return stretches(t.length, (i) => airborne[i] === 1, { least: DOWN_S * hz }).flatMap(([from, to]) => {
    const away = Math.hypot(
      axes.east.place[to]! - axes.east.place[from]!,
      axes.north.place[to]! - axes.north.place[from]!,
    );
    const begins = Math.max(from, to - DOWN_S * hz);
    const byItself = mode.subarray(begins, to).every((each) => each === ITSELF);
    if (to === t.length - 1 || away < AWAY_M || !byItself) return [];
    const share = channels.get('battery')?.[to];
    const low = share !== undefined && share < limits.lowBattery;
    return [
      flightEvent('forced-landing', t[to]!, {
        sure: 0.85,
        by: { awayM: away, ...(low ? { share } : {}) },
      }),
    ];
  });
};

/** A link that is told as a share is lost under this, for so long, s. */
const LINK_LOST = 0.1;
const LINK_LOST_S = 0.5;

/** The recorder says that there was no link. What is told in another way than as a share, or in dBm, is not read. */
export const linkLostFinder: EventFinder = ({ flight, airborne }) => {
  const link = flight.channels.get('link');
  if (!link || link.some((share) => share < 0 || share > 1.001)) return [];
  const { t, hz } = flight;
  return stretches(t.length, (i) => link[i]! < LINK_LOST && airborne[i] === 1, {
    least: LINK_LOST_S * hz,
    bridges: hz,
  }).map(([from, to]) => flightEvent('link-lost', t[from]!, { untilS: t[to]!, sure: 0.9 }));
};

/** So long it blows harder than is let, s. */
const WINDY_S = 3;
/** A short flight may have leaned for another reason, s. */
const BY_LEAN_S = 30;

/** More wind than the craft should fly in: as it was told, or by what the lean held against it. */
export const windyFinder: EventFinder = ({ flight, limits, airborne, wind: windOf }) => {
  const { t, hz, channels } = flight;
  const [east, north] = [channels.get('wind_east'), channels.get('wind_north')];
  const limitMps = limits.windMps;
  if (east && north) {
    const windy = (i: number) => airborne[i] === 1 && Math.hypot(east[i]!, north[i]!) > limitMps;
    return stretches(t.length, windy, { least: WINDY_S * hz, bridges: 10 * hz }).map(([from, to]) => {
      const windMps = mostIn([from, to], (i) => Math.hypot(east[i]!, north[i]!) || 0);
      return flightEvent('windy', t[from]!, { untilS: t[to]!, sure: 0.9, by: { windMps, limitMps } });
    });
  }
  const wind = windOf();
  const windMps = wind ? Math.hypot(wind.eastMps, wind.northMps) : 0;
  const first = airborne.indexOf(1);
  const flownS = airborne.reduce((sum, each) => sum + each, 0) / hz;
  return wind && flownS >= BY_LEAN_S && hasDirection(wind) && windMps - 2 * wind.sdMps > limitMps
    ? [flightEvent('windy', t[first]!, { sure: 0.7, by: { windMps, limitMps } })]
    : [];
};
