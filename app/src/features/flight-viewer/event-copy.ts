import type { FlightEvent, FlightEventName } from '@skelby/core/recorded-flight/events/flight-event';
import { hasDirection, type MeanWind } from '@skelby/core/recorded-flight/wind';
import { FLIGHT_MODES } from '@skelby/core/vocabulary/flying';
import type { Speaking } from '../../shared/api/use-units';
import { MODE_WORDS } from '../../shared/copy/copy';

const QUARTERS = ['north', 'north-east', 'east', 'south-east', 'south', 'south-west', 'west', 'north-west'];

/** To a tenth, m/s. */
export const roundedSpeed = ({ eastMps, northMps }: MeanWind): number =>
  Math.round(10 * Math.hypot(eastMps, northMps)) / 10;

/** Where it comes from, clockwise from north; null where that is not known. */
export const windFromDegOf = (wind: MeanWind | null): number | null =>
  wind && hasDirection(wind) ? (Math.atan2(-wind.eastMps, -wind.northMps) * 180) / Math.PI : null;

/** The wind, how sure, and where it comes from as far as that is known. */
export function windWords(wind: MeanWind, say: Speaking['say']): string {
  const fromDeg = windFromDegOf(wind);
  const by = wind.from === 'told' ? 'as recorded' : 'by its lean';
  const size = `${say(roundedSpeed(wind), 'm/s')} ± ${say(Math.round(wind.sdMps * 10) / 10, 'm/s')}`;
  return `Wind ${by}: ${size}${fromDeg === null ? '' : `, from ${QUARTERS[Math.round((fromDeg + 360) / 45) % 8]!}`}.`;
}

type Why = (by: (name: string) => number, lasted: string, units: Speaking) => string;

/** What each is found by; those that say it all by their name have none. */
const WHY: Readonly<Partial<Record<FlightEventName, Why>>> = {
  hit: (by, _, { say }) => `From ${say(by('speedMps'), 'm/s')} to a stop, harder than it can brake.`,
  'ends-in-the-air': (by, _, { say }) => `Still at ${say(by('speedMps'), 'm/s')} when it broke off.`,
  'tipped-over': (by) => `${Math.round(by('deg'))}° over, on the ground.`,
  snapped: (by) => `${Math.round(by('deg'))}° within half a second.`,
  'own-wash': (by, lasted, { say }) =>
    `Sank at ${say(by('sinkMps'), 'm/s')} with little way on, for ${lasted}.`,
  slid: (by, lasted, { say }) =>
    `At ${say(by('speedMps'), 'm/s')} with the sticks in the middle, for ${lasted}.`,
  'swung-up': (by, lasted) => `${by('times')} turns about, ${lasted}.`,
  'flew-itself': (_, lasted) => `By its own mode, for ${lasted}.`,
  'mode-changed': (by) => `${MODE_WORDS[FLIGHT_MODES[by('mode')] ?? 'position-hold']}.`,
  'low-battery': (by) => `${Math.round(by('share') * 100)} % left.`,
  'forced-landing': (by, _, { sayM }) =>
    `${sayM(by('awayM'))} from where it took off${by('share') > 0 ? `, with ${Math.round(by('share') * 100)} % left` : ''}.`,
  'link-lost': (_, lasted) => `For ${lasted}.`,
  'low-return': (by, _, { sayM }) =>
    `${sayM(by('heightM'))} up, the tallest thing of the site has ${sayM(by('tallestM'))}.`,
  windy: (by, _, { say }) =>
    `${say(by('windMps'), 'm/s')}; half of what a usual craft flies is ${say(by('limitMps'), 'm/s')}.`,
  reversed: () => 'It made the error bigger.',
  'braked-late': (by, _, { say, sayM }) =>
    by('brakedS') < 0.3
      ? `At ${say(by('speedMps'), 'm/s')}, not braked.`
      : `From ${say(by('speedMps'), 'm/s')}, ${sayM(by('roomM'))} before it met it.`,
  far: (by, _, { sayM }) =>
    `Up to ${sayM(by('distanceM'))} from where it began; a usual craft is read to ${sayM(by('limitM'))}.`,
  high: (by, _, { sayM }) =>
    `Up to ${sayM(by('heightM'))}; ${sayM(by('limitM'))} is usual, local rules come first.`,
  gap: (_, lasted) => `For ${lasted}.`,
};

/** What an event was found by. */
export function whyOf({ is, atS, untilS, by }: FlightEvent, units: Speaking): string {
  const lasted = untilS === null ? '' : `${Math.max(1, Math.round(untilS - atS))} s`;
  return WHY[is]?.((name) => by[name] ?? 0, lasted, units) ?? '';
}

/** What may be worth an entry; the rest only happened. */
const TO_LOG: ReadonlySet<FlightEventName> = new Set([
  'hit',
  'ends-in-the-air',
  'tipped-over',
  'snapped',
  'own-wash',
  'slid',
  'swung-up',
  'far',
  'high',
  'reversed',
  'braked-late',
  'low-return',
  'forced-landing',
  'crossed-line',
  'link-lost',
]);
export const mayBeLogged = (is: FlightEventName): boolean => TO_LOG.has(is);

/** How sure, in words; nothing where it is as good as certain. */
export const sureWords = (sure: number): string =>
  sure >= 0.85 ? '' : sure >= 0.65 ? ' Likely.' : ' Perhaps.';
