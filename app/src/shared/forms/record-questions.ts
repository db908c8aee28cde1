import { drillWords } from '@skelby/copy/drills';
import { blockWords } from '../copy/block-copy';
import { COMES_BEFORE } from '@skelby/core/drills/prerequisites';
import type { FindWordedDrill } from '@skelby/copy/drill-book';
import { FLIGHT_MODES, STICK_LAYOUTS } from '@skelby/core/vocabulary/flying';
import { BEGINNER_WIND_LIMIT_MPS } from '@skelby/core/vocabulary/wind-band';
import type { SessionFields } from '@skelby/core/schemas/session';
import type { Roster } from '@skelby/core/pages/pages';
import { toPickFrom } from '@skelby/core/pages/people';
import type { FormQuestion } from './form-question';
import { todayHere } from '../copy/dates';
import { MODE_WORDS, optionsOf, PLACE_WORDS } from '../copy/copy';

/** What the forms ask, in the order in which a trainer knows the answers. */

export const modes = FLIGHT_MODES.map((value) => ({ value, label: MODE_WORDS[value] }));

const LAYOUT_WORDS = {
  1: '1: pitch and yaw left',
  2: '2: throttle and yaw left',
  3: '3: pitch and roll left',
  4: '4: throttle and roll left',
} as const;

export const PILOT_QUESTIONS: readonly FormQuestion[] = [
  { name: 'name', label: 'Name', ask: 'line' },
  { name: 'mode', label: 'Flies in', ask: 'choice', options: modes },
  {
    name: 'stickLayout',
    label: 'Stick layout',
    ask: 'choice',
    options: STICK_LAYOUTS.map((value) => ({ value, label: LAYOUT_WORDS[value] })),
  },
  {
    name: 'windLimitMps',
    label: 'Wind limit',
    ask: 'number',
    si: 'm/s',
    hint: `Beginners: ${BEGINNER_WIND_LIMIT_MPS} m/s (15 mph) or less.`,
  },
  {
    name: 'holdOff',
    label: 'Flies with position hold off too: tests of the hands are then flown so',
    ask: 'choice',
    options: [
      { value: true, label: 'Yes' },
      { value: false, label: 'No, or it cannot be switched off' },
    ],
  },
  {
    name: 'track',
    label: 'Learns',
    ask: 'choice',
    options: [
      { value: 'assist-down', label: 'With help, taken away step by step' },
      { value: 'manual-first', label: 'Without help from the start' },
    ],
  },
  {
    name: 'shown',
    label: 'Already shown before the first lesson here: not asked for again',
    ask: 'many',
    options: COMES_BEFORE.map((value) => ({ value, label: drillWords(value).name })),
  },
  {
    name: 'isMinor',
    label: 'Under age',
    ask: 'choice',
    options: [false, true].map((value) => ({ value, label: value ? 'Yes: a guardian agrees' : 'No' })),
  },
  {
    name: 'consentBy',
    label: 'Who agreed that this is kept',
    ask: 'line',
    hint: 'The pilot, or of a minor a guardian. Empty: nobody yet.',
  },
  { name: 'note', label: 'Note', ask: 'text' },
];
export const NEW_PILOT = {
  shown: [],
  name: '',
  mode: 'position-hold',
  stickLayout: 2,
  windLimitMps: BEGINNER_WIND_LIMIT_MPS,
  holdOff: false,
  track: 'assist-down',
  isMinor: false,
  consentBy: '',
  note: '',
};

export const SITE_QUESTIONS: readonly FormQuestion[] = [
  { name: 'name', label: 'Name', ask: 'line' },
  { name: 'place', label: 'Surroundings', ask: 'choice', options: optionsOf(PLACE_WORDS) },
  { name: 'tallestM', label: 'Tallest thing', ask: 'number', si: 'm' },
  {
    name: 'ceilingM',
    label: 'Roof or canopy above',
    ask: 'number',
    si: 'm',
    hint: 'How high it is; empty under open sky.',
  },
  {
    name: 'hazard',
    label: 'Watch out here now',
    ask: 'line',
    hint: 'Stands in every go or no-go here until it is taken out.',
  },
  { name: 'help', label: 'Help here: number, access, grid reference', ask: 'text' },
  { name: 'altitudeM', label: 'Above sea level', ask: 'number', si: 'm', hint: 'Empty: sea level is taken.' },
  {
    name: 'latitudeDeg',
    label: 'Latitude, °',
    ask: 'number',
    hint: 'Tells flight files where they were flown.',
  },
  { name: 'longitudeDeg', label: 'Longitude, °', ask: 'number' },
  { name: 'note', label: 'Note', ask: 'text' },
];
export const NEW_SITE = {
  name: '',
  place: 'open',
  tallestM: '',
  ceilingM: '',
  hazard: '',
  help: '',
  altitudeM: '',
  latitudeDeg: '',
  longitudeDeg: '',
  note: '',
};

