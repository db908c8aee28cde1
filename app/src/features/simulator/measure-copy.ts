import type { MeasureId } from '@skelby/core/assessment/measure-facts';

interface MeasureWords {
  readonly name: string;
  /** What to do otherwise next time. */
  readonly change: string;
}

/** Every measure in words: what it is, and what to change when it went wrong. */
export const MEASURE_WORDS: Readonly<Record<MeasureId, MeasureWords>> = {
  off: {
    name: 'Off the mark or line',
    change: 'See the slide sooner: a small stick at once beats a large one late.',
  },
  height: {
    name: 'Height error',
    change: 'Look at the height as often as at the mark, and hold it with small throttle.',
  },
  heading: { name: 'Nose off', change: 'Bring yaw in with every other move, not after it.' },
  overshoot: { name: 'Overshoot', change: 'Begin to brake earlier: the lean back takes time.' },
  miss: {
    name: 'Stopped short by',
    change: 'Keep the speed a little longer: the mark is farther off than it looks.',
  },
  mark: { name: 'Missed the mark by', change: 'Set up for the next mark while still flying to this one.' },
  'wrong-moves': {
    name: 'Wrong first moves',
    change: 'Before the first stick say where the nose points: toward you, roll and pitch mirror.',
  },
  others: { name: 'Other sticks moved', change: 'One stick at a time: rest the other thumb until its turn.' },
  'small-share': {
    name: 'Time with small sticks',
    change: "Half a thumb's width, and let each correction work before the next.",
  },
  neutral: {
    name: 'Longest without an order',
    change: 'Keep giving it orders: while it moves a small stick stays on.',
  },
  'low-time': {
    name: 'Within a span of the ground',
    change: 'Lift off firmly: the air down there is churned.',
  },
  'touch-speed': { name: 'Touch-down speed', change: 'Ease off under a metre and feel for the ground.' },
  'touch-miss': {
    name: 'Touched down off the pad',
    change: 'Stop over the pad before the last metre; do not steer in it.',
  },
  'sink-ratio': { name: 'Sink over hover wash', change: 'Come down slower, or move sideways while you do.' },
  'wash-zone': { name: 'In its own wash', change: 'Keep moving forward all the way down.' },
  'wash-index': {
    name: 'Wash index',
    change:
      'Bend the path wider and raise the throttle through the turn, so that it never meets its own wash.',
  },
  'nose-to-path': {
    name: 'Nose off the path',
    change: 'Roll first, then yaw until the ground comes straight at you.',
  },
  'throttle-rise': {
    name: 'Throttle added in the turn',
    change: 'Bring the throttle up as the lean goes on.',
  },
  'nose-in-time': { name: 'Time nose-in', change: 'Turn away from yourself at each end.' },
  lasted: { name: 'Took', change: 'Begin sooner: the first look decides.' },
  'height-lost': { name: 'Height lost', change: 'Level first, then power.' },
  'hands-off': { name: 'Hands off after', change: 'Let go at the call, then think.' },
  'touched-again': {
    name: 'Took the sticks again',
    change: 'Hands stay off until it stands or the snap has ended.',
  },
  response: {
    name: 'First right move after',
    change: 'Watch the ground, not the craft, for a slide: say “drifting” and lean against it.',
  },
  moved: { name: 'Carried off', change: 'Lean against the drift at once and hold the lean.' },
  'top-speed': { name: 'Fastest', change: 'Where neither camera nor sensor looks, walking pace.' },
  'stopped-in': { name: 'Stopped in', change: 'Slower in, or off the stick sooner.' },
  gap: {
    name: 'Off the middle, of the room',
    change: 'Look beyond the gap, not at its frame, and line up before the last second.',
  },
  clearance: { name: 'Cleared by', change: 'Up first and all of it; forward takes care of itself.' },
  'blind-moves': { name: 'Moved where the nose did not look', change: 'Stop, turn, look, then go.' },
  'roll-used': { name: 'Roll used', change: 'Thumb off roll: yaw points it, pitch takes it there.' },
  pulses: {
    name: 'Pulses before home',
    change: 'One pulse, read the distance, then turn until it points home.',
  },
  lean: { name: 'Steepest lean', change: 'Take it over gently: hands on, then small sticks.' },
  'sideways-first': {
    name: 'Forward before power',
    change: 'Out of the column first, then power: power alone feeds it.',
  },
  'slip-outward': { name: 'Sliding outward', change: 'Nose farther inside the turn, roll to the outside.' },
  'lead-near': { name: 'Nearest to you', change: 'Keep your pace and let it lead.' },
  'lead-far': { name: 'Farthest from you', change: 'Shorten each step forward: it leads, it does not run.' },
  'breaches-relative': {
    name: 'Switched with the tail not to you',
    change: 'Tail to you first, then the switch, on and off.',
  },
  'relative-used': {
    name: 'Flown in pilot-relative mode',
    change: 'Switch the mode on for the second and third part.',
  },
  'called-at': {
    name: 'Turned back at, of the way',
    change: 'Call it just before the point: late is too late, early wastes the flight.',
  },
  'speed-at-answer': { name: 'Speed when answering', change: 'Craft first: let it stand, then answer.' },
  calmer: {
    name: 'Reversals against no softening',
    change: 'Rest between corrections: the softer curve forgives, it does not calm.',
  },
  'stops-alike': { name: 'Second stop against the card', change: 'Same speed, same mark, same let-go.' },
  footprint: { name: 'Ground covered', change: 'Shorter slants: turn each one before it runs on.' },
};

export const OTHER_CHANGES = {
  crash: 'Stop it earlier: when the picture is wrong, make it safe first.',
  'not-finished': 'Fly each part to its end; the line above the field says which.',
} as const;
