import type { Drill } from './drill';

/** Standards here are house defaults from common practice. */
export const HANDS_AND_HOVER: readonly Drill[] = [
  {
    id: 'single-stick', group: 'hands', kind: 'flown', simulator: 'allowed', name: 'One axis at a time', trains: 'Each axis alone',
    task: 'Tail to you, 3 to 5 m up. Up and down, yaw left and right, fore and aft, left and right: each out and back, moving one axis only.',
    byEye: 'All four axes out and back, and nothing else moved', measured: 'Four axes; the others under 10 % of travel', dose: '3 rounds',
    sticks: ['throttle', 'yaw', 'pitch', 'roll'], sides: [], assistance: 'as-flown', after: [],
  },
  {
    id: 'half-thumb', group: 'hands', kind: 'flown', simulator: 'allowed', name: 'Half a thumb', trains: 'Small inputs',
    task: 'Hold position with stick movements no wider than half a thumb, about 15 % of travel to start.',
    byEye: '30 s without a grab or a visible swing', measured: '30 s, 90 % of the time inside the band', dose: '6 tries a pack',
    sticks: ['pitch', 'roll'], sides: [], bands: ['calm'], assistance: 'as-flown', after: ['single-stick'],
  },
  {
    id: 'soft-centre-stick', group: 'hands', kind: 'flown', simulator: 'allowed', name: 'Soft centre', trains: 'Stick curve and slow hands',
    task: 'The same hover with centre-softening at 0, 30 and 60 %. Keep the one that wobbles least.',
    byEye: 'All three tried, the calmest chosen and plainly calmer', measured: 'Stick reversals down by a third on the chosen curve', dose: 'Once, then again after a week',
    sticks: ['pitch', 'roll', 'yaw'], sides: [], assistance: 'as-flown', after: ['half-thumb'],
  },
  {
    id: 'never-coast', group: 'hands', kind: 'flown', simulator: 'first', name: 'Never coast', trains: 'Keep giving orders',
    task: 'Manual mode. Fly a 10 m square; neither stick pair rests at neutral while it moves.',
    byEye: 'Two squares, hands never idle while it moves', measured: 'Longest neutral time while moving 1 s or less, two squares', dose: '4 tries a pack',
    sticks: ['pitch', 'roll', 'throttle'], sides: [], assistance: 'manual', craft: 'manual', after: ['tail-in-hover'],
  },
  {
    id: 'stick-call', group: 'hands', kind: 'spoken', simulator: 'allowed', name: 'Stick call', trains: 'The right stick at once',
    task: 'Power off. The trainer calls a motion, the pilot answers with the stick.',
    byEye: '20 calls, none wrong, no thinking pause', measured: '20 calls, none wrong, median under 0.8 s', dose: '2 rounds before flying',
    sticks: ['throttle', 'yaw', 'pitch', 'roll'], sides: [], assistance: 'as-flown', after: [],
  },
  {
    id: 'mirror-call', group: 'hands', kind: 'spoken', simulator: 'allowed', name: 'Mirror call', trains: 'Mirrored sticks',
    task: 'As the stick call, with the nose drawn at 12, 3, 6 or 9 o\'clock. Roll and pitch mirror; yaw and throttle do not.',
    byEye: '20 calls, at most one wrong', measured: '20 calls, at most one wrong, median under 1.0 s', dose: '2 rounds before flying',
    sticks: ['pitch', 'roll'], sides: [], assistance: 'as-flown', after: ['stick-call'],
  },
  {
    id: 'motor-cut-discipline', group: 'hands', kind: 'spoken', simulator: 'allowed', name: 'Motor-stop discipline', trains: 'The stop gesture',
    task: 'Arm, idle, stop. Then say when it may be used in the air: to spare a person, or in a manual mode low and beyond saving. Otherwise never.',
    byEye: 'Gesture clean and both cases named', measured: 'Sequence right', dose: '3 of 3',
    sticks: ['throttle', 'yaw'], sides: [], assistance: 'as-flown', after: [],
    caution: 'Rotors off, or nobody within 5 m.',
  },
  {
    id: 'pop-up-takeoff', group: 'hover', kind: 'flown', simulator: 'allowed', name: 'Pop-up take-off', trains: 'Leave the dirty air',
    task: 'A firm lift straight to 1.5 to 2 m, then trim the throttle.',
    byEye: 'Through the first span in one count, ends within a pace of the spot', measured: 'Under 1 s below one span; within 1 m', dose: '6 a pack',
    sticks: ['throttle'], sides: [], assistance: 'as-flown', after: ['single-stick'],
  },
  {
    id: 'tail-in-hover', group: 'hover', kind: 'flown', simulator: 'allowed', name: 'Tail-in hover', trains: 'Hold a box',
    task: 'Tail to you, 2 to 3 m up, nose into the wind. Hold over the mark.',
    byEye: '60 s within 2 m of the mark (1 m with position hold), height steady', measured: '60 s, ±0.5 m height, within 2 m (1 m with position hold)', dose: '3 a pack, over days',
    sticks: ['throttle', 'pitch', 'roll'], sides: [], bands: ['calm', 'light'], assistance: 'as-flown', after: ['pop-up-takeoff'],
  },
  {
    id: 'fore-aft-line', group: 'hover', kind: 'flown', simulator: 'allowed', name: 'Fore and aft line', trains: 'Pitch and stop',
    task: '15 m out and back along a line; stop for 2 s at each end.',
    byEye: 'Within a pace of the line, stops within a pace and a half', measured: 'Cross-track 1 m, overshoot 1.5 m', dose: '6 a pack',
    sticks: ['pitch'], sides: [], assistance: 'as-flown', after: ['tail-in-hover'],
  },
  {
    id: 'lateral-line', group: 'hover', kind: 'flown', simulator: 'allowed', name: 'Sideways line', trains: 'Roll with the heading held',
    task: '10 m left, 20 m right, 10 m left, nose kept away.',
    byEye: 'Within a pace of the line, nose does not wander', measured: 'Cross-track 1 m, heading 15°', dose: '6 a pack',
    sticks: ['roll'], sides: [], assistance: 'as-flown', after: ['fore-aft-line'],
  },
  {
    id: 'pad-landing', group: 'hover', kind: 'flown', simulator: 'allowed', name: 'Pad landing', trains: 'Touch down',
    task: 'Feet down, slow setting, sensors as the maker says for landing. Descend at half stick, ease off under 1 m, motors off before the hand leaves the throttle.',
    byEye: 'Soft, within half a pace of the pad centre, motors off at once', measured: 'Under 0.5 m/s, within 0.5 m', dose: '5 a pack',
    sticks: ['throttle'], sides: [], assistance: 'as-flown', after: ['tail-in-hover'],
    caution: 'Never caught by hand.',
  },
  {
    id: 'hover-check', group: 'hover', kind: 'flown', simulator: 'no-use', name: 'Hover check', trains: 'Feel the craft',
    task: '30 s at 3 m: wobble, lights, video, each control.',
    byEye: 'Every item looked at and named', measured: 'All items done', dose: 'Every first pack of a day',
    sticks: ['throttle', 'yaw', 'pitch', 'roll'], sides: [], assistance: 'as-flown', after: [],
  },
  {
    id: 'into-wind-hover', group: 'hover', kind: 'flown', simulator: 'allowed', name: 'Hover on the wind', trains: 'Lean on the wind',
    task: 'Hover nose into the wind, then tail, then each side to it.',
    byEye: '45 s within a pace and a half', measured: '45 s within 1.5 m', dose: 'One round a pack',
    sticks: ['pitch', 'roll'], sides: ['nose-in', 'tail-on', 'nose-left', 'nose-right'], bands: ['breezy'], assistance: 'as-flown', after: ['tail-in-hover'],
  },
];
