/** What is said of a sum beside its answer. */
export interface SumWords {
  readonly question: string;
  readonly formula: string;
  readonly source: string;
  readonly assumes: string;
  /** What each input is called. */
  readonly inputs: Readonly<Record<string, string>>;
}

export const SUM_WORDS: Readonly<Record<string, SumWords>> = {
  stop: {
    question: 'Could it have stopped?',
    formula:
      'V·t + what the lean takes to turn round + braking at lean θ: V² / (2·g·tan θ), less what drag takes',
    source:
      'Constant deceleration, any mechanics text. Reaction times: 2.5 s AASHTO; 1.5 s and 0.75 s common practice.',
    assumes:
      'Still air, level flight, full opposite stick, sensors off. Drag in proportion to speed, one for the airframe, from top speed and lean limit in normal. Other settings: the same stick, so the same share of their own top speed.',
    inputs: {
      speed_mps: 'Speed',
      seen_at_m: 'First seen at',
      reaction_s: 'Reaction',
      setting: 'Setting',
    },
  },
  wash: {
    question: 'Was it in its own wash?',
    formula: 'v_h = √(T / 2ρA); trouble at descent 0.5 to 1.5 v_h with forward speed under about 1 v_h',
    source:
      'Momentum theory: Leishman, Principles of Helicopter Aerodynamics, ch. 2 and 12. Air: ISO 2533. Outline after NASA/TP-2005-213477.',
    assumes:
      'Thrust is the weight; the rotors do not overlap; speeds are through the air. The soft edge of the region is ours. Under 0.25 v_h straight down is quiet (common practice).',
    inputs: {
      descent_mps: 'Sink rate',
      forward_mps: 'Forward speed',
      altitude_m: 'Above sea level',
      warmer_k: 'Warmer than standard',
    },
  },
  fold: {
    question: 'Did the turn fold back?',
    formula:
      'Wash index = clamp(−v·n / v_h, 0, 1) × fade(speed across the disc / v_h) × (1 − power in hand); n the thrust direction',
    source: "Index: our definition, from momentum theory. Path: Newton's second law with linear drag.",
    assumes:
      'Still air; the lean follows the nose; the nose turns at a steady rate. Limit 0.3 for drills (common practice). Power in hand is what holding height in this lean leaves of full thrust.',
    inputs: {
      speed_mps: 'Speed into the turn',
      yaw_deg: 'Nose swung',
      yaw_s: 'Within',
      descent_mps: 'Sink rate',
      lean_deg: 'Lean',
    },
  },
  lean: {
    question: 'What did the lean cost?',
    formula:
      'Height lost ½·g·(1 − cos θ)·t²; load factor 1 / cos θ; radius V² / (g·tan θ); yaw rate g·tan θ / V',
    source: 'Load factor and turn: FAA-H-8083-25C.',
    assumes:
      'Throttle left where it held the hover, no height hold, no drag on the sinking: the height lost is an upper bound.',
    inputs: {
      speed_mps: 'Speed',
      lean_deg: 'Lean',
      seconds: 'Without more throttle for',
      height_m: 'Height above ground',
    },
  },
  drift: {
    question: 'How far did the air carry it?',
    formula: 'x = w·(t − τ·(1 − e^(−t/τ))), τ = top speed / (g·tan of the lean limit)',
    source: 'Linear drag; common practice. τ is about 2 to 4 s for small craft.',
    assumes: 'At rest when hold was lost, level, no correction; wind steady.',
    inputs: {
      wind_mps: 'Wind or draught',
      seconds: 'Until the first real correction',
      tau_s: 'Drag time τ',
      room_m: 'Room on that side',
    },
  },
  sight: {
    question: 'Could the pilot read its attitude there?',
    formula: 'Attitude out to 327 m × largest dimension + 20 m; detected out to 0.3 × visibility',
    source:
      'From memory of European guidance on visual line of sight; local rules come first. One minute of arc: 20/20 acuity.',
    assumes:
      'Clear light and normal sight. Glare, dusk or a plain background shorten it; training stays inside half the attitude range.',
    inputs: {
      distance_m: 'Distance',
      visibility_m: 'Visibility',
      span_m: 'Largest dimension',
    },
  },
  home: {
    question: 'Would it have got home?',
    formula:
      'Ground speed √(V² − w_cross²) ± w_along; charge home = distance / ground speed / endurance; turn back where out + home = charge − reserve',
    source: 'Wind triangle and point of no return: any navigation text.',
    assumes:
      'Steady wind, steady draw at this air speed, straight home at one height. Cold and old packs give less.',
    inputs: {
      distance_m: 'Distance from home',
      battery_pct: 'Battery there',
      wind_mps: 'Wind',
      from_deg: 'Wind from, off the way out',
      air_mps: 'Air speed',
      endurance_min: 'Full battery lasts',
      reserve_pct: 'Reserve',
    },
  },
  return: {
    question: 'Would the automatic return have cleared?',
    formula: 'Return height wanted = tallest thing on the way + margin',
    source: "Common practice. The site's own failsafe card and local rules come first.",
    assumes:
      'Height counts from the take-off point: on a slope add the rise. It climbs first, then comes straight home.',
    inputs: {
      return_height_m: 'Return height as set',
      tallest_m: 'Tallest thing on the way',
      margin_m: 'Margin',
      place: 'Where it is flown',
    },
  },
  gap: {
    question: 'How much room did the gap leave?',
    formula:
      'Spare = (ratio − 1)·span / 2 on each side; exposed (depth + span) / V; up-tilt arctan(V / (g·τ)); difficulty depth / free width',
    source: 'Geometry; steering law: Accot and Zhai 1997; drift and τ as for the drift.',
    assumes:
      "Entered in the middle. Wander is the standard deviation of this pilot's line on a straight pass; measured is better than usual.",
    inputs: {
      gap_ratio: 'Gap width',
      speed_mps: 'Speed',
      depth_m: 'Depth',
      wander_m: "Pilot's wander",
      cross_mps: 'Air across',
    },
  },
  fall: {
    question: 'What would a falling craft have done?',
    formula:
      'Gravity, and drag g·(v / v_t)² against the path; without drag √(2·g·h + level speed²); energy ½·m·v²',
    source: 'Any mechanics text.',
    assumes:
      'Motors cut, still air: wind can carry it further. Terminal speed from a flat body of a third of the span squared. Not the energy a standard counts as passed on to a head.',
    inputs: {
      height_m: 'Height above ground',
      speed_mps: 'Speed',
      mass_kg: 'Mass',
    },
  },
};

