import { SPEED_SETTINGS, type SpeedSetting } from '../vocabulary/craft-facts';
import { REACTION_S, releasedStop, stoppingFrom } from '../reconstruct/craft-stopping';
import { fastestThatStops, type Stopping, stoppingDistance } from '../reconstruct/stopping-distance';
import { sentence } from '../vocabulary/said';
import { amount, figure, numberIn, type Sum, told, toldChoice, usual } from './sum';

export interface StoppingDrawing {
  readonly kind: 'stopping';
  readonly seenAtM: number;
  readonly flown: SpeedSetting;
  readonly settings: readonly (Stopping & { readonly setting: SpeedSetting; readonly speedMps: number })[];
}

export const COULD_IT_STOP: Sum<StoppingDrawing> = {
  id: 'stop',
  wants: ['speed_mps'],
  decides: ['speed_mps', 'seen_at_m'],
  inputs: [
    amount('speed_mps', 'm/s', [0, 60, 0.5]),
    amount('seen_at_m', 'm', [0.1, 1000, 1]),
    amount('reaction_s', 's', [0, 5, 0.25]),
    { kind: 'choice', id: 'setting', options: SPEED_SETTINGS },
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
        ? sentence('sum.stop-no', { neededM: own.totalM, seenAtM, safe })
        : sentence('sum.stop-yes', { neededM: own.totalM, seenAtM }),
      figures: [
        figure('reaction', own.reactionM, 'm'),
        figure('leaning-back', own.leaningM, 'm'),
        figure('braking', own.brakingM, 'm'),
        ...(released === null ? [] : [figure('with-the-sticks-let-go-instead', released, 'm')]),
        figure('fastest-that-stops-in-time', safe, 'm/s'),
      ],
      drawing: { kind: 'stopping', seenAtM, flown, settings },
    };
  },
};
