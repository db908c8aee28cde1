import type { Drill } from './drill';

/** Standards here are house defaults from common practice. */
export const AIR_AND_HEAD: readonly Drill[] = [
  {
    id: 'hold-off-hover', group: 'air', kind: 'flown', simulator: 'first', name: 'Hover with hold off', trains: 'Own the drift',
    task: 'Position hold off, 5 m up, open field, nose into the wind.',
    byEye: '30 s within 3 paces, leaning against the wind', measured: '30 s within 3 m', dose: '4 a pack',
    sticks: ['pitch', 'roll'], sides: [], bands: ['calm', 'light'], assistance: 'hold-off', after: ['tail-in-hover'],
  },
  {
    id: 'hold-off-line', group: 'air', kind: 'flown', simulator: 'first', name: 'Line with hold off', trains: 'Move and stop without hold',
    task: 'A 20 m line with active braking at each end.',
    byEye: 'Stops within 2 paces of each end', measured: 'Overshoot 2 m', dose: '5 a pack',
    sticks: ['pitch'], sides: [], assistance: 'hold-off', after: ['hold-off-hover'],
  },
  {
    id: 'surprise-hold-loss', group: 'air', kind: 'flown', simulator: 'first', name: 'Surprise hold loss', trains: 'Notice it',
    task: 'The trainer switches hold off unseen during a task. Say "drifting", lean, move to the clear side, come back.',
    byEye: 'Said within two counts, less than 6 paces lost', measured: 'Under 2 s, under 6 m', dose: '5 a pack',
    sticks: ['pitch', 'roll'], sides: [], bands: ['light'], assistance: 'hold-off', after: ['hold-off-line'],
    caution: 'Wants 3 to 5 m/s of wind, or there is nothing to notice.',
  },
  {
    id: 'leg-circuit', group: 'air', kind: 'flown', simulator: 'first', name: 'Leg circuit', trains: 'Take the help away step by step',
    task: 'A square of 25 m legs at 4 m. Stages: hold at each mark, at alternate marks, height hold only, none (from 5 m, the hold switch as rescue).',
    byEye: 'Within 2 paces of each mark, height even', measured: '2 m at each mark', dose: 'Two circuits a stage',
    sticks: ['pitch', 'roll', 'throttle'], sides: [], assistance: 'hold-off', after: ['hold-off-line'],
    caution: 'Hold overshoots, sinks and slides back when it takes.',
  },
  {
    id: 'crab-leg', group: 'air', kind: 'flown', simulator: 'allowed', name: 'Crab leg', trains: 'Crosswind',
    task: 'A 30 m leg across the wind: nose on the mark, roll into the wind early.',
    byEye: 'Within 2 paces of the line', measured: 'Cross-track 2 m', dose: '3 each side',
    sticks: ['roll', 'pitch'], sides: ['left', 'right'], bands: ['light', 'breezy'], assistance: 'as-flown', after: ['lateral-line'],
  },
  {
    id: 'airflow-step', group: 'air', kind: 'flown', simulator: 'allowed', name: 'Into the jet and out', trains: 'Jet or lee',
    task: 'Lean into the source on entry; take it out before leaving. Where it can be shut off, shut it off.',
    byEye: 'Moved less than a pace going in and coming out', measured: 'Displacement 1 m', dose: '6 a pack',
    sticks: ['roll', 'pitch'], sides: [], assistance: 'as-flown', after: ['crab-leg'],
  },
  {
    id: 'mode-readback', group: 'head', kind: 'spoken', simulator: 'no-use', name: 'Read it back', trains: 'Say it, see it',
    task: 'After every power-up switch the setting out and back, then read mode, speed setting, sensors, hold and fix from the display, not from the switch.',
    byEye: 'Every item read, from the display', measured: 'No item missed', dose: '5 flights',
    sticks: [], sides: [], assistance: 'as-flown', after: [],
  },
  {
    id: 'preflight-aloud', group: 'head', kind: 'ground', simulator: 'no-use', name: 'Pre-flight aloud', trains: 'Inspection',
    task: 'Transmitter on first and off last. Rotors, loose parts, cover off, nose mark, pack seated, card, mode switch, calibration at a new place, home point, camera, lights; one last look behind.',
    byEye: 'Every item said and touched', measured: 'All items', dose: '3 flights',
    sticks: [], sides: [], assistance: 'as-flown', after: [],
  },
  {
    id: 'failsafe-brief', group: 'head', kind: 'ground', simulator: 'no-use', name: 'Failsafe brief', trains: 'What it does alone',
    task: 'Fill the card: tallest thing plus margin, action on link loss, on low and on critical battery, and why here. Home point clear of trees and people.',
    byEye: 'Card right, reasons said', measured: 'Card right', dose: '3 sites',
    sticks: [], sides: [], assistance: 'as-flown', after: [],
  },
  {
    id: 'return-takeover', group: 'head', kind: 'flown', simulator: 'allowed', name: 'Take over the return', trains: 'Do not just watch',
    task: 'Start the automatic return, cancel it, fly it home by hand.',
    byEye: 'Clean take-over, no jolt, flown home', measured: 'Clean take-over', dose: '3 of 3',
    sticks: ['pitch', 'yaw'], sides: [], assistance: 'as-flown', after: ['failsafe-brief'],
  },
  {
    id: 'turn-back-call', group: 'head', kind: 'flown', simulator: 'allowed', name: 'Call the turn-back', trains: 'Energy',
    task: 'On a windy out-and-back call the turn-back point before the computed one.',
    byEye: 'Called not late, and not early by more than a tenth', measured: 'Not late, within 10 %', dose: '5 of 5',
    sticks: ['pitch'], sides: [], assistance: 'as-flown', after: [],
  },
  {
    id: 'upwind-first', group: 'head', kind: 'ground', simulator: 'no-use', name: 'Upwind first', trains: 'Plan with the wind',
    task: 'Plan three flights with the wind: far legs first, home downwind.',
    byEye: 'Plan right, reason said', measured: 'Right', dose: '3 plans',
    sticks: [], sides: [], assistance: 'as-flown', after: [],
  },
  {
    id: 'land-by-reserve', group: 'head', kind: 'flown', simulator: 'no-use', name: 'Land by the reserve', trains: 'Habit',
    task: 'Land at or above the reserve, flight after flight.',
    byEye: 'Feet down at or above the reserve', measured: 'No breach', dose: '10 flights',
    sticks: ['throttle'], sides: [], assistance: 'as-flown', after: [],
  },
  {
    id: 'link-walk', group: 'head', kind: 'ground', simulator: 'no-use', name: 'Link walk', trains: 'Radio shadow',
    task: 'Walk behind wall, tree and car with the signal shown, craft on the ground. Draw the map.',
    byEye: 'Map drawn, shadows marked', measured: 'Done', dose: 'Once a site',
    sticks: [], sides: [], assistance: 'as-flown', after: [],
  },
  {
    id: 'pause-then-talk', group: 'head', kind: 'flown', simulator: 'allowed', name: 'Pause, then talk', trains: 'Interruption',
    task: 'The trainer interrupts at random. On hold: pause first, answer second. In manual: keep flying, answer after.',
    byEye: 'Craft first, answer second', measured: 'Order right', dose: '6 of 6',
    sticks: ['throttle', 'pitch', 'roll'], sides: [], assistance: 'as-flown', after: [],
  },
  {
    id: 'spotter-shield', group: 'head', kind: 'spoken', simulator: 'no-use', name: 'Spotter shield', trains: 'Crew',
    task: 'The spotter takes all talk during landing.',
    byEye: 'Pilot spoke to nobody but the spotter', measured: 'Order right', dose: '3 of 3',
    sticks: [], sides: [], assistance: 'as-flown', after: [],
  },
  {
    id: 'breathe-and-brief', group: 'head', kind: 'spoken', simulator: 'no-use', name: 'Breathe and brief', trains: 'Calm',
    task: 'One slow breath, say the line, say the way out, go. Breathe at each gate.',
    byEye: 'Breath taken, line and way out said', measured: 'Said', dose: '6 of 6',
    sticks: [], sides: [], assistance: 'as-flown', after: [],
  },
  {
    id: 'release-drill', group: 'head', kind: 'flown', simulator: 'allowed', name: 'Let go', trains: 'Trust the craft',
    task: 'On the call let go of everything and wait for it to stop.',
    byEye: 'Hands off at once, and left off until it stands', measured: 'Hands off within 0.7 s', dose: '5 of 5',
    sticks: ['throttle', 'yaw', 'pitch', 'roll'], sides: [], assistance: 'as-flown', craft: 'hold', after: [],
  },
  {
    id: 'chop-decision', group: 'head', kind: 'spoken', simulator: 'allowed', name: 'Save it or cut it', trains: 'People first',
    task: 'Picture cards and simulator scenes: save it or cut it.',
    byEye: '12 of 12 right', measured: '12 of 12', dose: 'Once a week',
    sticks: ['throttle'], sides: [], assistance: 'as-flown', after: ['motor-cut-discipline'],
  },
  {
    id: 'leave-low', group: 'head', kind: 'spoken', simulator: 'allowed', name: 'Leave low', trains: 'Birds',
    task: 'Called birds: give way, down and away, slowly.',
    byEye: 'Down and away, no climb, no dash', measured: 'Right', dose: '3 of 3',
    sticks: ['throttle', 'pitch'], sides: [], assistance: 'as-flown', after: [],
  },
  {
    id: 'go-no-go', group: 'head', kind: 'ground', simulator: 'no-use', name: 'Go or no-go', trains: 'Weather and place',
    task: 'Wind, gust, rain, light, people told that a learner flies, airspace, radio sources, battery: decide, and say why.',
    byEye: 'Decision right, reasons said', measured: '5 scenes of 5', dose: '5 scenes',
    sticks: [], sides: [], assistance: 'as-flown', after: [],
  },
];
