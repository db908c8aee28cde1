import { chargeHome, type HomeLeg, RESERVE_PCT, turnBackDistance } from '../reconstruct/energy-home';
import { amount, figure, metres, numberIn, ofCraft, type Sum, told, usual } from './sum';

export interface HomeDrawing {
  readonly kind: 'home';
  readonly distanceM: number;
  readonly turnBackM: number;
  readonly windMps: number;
  readonly windFromOutDeg: number;
}

const FROM_DEG: Readonly<Record<string, number>> = { head: 0, cross: 90, tail: 180, calm: 90 };
const EASY_SHARE = 0.6;

/** Where the wind came from, off the way out, from how it stood to the way flown. */
const wayOut = (side: string, homeward: boolean): number => {
  const along = FROM_DEG[side] ?? 180;
  return homeward ? 180 - along : along;
};

export const GOT_HOME: Sum<HomeDrawing> = {
  id: 'home',
  question: 'Would it have got home?',
  wants: ['battery_pct', 'distance_m'],
  decides: ['distance_m', 'battery_pct'],
  formula:
    'Ground speed √(V² − w_cross²) ± w_along; charge home = distance / ground speed / endurance; turn back where out + home = charge − reserve',
  source: 'Wind triangle and point of no return: any navigation text.',
  assumes:
    'Steady wind, steady draw at this air speed, straight home at one height. Cold and old packs give less.',
  inputs: [
    amount('distance_m', 'Distance from home', 'm', [0, 20_000, 25]),
    amount('battery_pct', 'Battery there', '%', [0, 100, 1]),
    amount('wind_mps', 'Wind', 'm/s', [0, 30, 0.5]),
    amount('from_deg', 'Wind from, off the way out', '°', [0, 180, 15]),
    amount('air_mps', 'Air speed', 'm/s', [0.5, 60, 0.5]),
    amount('endurance_min', 'Full pack lasts', 'min', [1, 120, 1]),
    amount('reserve_pct', 'Reserve', '%', [0, 60, 5]),
  ],
  start: (known, craft) => {
    const said = known.choices['wind_side'];
    const side = said === 'unknown' ? undefined : said;
    const homeward = known.choices['phase'] === 'return' || known.choices['phase'] === 'landing';
    return {
      distance_m: told(known, 'distance_m', 300),
      battery_pct: told(known, 'battery_pct', 50),
      wind_mps: told(known, 'wind_mps', 3),
      // Where nobody said, it is against the way home.
      from_deg: side === undefined ? usual(180) : { value: wayOut(side, homeward), origin: 'told' },
      air_mps: ofCraft(Math.round(craft.topSpeedMps.normal * EASY_SHARE * 10) / 10),
      endurance_min: ofCraft(craft.enduranceMin),
      reserve_pct: usual(RESERVE_PCT),
    };
  },
  work(values) {
    const read = (id: string) => numberIn(this, values, id);
    const [distanceM, batteryPct, windMps, reservePct] = [
      read('distance_m'),
      read('battery_pct'),
      read('wind_mps'),
      read('reserve_pct'),
    ];
    const leg: HomeLeg = {
      airSpeedMps: read('air_mps'),
      windMps,
      windFromOutDeg: read('from_deg'),
      enduranceMin: read('endurance_min'),
    };
    const needed = chargeHome(distanceM, leg);
    const turnBackM = turnBackDistance(100, reservePct, leg);
    const drawing = {
      kind: 'home' as const,
      distanceM,
      turnBackM,
      windMps,
      windFromOutDeg: leg.windFromOutDeg,
    };
    if (needed === null)
      return {
        tone: 'against',
        answer: 'No: at this air speed it makes no way home against this wind.',
        figures: [figure('Turn back by', turnBackM, 'm', 0)],
        drawing,
      };
    const left = batteryPct - needed;
    let answer = `Yes, with ${Math.round(left)} % left on landing.`;
    if (left < 0) answer = `No: home took ${Math.ceil(needed)} % and it had ${Math.round(batteryPct)} %.`;
    else if (left < reservePct)
      answer = `Just, and into the reserve: ${Math.round(left)} % left of the ${Math.round(reservePct)} % wanted.`;
    return {
      tone: left < reservePct ? 'against' : 'for',
      answer: `${answer} On a full pack, turn back by ${metres(Math.round(turnBackM))}.`,
      figures: [
        figure('Charge for the way home', needed, '%', 0),
        figure('Head for home here at', Math.min(100, needed + reservePct), '%', 0),
        figure('Latest turn-back point', turnBackM, 'm', 0),
      ],
      drawing,
    };
  },
};
