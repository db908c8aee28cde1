import type { MeasureId } from '@skelby/core/scoring/measures';
import type { MissReason } from '@skelby/core/clearance/facts';

interface MeasureWords {
  readonly name: string;
  readonly unit: 'm' | 's' | 'm/s' | '°' | '%' | 'count' | 'ratio' | 'yes';
  /** What to do otherwise next time. */
  readonly change: string;
  /** The reason a trainer would have tapped. */
  readonly reason: MissReason;
}

const words = (name: string, unit: MeasureWords['unit'], change: string, reason: MissReason = 'off-the-mark'): MeasureWords => ({ name, unit, change, reason });

/** Every measure in words: what it is, and what to change when it went wrong. */
export const MEASURE_WORDS: Readonly<Record<MeasureId, MeasureWords>> = {
  off: words('Off the mark or line', 'm', 'See the slide sooner: a small stick at once beats a large one late.'),
  height: words('Height error', 'm', 'Look at the height as often as at the mark, and hold it with small throttle.', 'height'),
  heading: words('Nose off', '°', 'Bring yaw in with every other move, not after it.', 'nose'),
  overshoot: words('Overshoot', 'm', 'Begin to brake earlier: the lean back takes time.', 'too-late'),
  miss: words('Stopped short by', 'm', 'Keep the speed a little longer: the mark is farther off than it looks.'),
  mark: words('Missed the mark by', 'm', 'Set up for the next mark while still flying to this one.'),
  'wrong-moves': words('Wrong first moves', 'count', 'Before the first stick say where the nose points: toward you, roll and pitch mirror.', 'wrong-first-move'),
  others: words('Other sticks moved', '%', 'One stick at a time: rest the other thumb until its turn.', 'wrong-first-move'),
  'small-share': words('Time with small sticks', '%', 'Half a thumb\'s width, and let each correction work before the next.'),
  neutral: words('Longest without an order', 's', 'Keep giving it orders: while it moves a small stick stays on.'),
  'low-time': words('Within a span of the ground', 's', 'Lift off firmly: the air down there is churned.', 'too-late'),
  'touch-speed': words('Touch-down speed', 'm/s', 'Ease off under a metre and feel for the ground.', 'too-fast'),
  'touch-miss': words('Touched down off the pad', 'm', 'Stop over the pad before the last metre; do not steer in it.'),
  'sink-ratio': words('Sink over hover wash', 'ratio', 'Come down slower, or move sideways while you do.', 'too-fast'),
  'wash-zone': words('In its own wash', 'ratio', 'Keep moving forward all the way down.', 'too-fast'),
  'wash-index': words('Wash index', 'ratio', 'Bend the path wider and raise the throttle through the turn, so that it never meets its own wash.', 'too-fast'),
  'nose-to-path': words('Nose off the path', '°', 'Roll first, then yaw until the ground comes straight at you.', 'nose'),
  'throttle-rise': words('Throttle added in the turn', '%', 'Bring the throttle up as the lean goes on.', 'height'),
  'nose-in-time': words('Time nose-in', 's', 'Turn away from yourself at each end.', 'nose'),
  lasted: words('Took', 's', 'Begin sooner: the first look decides.', 'too-late'),
  'height-lost': words('Height lost', 'm', 'Level first, then power.', 'height'),
  'hands-off': words('Hands off after', 's', 'Let go at the call, then think.', 'too-late'),
  'touched-again': words('Took the sticks again', 'count', 'Hands stay off until it stands or the snap has ended.', 'wrong-first-move'),
  response: words('First right move after', 's', 'Watch the ground, not the craft, for a slide: say “drifting” and lean against it.', 'too-late'),
  moved: words('Carried off', 'm', 'Lean against the drift at once and hold the lean.', 'too-late'),
  'top-speed': words('Fastest', 'm/s', 'Where neither camera nor sensor looks, walking pace.', 'too-fast'),
  'stopped-in': words('Stopped in', 'm', 'Slower in, or off the stick sooner.', 'too-late'),
  gap: words('Off the middle, of the room', '%', 'Look beyond the gap, not at its frame, and line up before the last second.'),
  clearance: words('Cleared by', 'm', 'Up first and all of it; forward takes care of itself.', 'height'),
  'blind-moves': words('Moved where the nose did not look', 'count', 'Stop, turn, look, then go.', 'nose'),
  'roll-used': words('Roll used', '%', 'Thumb off roll: yaw points it, pitch takes it there.', 'wrong-first-move'),
  pulses: words('Pulses before home', 'count', 'One pulse, read the distance, then turn until it points home.', 'wrong-first-move'),
  lean: words('Steepest lean', '°', 'Take it over gently: hands on, then small sticks.', 'too-fast'),
  'sideways-first': words('Forward before power', 'yes', 'Out of the column first, then power: power alone feeds it.', 'wrong-first-move'),
  'slip-outward': words('Sliding outward', '%', 'Nose farther inside the turn, roll to the outside.', 'nose'),
  'lead-near': words('Nearest to you', 'm', 'Keep your pace and let it lead.', 'off-the-mark'),
  'lead-far': words('Farthest from you', 'm', 'Shorten each step forward: it leads, it does not run.'),
  'breaches-relative': words('Switched with the tail not to you', 'count', 'Tail to you first, then the switch, on and off.', 'nose'),
  'relative-used': words('Flown in pilot-relative mode', 'yes', 'Switch the mode on for the second and third part.'),
  'called-at': words('Turned back at, of the way', '%', 'Call it just before the point: late is too late, early wastes the flight.', 'too-late'),
  'speed-at-answer': words('Speed when answering', 'm/s', 'Craft first: let it stand, then answer.', 'too-fast'),
  calmer: words('Reversals against no softening', '%', 'Rest between corrections: the softer curve forgives, it does not calm.'),
  'stops-alike': words('Second stop against the card', '%', 'Same speed, same mark, same let-go.', 'too-late'),
  footprint: words('Ground covered', 'm', 'Shorter slants: turn each one before it runs on.'),
};

export const OTHER_CHANGES = { crash: 'Stop it earlier: when the picture is wrong, make it safe first.', 'not-finished': 'Fly each part to its end; the line above the field says which.' } as const;
export const REASON_OF_OTHER: Readonly<Record<keyof typeof OTHER_CHANGES, MissReason>> = { crash: 'too-late', 'not-finished': 'off-the-mark' };
