import { SENSOR_SIDES } from '@skelby/core/vocabulary/craft-facts';
import { CRAFT_KIND_IDS, CRAFT_KINDS, type CraftKindId } from '@skelby/core/vocabulary/craft-kinds';
import type { FormQuestion, KindChoice } from './form-question';
import { modes } from './record-questions';

/** What a craft is asked, and what is usual for each kind of it. */

const CRAFT_KIND_WORDS: Readonly<Record<CraftKindId, string>> = {
  small: 'Small trainer, under 250 g',
  camera: 'Camera craft, about 1 kg',
  'large-camera': 'Large camera craft, about 4 kg',
  manual: 'Manual craft, about 0.6 kg',
  lifter: 'Lifter, about 14 kg',
};

const HAS = [
  { value: true, label: 'Has one' },
  { value: false, label: 'None' },
] as const;
const SIDE_OF_CRAFT = {
  ahead: 'Ahead',
  behind: 'Behind',
  side: 'To the sides',
  above: 'Up',
  below: 'Down',
} as const;

export const CRAFT_QUESTIONS: readonly FormQuestion[] = [
  { name: 'name', label: 'Name', ask: 'line' },
  { name: 'note', label: 'Note', ask: 'text' },
  { name: 'mode', label: 'Usual mode', ask: 'choice', options: modes },
  { name: 'massKg', label: 'Mass ready to fly, kg', ask: 'number' },
  { name: 'spanM', label: 'Widest span', ask: 'number', si: 'm' },
  { name: 'rotors', label: 'Rotors', ask: 'number' },
  { name: 'rotorRadiusM', label: 'Rotor radius', ask: 'number', si: 'm' },
  {
    name: 'thrustToWeight',
    label: 'Thrust to weight',
    ask: 'number',
    hint: 'Full thrust over weight; about 2 for a camera craft.',
  },
  { name: 'topSpeedMps', label: 'Top speed in the normal setting', ask: 'number', si: 'm/s' },
  { name: 'hasPauseSwitch', label: 'Pause switch', ask: 'choice', options: HAS },
  {
    name: 'topSpeedSlowMps',
    label: 'Top speed in slow',
    ask: 'number',
    si: 'm/s',
    hint: 'Leave empty what you do not know: the usual is taken.',
  },
  { name: 'topSpeedFastMps', label: 'Top speed in fast', ask: 'number', si: 'm/s' },
  { name: 'leanSlowDeg', label: 'Lean limit in slow, °', ask: 'number' },
  { name: 'leanNormalDeg', label: 'Lean limit in normal, °', ask: 'number' },
  { name: 'leanFastDeg', label: 'Lean limit in fast, °', ask: 'number' },
  { name: 'enduranceMin', label: 'A full battery lasts, min', ask: 'number' },
  {
    name: 'sensorSides',
    label: 'Obstacle sensors look',
    ask: 'many',
    options: SENSOR_SIDES.map((value) => ({ value, label: SIDE_OF_CRAFT[value] })),
  },
  {
    name: 'sensorsInFast',
    label: 'Sensors in the fast setting',
    ask: 'choice',
    options: [
      { value: true, label: 'Stay on' },
      { value: false, label: 'Go off' },
    ],
  },
  { name: 'hasHeightHold', label: 'Height hold', ask: 'choice', options: HAS },
  { name: 'hasPositionHold', label: 'Position hold', ask: 'choice', options: HAS },
  { name: 'hasPilotRelative', label: 'Pilot-relative mode', ask: 'choice', options: HAS },
  { name: 'hasMotorStop', label: 'Motor-stop gesture', ask: 'choice', options: HAS },
];
const EMPTY_FOR_SUMS = {
  topSpeedSlowMps: '',
  topSpeedFastMps: '',
  leanSlowDeg: '',
  leanNormalDeg: '',
  leanFastDeg: '',
  enduranceMin: '',
  sensorSides: [],
  sensorsInFast: false,
  hasHeightHold: null,
  hasPositionHold: null,
  hasPilotRelative: null,
  hasMotorStop: null,
} as const;
export const NEW_CRAFT = {
  ...EMPTY_FOR_SUMS,
  name: '',
  mode: 'position-hold',
  massKg: '',
  spanM: '',
  rotors: 4,
  rotorRadiusM: '',
  thrustToWeight: 2,
  topSpeedMps: '',
  hasPauseSwitch: false,
  note: '',
};

/** What a craft of a kind usually is, and what then needs no asking. */
export const CRAFT_KIND_CHOICE: KindChoice = {
  label: 'What kind is it?',
  kinds: CRAFT_KIND_IDS.map((id) => ({ id, label: CRAFT_KIND_WORDS[id], fields: CRAFT_KINDS[id] })),
  asked: ['name', 'note'],
  rest: 'Figures and modes, usual for its kind',
};