/** What each figure of an answer is called. */
export const FIGURE_NAMES: Readonly<Record<string, string>> = {
  reaction: 'Reaction',
  'leaning-back': 'Leaning back',
  braking: 'Braking',
  'with-the-sticks-let-go-instead': 'With the sticks let go instead',
  'fastest-that-stops-in-time': 'Fastest that stops in time',
  'limit-straight-down': 'Limit straight down',
  'trouble-from': 'Trouble from',
  'hover-induced-velocity-v-h': 'Hover induced velocity v_h',
  'descent-over-v-h': 'Descent over v_h',
  'forward-speed-over-v-h': 'Forward speed over v_h',
  'highest-wash-index': 'Highest wash index',
  'limit-for-drills': 'Limit for drills',
  'power-in-hand': 'Power in hand',
  'yaw-rate-the-path-can-follow': 'Yaw rate the path can follow',
  'load-factor': 'Load factor',
  'turn-radius': 'Turn radius',
  'yaw-rate-along-the-path': 'Yaw rate along the path',
  'steepest-lean-it-holds': 'Steepest lean it holds',
  carried: 'Carried',
  'speed-taken-up': 'Speed taken up',
  'one-second-earlier': 'One second earlier',
  'attitude-range': 'Attitude range',
  'half-of-it-for-training': 'Half of it, for training',
  'seen-at-all-out-to': 'Seen at all out to',
  'turn-back-by': 'Turn back by',
  'charge-for-the-way-home': 'Charge for the way home',
  'head-for-home-here-at': 'Head for home here at',
  'latest-turn-back-point': 'Latest turn-back point',
  wanted: 'Wanted',
  'room-over-the-tallest': 'Room over the tallest',
  'spare-each-side': 'Spare each side',
  'in-the-gap-for': 'In the gap for',
  'carried-by-the-air-in-it': 'Carried by the air in it',
  'camera-up-tilt-for-a-level-view': 'Camera up-tilt for a level view',
  difficulty: 'Difficulty',
  'time-to-the-ground': 'Time to the ground',
  'speed-there': 'Speed there',
  'energy-there': 'Energy there',
  'lands-ahead': 'Lands ahead',
};
