import type { Scene } from '../scene';
import { climb, curve, forward, hold, mix, powered, pushed, sideways, slide, turn } from '../legs';

const FIELD = { windFromDeg: 0, wayOut: 'up' } as const;

export const WASH_AND_OBSTACLES_SCENES: Readonly<Record<string, Scene>> = {
  'slant-descent': { ...FIELD, start: { x: 0, y: 12, z: 18, noseDeg: 0 }, marks: [{ is: 'mark', x: 0, y: 12 }], legs: [mix({ pitch: 0.6, throttle: -0.75 }, 10, 'Down while it moves into clean air'), hold(1)] },
  'zigzag-descent': {
    ...FIELD, start: { x: 0, y: 14, z: 18, noseDeg: 0 }, marks: [{ is: 'mark', x: 0, y: 10 }, { is: 'mark', x: 0, y: 22 }],
    legs: [0, 1].flatMap(() => [mix({ pitch: -0.4, throttle: -0.7 }, 2.2, 'Back-slant'), mix({ pitch: 0, throttle: -0.2 }, 0.8, 'Sink slowest at the reversal'), mix({ pitch: 0.4, throttle: -0.7 }, 2.2, 'Forward-slant'), mix({ throttle: -0.2 }, 0.8)]).concat([hold(0.8)]),
  },
  'wash-exit': {
    ...FIELD, start: { x: 0, y: 20, z: 50, noseDeg: 0 }, marks: [], legs: [mix({ throttle: -0.9 }, 2, 'Into its own wash, high, on the simulator'), pushed({ x: 0.8, z: -3 }, 1.2, 'It shakes and sinks'), mix({ pitch: 0.6 }, 1.8, 'Forward first'), mix({ pitch: 0.4, throttle: 0.6 }, 2, 'Then power'), hold(0.8)],
  },
  'banked-turns-power': {
    ...FIELD, start: { x: -12, y: 16, z: 8, noseDeg: 0 }, marks: [{ is: 'post', x: 0, y: 26 }], side: 'right',
    legs: [mix({ pitch: 0.5 }, 4, 'At speed'), powered(curve(12, 180, 'Throttle rises into the turn'), 0.12), mix({ pitch: 0.5 }, 4), hold(0.8)],
  },
  'power-turn': {
    ...FIELD, start: { x: -5, y: 12, z: 6, noseDeg: 0 }, marks: [{ is: 'gate', x: 0, y: 24, width: 3, height: 4 }], side: 'right',
    legs: [mix({ pitch: 0.5 }, 4.8, 'Fast, straight'), powered(curve(5, 180, 'Curve round with power, never fold back'), 0.25), mix({ pitch: 0.5 }, 4.8), hold(0.8)],
  },
  'downwind-turn': {
    start: { x: -6, y: 10, z: 6, noseDeg: 0 }, windFromDeg: 180, wayOut: 'up', marks: [{ is: 'post', x: 0, y: 26 }], side: 'right',
    legs: [mix({ pitch: 0.6 }, 5, 'Wind behind'), powered(curve(6, 180, 'Into the wind with power: no slide back'), 0.25), mix({ pitch: 0.4 }, 4), hold(0.8)],
  },
  'tumble-recovery': {
    ...FIELD, start: { x: 0, y: 24, z: 60, noseDeg: 0 }, marks: [], legs: [
      mix({ pitch: 0.5 }, 1.5), mix({ yaw: 1 }, 0.5, 'Provoked, high, on the simulator'), pushed({ x: 2, y: 4, z: -6, noseDeg: 400 }, 1.6, 'Snap: hands neutral, wait'), hold(0.6, 'It has ended: read'), mix({ roll: -0.3, pitch: -0.2, throttle: 0.5 }, 1.2, 'Now correct'), hold(1),
    ],
  },
  'brake-to-mark': { ...FIELD, start: { x: 0, y: 6, z: 3, noseDeg: 0 }, marks: [{ is: 'mark', x: 0, y: 26, label: 'stop here' }], legs: [mix({ pitch: 0.6 }, 6.2, 'Call the brake point'), mix({ pitch: 0.2 }, 1.4, 'Brake'), hold(1.5, 'How far off?')] },
  'mode-stop-table': { ...FIELD, start: { x: 0, y: 6, z: 3, noseDeg: 0 }, marks: [{ is: 'mark', x: 0, y: 16, label: 'let go here' }], legs: [mix({ pitch: 0.5 }, 4, 'Say the distance first'), mix({ pitch: 0.25 }, 1.6, 'Let go at the mark, measure'), hold(1.5)] },
  'climb-over': { ...FIELD, start: { x: 0, y: 8, z: 2, noseDeg: 0 }, marks: [{ is: 'wall', x: 0, y: 24, width: 6, height: 3, label: 'soft barrier' }], legs: [mix({ pitch: 0.4 }, 5, 'Toward it'), mix({ pitch: 0.25, throttle: 0.9 }, 2, '"Up!": over, not brake'), mix({ pitch: 0.4 }, 3), hold(0.8)] },
  'turn-then-go': { ...FIELD, start: { x: 0, y: 14, z: 3, noseDeg: 0 }, marks: [{ is: 'wall', x: 0, y: 18, width: 6, height: 3 }], legs: [hold(0.8, 'Stop'), ...turn(180, 'Yaw, look'), ...forward(8, 'Go forwards'), hold(0.6)] },
  'blind-side-brake': { ...FIELD, start: { x: -6, y: 10, z: 3, noseDeg: 0 }, marks: [{ is: 'mark', x: 5, y: 10, label: 'spotter calls' }], legs: [mix({ roll: 0.5 }, 4, 'Sideways, no faster than 2.5 m/s'), hold(1.5, '"Stop!"'), mix({ pitch: -0.4 }, 2, 'And backwards'), hold(1.5, '"Stop!"')] },
  'stand-off-judging': { ...FIELD, start: { x: 0, y: 6, z: 3, noseDeg: 0 }, marks: [{ is: 'post', x: 0, y: 30, height: 4 }, { is: 'mark', x: 0, y: 10, label: '20 m' }, { is: 'mark', x: 0, y: 20, label: '10 m' }], legs: [...forward(4, 'Stop 20 m off, by eye'), hold(1.5), ...forward(10, 'Stop 10 m off'), hold(1.5, 'Tape or log')] },
  'slow-slalom': {
    ...FIELD, start: { x: -2, y: 8, z: 2, noseDeg: 0 }, marks: [12, 18, 24, 30].map((y) => ({ is: 'post' as const, x: 0, y, height: 2 })),
    legs: [curve(5, 62, 'Forward and yaw only'), curve(5, -124), curve(5, 124), curve(5, -124), curve(5, 62), hold(0.8)],
  },
  'gap-ladder': { ...FIELD, start: { x: -0.8, y: 8, z: 2, noseDeg: 0 }, marks: [{ is: 'gate', x: 0, y: 20, width: 2.8, height: 2.8, label: '8 spans, then tighter' }], legs: [...sideways(0.8, 'Line up'), ...turn(6), ...turn(-6), mix({ pitch: 0.3 }, 4), mix({ pitch: 0.45 }, 5, 'Eyes beyond the gap'), hold(1)] },
  'gap-chain': { ...FIELD, start: { x: -0.6, y: 8, z: 2, noseDeg: 0 }, marks: [16, 24, 32].map((y) => ({ is: 'gate' as const, x: 0, y, width: 2.4, height: 2.4 })), legs: [mix({ pitch: 0.4 }, 4), mix({ pitch: 0.4, roll: 0.06 }, 2, 'Set up for the next at once'), mix({ pitch: 0.4, yaw: 0.06 }, 1), mix({ pitch: 0.4, yaw: -0.06 }, 1), mix({ pitch: 0.4 }, 6), hold(1)] },
  'portal-drop': { ...FIELD, start: { x: 0, y: 8, z: 2.6, noseDeg: 0 }, marks: [{ is: 'gate', x: 0, y: 20, width: 1.4, height: 2, label: 'opening' }], legs: [mix({ pitch: 0.4 }, 4.5, 'A little high'), mix({ pitch: 0.4, throttle: -0.5 }, 1, 'Let it sink'), mix({ pitch: 0.4 }, 1.5, 'Through, speed unchanged'), mix({ pitch: 0.4, throttle: 0.5 }, 1, 'Rise again'), hold(1)] },
  'under-roof-pass': {
    start: { x: 0, y: 8, z: 2, noseDeg: 0 }, windFromDeg: 0, wayOut: 'ahead', marks: [{ is: 'roof', x: 0, y: 20, width: 8, height: 4, label: 'roof' }],
    legs: [hold(1, 'Failsafe to hover first'), mix({ pitch: 0.4 }, 10, 'Slow, level, no rise until well clear'), hold(1), ...climb(1, 'Clear: now up')],
  },
  'hold-off-hover': { ...FIELD, start: { x: 0, y: 12, z: 5, noseDeg: 0 }, marks: [{ is: 'mark', x: 0, y: 12 }], legs: [pushed({ y: -2 }, 2, 'It drifts with the air'), mix({ pitch: 0.2 }, 1.2, 'Lean on the wind'), pushed({ y: -3.2 }, 4, 'And keep the lean', { pitch: 0.16 }), pushed({ x: 0.4 }, 1), mix({ roll: -0.16 }, 0.5), hold(0.6)] },
  'hold-off-line': { ...FIELD, start: { x: 0, y: 8, z: 5, noseDeg: 0 }, marks: [{ is: 'mark', x: 0, y: 8 }, { is: 'mark', x: 0, y: 28 }], legs: [mix({ pitch: 0.4 }, 9, 'Along the line'), slide({ pitch: -0.35 }, 1, 'Brake by hand: it does not stop itself'), hold(1.5), mix({ pitch: -0.4 }, 9), slide({ pitch: 0.35 }, 1, 'Brake'), hold(1)] },
  'surprise-hold-loss': { start: { x: 0, y: 12, z: 4, noseDeg: 0 }, windFromDeg: 270, wayOut: 'right', marks: [{ is: 'mark', x: 0, y: 12 }], legs: [hold(1.5, 'A task'), pushed({ x: 3 }, 1.8, 'Hold goes, unseen'), hold(0.6, '"Drifting!"'), mix({ roll: -0.4 }, 1.5, 'Lean against it'), pushed({ x: 1 }, 1.5, 'Clear side, then back', { roll: -0.13 }), mix({ pitch: -0.2 }, 0.6), mix({ pitch: 0.2 }, 0.6), hold(0.8)] },
  'leg-circuit': {
    ...FIELD, start: { x: -12.5, y: 10, z: 4, noseDeg: 0 }, marks: [[-12.5, 10], [-12.5, 35], [12.5, 35], [12.5, 10]].map(([x, y]) => ({ is: 'mark' as const, x: x!, y: y! })),
    legs: [mix({ pitch: 0.8 }, 6.25, 'Leg by leg, help taken away by stages'), hold(1), pushed({ z: -0.4 }, 1, 'Height by hand'), mix({ throttle: 0.4 }, 0.5), mix({ roll: 0.8 }, 6.25), hold(1), mix({ pitch: -0.8 }, 6.25), hold(1), mix({ roll: -0.8 }, 6.25), hold(1)],
  },
  'crab-leg': { start: { x: 0, y: 6, z: 3, noseDeg: 0 }, windFromDeg: 270, wayOut: 'up', marks: [{ is: 'mark', x: 0, y: 6 }, { is: 'mark', x: 0, y: 36 }], side: 'left', legs: [pushed({ x: 9.6 }, 12, 'Roll into the wind early, nose on the mark', { pitch: 0.5, roll: -0.16 }), hold(1)] },
  'airflow-step': { start: { x: -8, y: 12, z: 3, noseDeg: 0 }, windFromDeg: 0, wayOut: 'right', marks: [{ is: 'wall', x: 0, y: 20, width: 4, height: 4, label: 'source' }], legs: [mix({ roll: 0.4 }, 3, 'Toward the jet'), pushed({ y: -2 }, 2.5, 'Lean into it on entry', { roll: 0.4, pitch: 0.16 }), mix({ roll: 0.4 }, 2.5, 'Lean out before leaving'), hold(1)] },
};
