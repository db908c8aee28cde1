import { SPEED_SETTINGS, type SpeedSetting } from '../vocabulary/craft-facts';
import { REACTION_S, releasedStop, stoppingFrom } from '../reconstruct/craft-stopping';
import { fastestThatStops, type Stopping, stoppingDistance } from '../reconstruct/stopping-distance';
import { amount, figure, metres, numberIn, speed, type Sum, told, toldChoice, usual } from './sum';

export interface StoppingDrawing {
  readonly kind: 'stopping';
  readonly seenAtM: number;
  readonly flown: SpeedSetting;
  readonly settings: readonly (Stopping & { readonly setting: SpeedSetting; readonly speedMps: number })[];
}

const SETTING_OPTIONS = [
  { value: 'slow', label: 'Slow' },
  { value: 'normal', label: 'Normal' },
  { value: 'fast', label: 'Fast' },
] as const;

export const COULD_IT_STOP: Sum<StoppingDrawing> = {
  id: 'stop',
  question: 'Could it have stopped?',
  wants: ['speed_mps'],
  decides: ['speed_mps', 'seen_at_m'],
  formula:
    'V·t + what the lean takes to turn round + braking at lean θ: V² / (2·g·tan θ), less what drag takes',
  source:
    'Constant deceleration, any mechanics text. Reaction times: 2.5 s AASHTO; 1.5 s and 0.75 s common practice.',
  assumes:
    'Still air, level flight, full opposite stick, sensors off. Drag in proportion to speed, one for the airframe, from top speed and lean limit in normal. The other settings are for the same stick: as large a share of their own top speed.',
  inputs: [
    amount('speed_mps', 'Speed', 'm/s', [0, 60, 0.5]),
    amount('seen_at_m', 'First seen at', 'm', [0.1, 1000, 1]),
    amount('reaction_s', 'Reaction', 's', [0, 5, 0.25]),
    { kind: 'choice', id: 'setting', label: 'Setting', options: SETTING_OPTIONS },
  ],
  start: (known, craft) => ({
    speed_mps: told(known, 'speed_mps', craft.topSpeedMps.normal * 0.6),
    seen_at_m: told(known, 'seen_at_m', 15),
    reaction_s: usual(REACTION_S),
    setting: toldChoice(known, 'speed_setting', 'normal'),
  }),
  work(values, craft) {
    const [flownMps, seenAtM, reactionS] = [
      numberIn(this, values, 'speed_mps'),
      numberIn(this, values, 'seen_at_m'),
      numberIn(this, values, 'reaction_s'),
    ];
    const flown = values['setting'] as SpeedSetting;
    const settings = SPEED_SETTINGS.map((setting) => {
      const speedMps = (flownMps / craft.topSpeedMps[flown]) * craft.topSpeedMps[setting];
      return { setting, speedMps, ...stoppingDistance(stoppingFrom(craft, setting, speedMps, reactionS)) };
    });
    const own = settings.find((each) => each.setting === flown)!;
    const short = own.totalM > seenAtM;
    const safe = fastestThatStops(seenAtM, (speedMps) => stoppingFrom(craft, flown, speedMps, reactionS));
    const released = releasedStop(craft, flown, flownMps, reactionS);
    return {
      tone: short ? 'against' : 'for',
      answer: short
        ? `No: it needed ${metres(own.totalM)} and had ${metres(seenAtM)}. Up to ${speed(safe)} would have stopped.`
        : `Yes: it needed ${metres(own.totalM)} of the ${metres(seenAtM)} there were.`,
      figures: [
        figure('Reaction', own.reactionM, 'm'),
        figure('Leaning back', own.leaningM, 'm'),
        figure('Braking', own.brakingM, 'm'),
        ...(released === null ? [] : [figure('With the sticks let go instead', released, 'm')]),
        figure('Fastest that stops in time', safe, 'm/s'),
      ],
      drawing: { kind: 'stopping', seenAtM, flown, settings },
    };
  },
};
