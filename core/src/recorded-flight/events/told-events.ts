import { FLIGHT_MODES } from '../../vocabulary/flying';
import { type EventFinder, flightEvent, stretches } from './flight-event';

const ITSELF = FLIGHT_MODES.indexOf('programmed');
/** A mode that lasts less was passed through on the way to another, s. */
const LASTS_S = 0.4;

/** It flew by itself: a return, a landing or a programme. */
export const flewItselfFinder: EventFinder = ({ flight }) => {
  const mode = flight.channels.get('mode');
  if (!mode) return [];
  const { t, hz } = flight;
  return stretches(t.length, (i) => mode[i] === ITSELF, { least: LASTS_S * hz, bridges: hz }).map(
    ([from, to]) => flightEvent('flew-itself', t[from]!, { untilS: t[to]!, sure: 0.95 }),
  );
};

/** The mode is another one than before, both of them known. */
export const modeChangedFinder: EventFinder = ({ flight, airborne }) => {
  const mode = flight.channels.get('mode');
  if (!mode) return [];
  const { t, hz } = flight;
  const spans: { readonly at: number; readonly mode: number }[] = [];
  let from = 0;
  for (let i = 1; i <= mode.length; i += 1) {
    if (i < mode.length && mode[i] === mode[from]) continue;
    const known = mode[from]! >= 0 && (i - from) / hz >= LASTS_S;
    if (known && spans.at(-1)?.mode !== mode[from]) spans.push({ at: from, mode: mode[from]! });
    from = i;
  }
  return spans
    .slice(1)
    .filter(({ at, mode: now }) => now !== ITSELF && airborne[at] === 1)
    .map(({ at, mode: now }) => flightEvent('mode-changed', t[at]!, { sure: 0.95, by: { mode: now } }));
};

/** The charge fell under what should bring it home. */
export const lowBatteryFinder: EventFinder = ({ flight, limits, airborne }) => {
  const battery = flight.channels.get('battery');
  if (!battery) return [];
  const at = battery.findIndex((share, i) => share < limits.lowBattery && airborne[i] === 1);
  return at < 0
    ? []
    : [flightEvent('low-battery', flight.t[at]!, { sure: 0.95, by: { share: battery[at]! } })];
};

/** Nothing was written for a while. */
export const gapFinder: EventFinder = ({ flight }) =>
  flight.gaps.map(([from, to]) =>
    flightEvent('gap', from, { untilS: to, sure: 1, by: { seconds: to - from } }),
  );
