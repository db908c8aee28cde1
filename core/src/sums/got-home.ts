import { chargeHome, type HomeLeg, RESERVE_PCT, turnBackDistance } from '../reconstruct/energy-home';
import { sentence } from '../vocabulary/said';
import { amount, figure, numberIn, ofCraft, type Sum, told, usual } from './sum';

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
  wants: ['battery_pct', 'distance_m'],
  decides: ['distance_m', 'battery_pct'],
  inputs: [
    amount('distance_m', 'm', [0, 20_000, 25]),
    amount('battery_pct', '%', [0, 100, 1]),
    amount('wind_mps', 'm/s', [0, 30, 0.5]),
    amount('from_deg', '°', [0, 180, 15]),
    amount('air_mps', 'm/s', [0.5, 60, 0.5]),
    amount('endurance_min', 'min', [1, 120, 1]),
    amount('reserve_pct', '%', [0, 60, 5]),
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
        answer: sentence('sum.home-no-way'),
        figures: [figure('turn-back-by', turnBackM, 'm', 0)],
        drawing,
      };
    const left = batteryPct - needed;
    const charges = {
      left: Math.round(left),
      needed: Math.ceil(needed),
      had: Math.round(batteryPct),
      reserve: Math.round(reservePct),
    };
    let answer = sentence('sum.home-yes', charges);
    if (left < 0) answer = sentence('sum.home-no', charges);
    else if (left < reservePct) answer = sentence('sum.home-into-reserve', charges);
    return {
      tone: left < reservePct ? 'against' : 'for',
      answer: sentence('sum.home', { answer, turnBackM: Math.round(turnBackM) }),
      figures: [
        figure('charge-for-the-way-home', needed, '%', 0),
        figure('head-for-home-here-at', Math.min(100, needed + reservePct), '%', 0),
        figure('latest-turn-back-point', turnBackM, 'm', 0),
      ],
      drawing,
    };
  },
};