const named = (all: readonly { readonly id: string; readonly name: string }[]) =>
  all.map(({ id, name }) => ({ value: id, label: name }));

const pilotQuestion = ({ pilots }: Roster) =>
  ({
    name: 'pilotId',
    label: 'Pilot',
    ask: 'choice',
    options: named(toPickFrom(pilots)),
    none: 'pilots',
  }) as const;

export const flightQuestions = (roster: Roster, pilotFixed: boolean): readonly FormQuestion[] => [
  ...(pilotFixed ? [] : [pilotQuestion(roster)]),
  { name: 'day', label: 'Day', ask: 'day' },
  { name: 'packs', label: 'Packs', ask: 'number' },
  { name: 'minutes', label: 'Minutes in the air', ask: 'number' },
  { name: 'windMps', label: 'Wind', ask: 'number', si: 'm/s' },
  { name: 'craftId', label: 'Craft', ask: 'choice', options: named(roster.craft), none: 'craft' },
  { name: 'siteId', label: 'Site', ask: 'choice', options: named(roster.sites), none: 'sites' },
  { name: 'farthestM', label: 'Farthest (empty: not known)', ask: 'number', si: 'm' },
  { name: 'highestM', label: 'Highest (empty: not known)', ask: 'number', si: 'm' },
];

/** A new flight starts from the pilot's last one. */
export function newFlight(roster: Roster, pilotId: string | null) {
  const pilot = roster.pilots.find((each) => each.id === pilotId);
  return {
    pilotId,
    day: todayHere(),
    packs: 1,
    minutes: '',
    windMps: pilot?.lastWindMps ?? '',
    craftId: pilot?.lastCraftId ?? (roster.craft.length === 1 ? roster.craft[0]!.id : null),
    siteId: pilot?.lastSiteId ?? (roster.sites.length === 1 ? roster.sites[0]!.id : null),
    farthestM: '',
    highestM: '',
  };
}

/** @param confirmed the pilot of a confirmed occurrence stays: its weakness is theirs */
export const occurrenceQuestions = (roster: Roster, confirmed: boolean): readonly FormQuestion[] => [
  ...(confirmed ? [] : [pilotQuestion(roster)]),
  {
    name: 'kind',
    label: 'What it was',
    ask: 'choice',
    options: [
      { value: 'crash', label: 'Crash' },
      { value: 'near-miss', label: 'Near-miss' },
    ],
  },
  { name: 'note', label: 'What happened', ask: 'text' },
  { name: 'day', label: 'Day', ask: 'day' },
  { name: 'time', label: 'Time', ask: 'time' },
  { name: 'windMps', label: 'Wind (empty: not known)', ask: 'number', si: 'm/s' },
  { name: 'craftId', label: 'Craft', ask: 'choice', options: named(roster.craft), none: 'craft' },
  { name: 'siteId', label: 'Site', ask: 'choice', options: named(roster.sites), none: 'sites' },
];

type Packs = SessionFields['packs'];

/** What two trainers may have set differently in a day's session, for telling the two apart. */
export function sessionQuestions(roster: Roster, findDrill: FindWordedDrill): readonly FormQuestion[] {
  const pilotName = (id: string) => roster.pilots.find((pilot) => pilot.id === id)?.name ?? 'A pilot';
  return [
    { name: 'day', label: 'Day', ask: 'day' },
    {
      name: 'state',
      label: 'State',
      ask: 'choice',
      options: [
        { value: 'planned', label: 'Planned' },
        { value: 'running', label: 'Running' },
        { value: 'done', label: 'Done' },
      ],
    },
    {
      name: 'siteId',
      label: 'Site',
      ask: 'choice',
      options: roster.sites.map(({ id, name }) => ({ value: id, label: name })),
    },
    { name: 'windMps', label: 'Wind', ask: 'number', si: 'm/s' },
    { name: 'startsAt', label: 'First take-off', ask: 'line' },
    { name: 'lightUntil', label: 'Light until', ask: 'line' },
    { name: 'packsThere', label: 'Packs', ask: 'number' },
    { name: 'packMinutes', label: 'Minutes of a pack', ask: 'number' },
    { name: 'minutes', label: 'Time there is, min', ask: 'number' },
    {
      name: 'packs',
      label: 'Order',
      ask: 'told',
      inWords: (value) =>
        (value as Packs)
          .map(
            (pack, i) =>
              `${i + 1}. ${pilotName(pack.pilotId)}: ${pack.blocks.map((block) => blockWords(block, findDrill)).join(', ')}`,
          )
          .join('. ') || '–',
    },
    {
      name: 'goNoGo',
      label: 'Go or no-go',
      ask: 'told',
      inWords: (value) => (value === null ? 'Not yet' : 'Go'),
    },
    {
      name: 'own',
      label: 'Own mistakes',
      ask: 'told',
      inWords: (value) =>
        (value as SessionFields['own'])
          .map((each) => `${pilotName(each.pilotId)}, pack ${each.pack}`)
          .join('; ') || '–',
    },
  ];
}
