import type { FlightToBe } from '../go-no-go/flight-to-be';
import { judgeFlight } from '../go-no-go/judge';
import { type CraftFacts, craftFacts, USUAL_CRAFT } from '../vocabulary/craft-facts';
import { type Said, sentence } from '../vocabulary/said';
import type { Deck } from './case';

/** The usual craft, fast enough that no scene is about its own power. */
const LESSON_CRAFT: CraftFacts = craftFacts({
  ...USUAL_CRAFT,
  topSpeedMps: 26,
  sensorSides: ['ahead', 'below'],
  sensorsInFast: false,
  hasHeightHold: true,
  hasPositionHold: true,
});

const ofSpan = (spanM: number): CraftFacts => ({ ...LESSON_CRAFT, spanM });

/** Shares of the pilot's own limit stand for the wind, so that a scene asks the same of everybody. */
interface Scene {
  readonly id: string;
  readonly windShare?: number;
  readonly gustShare?: number;
  readonly flight?: Partial<Omit<FlightToBe, 'windMps' | 'gustMps' | 'windLimitMps'>>;
}

const GOOD: Omit<FlightToBe, 'windMps' | 'gustMps' | 'windLimitMps'> = {
  craft: LESSON_CRAFT,
  setting: 'normal',
  mode: 'position-hold',
  pilotRelative: false,
  place: 'open',
  tallestM: 12,
  ceilingM: null,
  heightLimitM: 120,
  heightM: 15,
  nearestM: 40,
  peopleM: 60,
  windFromOutDeg: 0,
  farthestM: 30,
  chargePct: 100,
  reservePct: 30,
  altitudeM: 400,
  visibilityM: 5000,
  rain: false,
  lightMin: 120,
  weaknesses: [],
};

const SCENES: readonly Scene[] = [
  { id: 'good-morning', windShare: 0.4, gustShare: 0.6 },
  {
    id: 'half-pack',
    windShare: 0.3,
    gustShare: 0.5,
    flight: { chargePct: 60, farthestM: 20, craft: ofSpan(0.5) },
  },
  {
    id: 'last-light',
    windShare: 0.2,
    gustShare: 0.3,
    flight: { lightMin: 25, farthestM: 15, craft: ofSpan(0.25) },
  },
  {
    id: 'low-and-near',
    windShare: 0.5,
    gustShare: 0.8,
    flight: { heightM: 4, peopleM: 32, farthestM: 12, craft: ofSpan(0.7) },
  },
  { id: 'windy', windShare: 1.2, gustShare: 1.3 },
  { id: 'gusty', windShare: 0.7, gustShare: 1.25 },
  { id: 'gale', windShare: 1.8, gustShare: 2.2, flight: { farthestM: 10 } },
  { id: 'people-on-the-slope', windShare: 0.3, gustShare: 0.5, flight: { peopleM: 12 } },
  { id: 'people-under-height', windShare: 0.4, gustShare: 0.5, flight: { peopleM: 38, heightM: 55 } },
  { id: 'drizzle', windShare: 0.3, gustShare: 0.4, flight: { rain: true } },
  { id: 'fog-bank', windShare: 0.2, gustShare: 0.2, flight: { rain: true, visibilityM: 300, farthestM: 90 } },
  { id: 'dusk', windShare: 0.4, gustShare: 0.5, flight: { lightMin: 8 } },
  { id: 'dark', windShare: 0.2, gustShare: 0.3, flight: { lightMin: 0 } },
  { id: 'too-far', windShare: 0.4, gustShare: 0.5, flight: { farthestM: 240 } },
  { id: 'stretched', windShare: 0.9, gustShare: 1, flight: { chargePct: 28, farthestM: 60 } },
  { id: 'thin-reserve', windShare: 0.3, gustShare: 0.4, flight: { reservePct: 10 } },
  {
    id: 'over-the-limit',
    windShare: 0.3,
    gustShare: 0.4,
    flight: { heightM: 70, heightLimitM: 50, peopleM: 90 },
  },
  {
    id: 'airfield-near',
    windShare: 0.2,
    gustShare: 0.4,
    flight: { heightM: 40, heightLimitM: 30, peopleM: 80 },
  },
  { id: 'roof-unknown', windShare: 0, gustShare: 0, flight: { place: 'indoors', heightM: 2, peopleM: 35 } },
  {
    id: 'low-roof',
    windShare: 0,
    gustShare: 0,
    flight: { place: 'indoors', ceilingM: 5, heightM: 4.5, peopleM: 35 },
  },
  {
    id: 'nothing-below',
    windShare: 0,
    gustShare: 0,
    flight: {
      place: 'indoors',
      ceilingM: 8,
      heightM: 2,
      peopleM: 35,
      craft: { ...LESSON_CRAFT, sensorSides: ['ahead'] },
    },
  },
  { id: 'fast-in-trees', windShare: 0.3, gustShare: 0.4, flight: { place: 'trees', setting: 'fast' } },
  { id: 'rain-and-people', windShare: 0.4, gustShare: 0.6, flight: { rain: true, peopleM: 10 } },
  { id: 'wind-and-dusk', windShare: 1.1, gustShare: 1.1, flight: { lightMin: 10 } },
];

const tenth = (value: number): number => Math.round(value * 10) / 10;

/** The scene as it is read out. */
function told(flight: FlightToBe): Said {
  const { place, ceilingM, craft, windMps, gustMps, windLimitMps, heightM, heightLimitM } = flight;
  const { farthestM, peopleM, chargePct, reservePct, rain, lightMin, visibilityM, setting } = flight;
  const roof =
    ceilingM !== null
      ? [sentence('scene.roof', { ceilingM })]
      : place === 'indoors'
        ? [sentence('scene.roof-unknown')]
        : [];
  const taped = craft.sensorSides.includes('below') ? [] : [sentence('scene.sensor-taped')];
  return sentence('scene.told', {
    place,
    roof,
    spanM: craft.spanM,
    windMps,
    gustMps,
    windLimitMps,
    heightM,
    heightLimitM,
    farthestM,
    peopleM,
    chargePct,
    reservePct,
    weather: sentence(rain ? 'scene.drizzle' : 'scene.dry'),
    lightMin,
    visibilityM,
    setting,
    taped,
  });
}

/** Whether it goes, and why: what the judge of every flight says of the scene. */
export const GO_OR_NOT_DECK: Deck = SCENES.map(({ id, windShare = 0, gustShare = 0, flight: part }) => ({
  id,
  of: ({ windLimitMps }) => {
    const flight: FlightToBe = {
      ...GOOD,
      ...part,
      windLimitMps,
      windMps: tenth(windShare * windLimitMps),
      gustMps: tenth(gustShare * windLimitMps),
    };
    const { checks, turnBackM } = judgeFlight(flight);
    const refused = checks.flatMap(({ go, said, remedy }) =>
      go === false && remedy ? [sentence('scene.refused', { said, remedy })] : [],
    );
    return {
      says: told(flight),
      answer:
        refused.length > 0
          ? sentence('scene.no-go', { refused })
          : sentence('scene.go', { turnBackM: Math.floor(turnBackM!) }),
    };
  },
}));
