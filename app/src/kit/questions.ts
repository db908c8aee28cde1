import { FLIGHT_MODES, STICK_LAYOUTS } from '@skelby/core/flying/vocabulary';
import { BEGINNER_WIND_LIMIT_MPS } from '@skelby/core/flying/wind-band';
import type { Roster } from '../api/types';
import type { Question } from '../ui/RecordForm';
import { today } from '../words/dates';
import { MODE_WORDS, optionsOf, PLACE_WORDS } from '../words/words';

/** What the forms ask, in the order in which a trainer knows the answers. */

const modes = FLIGHT_MODES.map((value) => ({ value, label: MODE_WORDS[value] }));

const LAYOUT_WORDS = { 1: '1: pitch and yaw left', 2: '2: throttle and yaw left', 3: '3: pitch and roll left', 4: '4: throttle and roll left' } as const;

export const PILOT_QUESTIONS: readonly Question[] = [
  { name: 'name', label: 'Name', ask: 'line' },
  { name: 'mode', label: 'Flies in', ask: 'choice', options: modes },
  { name: 'stickLayout', label: 'Stick layout', ask: 'choice', options: STICK_LAYOUTS.map((value) => ({ value, label: LAYOUT_WORDS[value] })) },
  { name: 'windLimitMps', label: 'Wind limit, m/s', ask: 'number', hint: `Beginners: ${BEGINNER_WIND_LIMIT_MPS} or less.` },
  { name: 'note', label: 'Note', ask: 'text' },
];
export const NEW_PILOT = { name: '', mode: 'position-hold', stickLayout: 2, windLimitMps: BEGINNER_WIND_LIMIT_MPS, note: '' };

export const CRAFT_QUESTIONS: readonly Question[] = [
  { name: 'name', label: 'Name', ask: 'line' },
  { name: 'mode', label: 'Usual mode', ask: 'choice', options: modes },
  { name: 'massKg', label: 'Mass ready to fly, kg', ask: 'number' },
  { name: 'spanM', label: 'Widest span, m', ask: 'number' },
  { name: 'rotors', label: 'Rotors', ask: 'number' },
  { name: 'rotorRadiusM', label: 'Rotor radius, m', ask: 'number' },
  { name: 'thrustToWeight', label: 'Thrust to weight', ask: 'number', hint: 'Full thrust over weight; about 2 for a camera craft.' },
  { name: 'topSpeedMps', label: 'Top speed in the usual setting, m/s', ask: 'number' },
  { name: 'hasPauseSwitch', label: 'Pause switch', ask: 'choice', options: [{ value: true, label: 'Has one' }, { value: false, label: 'None' }] },
  { name: 'note', label: 'Note', ask: 'text' },
];
export const NEW_CRAFT = { name: '', mode: 'position-hold', massKg: '', spanM: '', rotors: 4, rotorRadiusM: '', thrustToWeight: 2, topSpeedMps: '', hasPauseSwitch: false, note: '' };

export const SITE_QUESTIONS: readonly Question[] = [
  { name: 'name', label: 'Name', ask: 'line' },
  { name: 'place', label: 'Surroundings', ask: 'choice', options: optionsOf(PLACE_WORDS) },
  { name: 'tallestM', label: 'Tallest thing, m', ask: 'number' },
  { name: 'note', label: 'Note', ask: 'text' },
];
export const NEW_SITE = { name: '', place: 'open', tallestM: '', note: '' };

const named = (all: readonly { readonly id: string; readonly name: string }[]) => all.map(({ id, name }) => ({ value: id, label: name }));

export const flightQuestions = (roster: Roster, pilotFixed: boolean): readonly Question[] => [
  ...(pilotFixed ? [] : [{ name: 'pilotId', label: 'Pilot', ask: 'choice' as const, options: named(roster.pilots) }]),
  { name: 'day', label: 'Day, as year-month-day', ask: 'day' },
  { name: 'packs', label: 'Packs', ask: 'number' },
  { name: 'minutes', label: 'Minutes in the air', ask: 'number' },
  { name: 'windMps', label: 'Wind, m/s', ask: 'number' },
  { name: 'craftId', label: 'Craft', ask: 'choice', options: named(roster.craft) },
  { name: 'siteId', label: 'Site', ask: 'choice', options: named(roster.sites) },
];

/** A new flight starts from the pilot's last one. */
export function newFlight(roster: Roster, pilotId: string | null) {
  const pilot = roster.pilots.find((each) => each.id === pilotId);
  return {
    pilotId, day: today(), packs: 1, minutes: '', windMps: pilot?.lastWindMps ?? '',
    craftId: pilot?.lastCraftId ?? (roster.craft.length === 1 ? roster.craft[0]!.id : null), siteId: pilot?.lastSiteId ?? (roster.sites.length === 1 ? roster.sites[0]!.id : null),
  };
}

/** @param confirmed the pilot of a confirmed occurrence stays: its weakness is theirs */
export const occurrenceQuestions = (roster: Roster, confirmed: boolean): readonly Question[] => [
  ...(confirmed ? [] : [{ name: 'pilotId', label: 'Pilot', ask: 'choice' as const, options: named(roster.pilots) }]),
  { name: 'kind', label: 'What it was', ask: 'choice', options: [{ value: 'crash', label: 'Crash' }, { value: 'near-miss', label: 'Near-miss' }] },
  { name: 'note', label: 'What happened', ask: 'text' },
  { name: 'day', label: 'Day, as year-month-day', ask: 'day' },
  { name: 'time', label: 'Time, as hours:minutes', ask: 'line' },
  { name: 'windMps', label: 'Wind, m/s (empty: not known)', ask: 'number' },
  { name: 'craftId', label: 'Craft', ask: 'choice', options: named(roster.craft) },
  { name: 'siteId', label: 'Site', ask: 'choice', options: named(roster.sites) },
];
