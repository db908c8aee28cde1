import type { QuestionId } from '@skelby/core/evidence/questions';

export interface QuestionWords {
  /** Its name in a list of reasons. */
  readonly short: string;
  /** The question as the trainer puts it to the pilot. */
  readonly ask: string;
  /** What each value is called; none for a number. */
  readonly values?: Readonly<Record<string, string>>;
}

export const QUESTION_WORDS: Readonly<Record<QuestionId, QuestionWords>> = {
  phase: {
    short: 'Phase',
    ask: 'What was being flown?',
    values: {
      ground: 'On the ground',
      takeoff: 'Take-off',
      hover: 'Hover',
      cruise: 'Straight flight',
      turn: 'Turn',
      descent: 'Descent',
      gap: 'Gap or gate',
      return: 'Coming back',
      landing: 'Landing',
    },
  },
  view: {
    short: 'View',
    ask: 'How did you see it?',
    values: {
      'direct-sight': 'By eye',
      'camera-view': 'On the camera',
      both: 'Both',
    },
  },
  nose: {
    short: 'Nose',
    ask: 'Where did the nose point, seen from you?',
    values: {
      away: 'Away from the pilot',
      left: 'To the left',
      right: 'To the right',
      toward: 'Toward the pilot',
      unknown: 'The pilot could not tell',
    },
  },
  nose_believed: {
    short: 'Nose believed',
    ask: 'Where did you think the nose pointed?',
    values: {
      away: 'Away',
      left: 'To the left',
      right: 'To the right',
      toward: 'Toward me',
      unsure: 'Was not sure',
    },
  },
  first_move: {
    short: 'First correction',
    ask: 'Your first correction: which way did it go?',
    values: {
      'as-meant': 'As meant',
      opposite: 'The opposite way',
      sideways: 'Sideways to it',
      nothing: 'Nothing happened',
      unknown: 'Not known',
    },
  },
  correction_effect: {
    short: 'Corrections',
    ask: 'What did the corrections do?',
    values: {
      shrank: 'Made it better',
      grew: 'Made it worse',
      oscillated: 'Swung to and fro',
      none: 'Did nothing',
      unknown: 'Not known',
    },
  },
  travel: {
    short: 'Movement',
    ask: 'How was it moving just before?',
    values: {
      stationary: 'Standing still',
      forward: 'Forward',
      backward: 'Backward',
      sideways: 'Sideways',
      'straight-down': 'Straight down',
      'slant-down': 'Down on a slant',
      'descending-turn': 'Turning and sinking',
      climbing: 'Climbing',
      circling: 'Circling by itself, wider and wider',
      orbit: 'Flown round something',
    },
  },
  path_folded: {
    short: 'Path folded back',
    ask: 'Did the path turn back through the air it had just left?',
    values: {
      yes: 'Yes',
      no: 'No',
      unknown: 'Not known',
    },
  },
  height_trend: {
    short: 'Height',
    ask: 'Height in the last seconds, against what was meant?',
    values: {
      steady: 'Steady',
      falling: 'Falling',
      rising: 'Rising',
      unknown: 'Not known',
    },
  },
  power_in_turn: {
    short: 'Power in the turn',
    ask: 'Throttle through the turn?',
    values: {
      rising: 'Rising',
      steady: 'Steady',
      low: 'Low',
      unknown: 'Not known',
    },
  },
  motor_sound: {
    short: 'Motors',
    ask: 'How did the motors sound?',
    values: {
      steady: 'Steady',
      surging: 'Surging',
      stopped: 'Stopped',
      unknown: 'Not known',
    },
  },
  speed_mps: {
    short: 'Speed',
    ask: 'How fast was it moving?',
  },
  descent_mps: {
    short: 'Sink rate',
    ask: 'How fast was it sinking?',
  },
  height_m: {
    short: 'Height above ground',
    ask: 'How high was it?',
  },
  distance_m: {
    short: 'Distance',
    ask: 'How far away was it?',
  },
  yaw_burst: {
    short: 'Nose swing',
    ask: 'How far was the nose swung within about a second?',
    values: {
      none: 'Not at all',
      quarter: 'About a quarter turn',
      'half-or-more': 'Half a turn or more',
    },
  },
  snap: {
    short: 'Snap',
    ask: 'What did its attitude do?',
    values: {
      none: 'Nothing sudden',
      wobble: 'Wobbled',
      'one-side': 'One side dropped',
      flip: 'Flipped over',
    },
  },
  yaw_without_roll: {
    short: 'Turned with yaw alone',
    ask: 'Was the turn asked for with yaw alone?',
    values: {
      yes: 'Yes',
      no: 'No',
    },
  },
  flight_mode: {
    short: 'Mode',
    ask: 'Which mode was it in?',
    values: {
      rate: 'Rate',
      'self-level': 'Self-level',
      'height-hold': 'Height hold',
      'position-hold': 'Position hold',
      programmed: 'Programmed',
    },
  },
  controller: {
    short: 'Controller',
    ask: 'What was in your hands?',
    values: {
      sticks: 'Sticks',
      motion: 'Motion controller',
      touch: 'Touch screen',
    },
  },
  pilot_relative: {
    short: 'Pilot-relative',
    ask: 'Was forward fixed to the pilot?',
    values: {
      on: 'On',
      off: 'Off',
    },
  },
  hold_expected: {
    short: 'Hold believed on',
    ask: 'Did you believe position hold was on?',
    values: {
      yes: 'Yes',
      no: 'No',
    },
  },
  drift_direction: {
    short: 'Slid',
    ask: 'Which way did it slide?',
    values: {
      downwind: 'With the air',
      'own-momentum': 'On its own way',
      neither: 'Neither',
      unknown: 'Not known',
    },
  },
  throttle_response: {
    short: 'More throttle',
    ask: 'What did more throttle do?',
    values: {
      normal: 'The usual',
      soft: 'Too little',
      none: 'Nothing',
      'not-tried': 'Not tried',
    },
  },
  position_hold: {
    short: 'Position hold',
    ask: 'Position hold at the time?',
    values: {
      on: 'On and healthy',
      off: 'Off',
      dropped: 'Dropped out',
      'not-to-be-had': 'Not to be had there',
      unknown: 'Not known',
    },
  },
  height_hold: {
    short: 'Height hold',
    ask: 'Height hold at the time?',
    values: {
      on: 'On',
      off: 'Off',
      unknown: 'Not known',
    },
  },
  position_fix: {
    short: 'Position fix',
    ask: 'How good was its position?',
    values: {
      good: 'Good',
      weak: 'Weak',
      none: 'None',
    },
  },
  home_point: {
    short: 'Home point',
    ask: 'Where did it believe home was?',
    values: {
      right: 'In the right place',
      moved: 'Moved, not known how',
      'moved-by-itself': 'Moved by itself',
      'left-behind': 'Left behind by pilot, boat or car',
      'not-set': 'Not set',
      wrong: 'In a wrong place',
      unknown: 'Not known',
    },
  },
  calibration: {
    short: 'Heading calibration',
    ask: 'Heading sensor, at this place?',
    values: {
      done: 'Calibrated',
      'not-done': 'Not calibrated',
      'near-metal': 'Near metal',
    },
  },
  speed_setting: {
    short: 'Setting',
    ask: 'Which speed setting?',
    values: {
      slow: 'Slow',
      normal: 'Normal',
      fast: 'Fast',
    },
  },
  setting_expected: {
    short: 'Setting believed',
    ask: 'Was it in the setting you believed?',
    values: {
      same: 'As believed',
      different: 'Another',
    },
  },
  setting_why: {
    short: 'Why another setting',
    ask: 'How did it come to be another one?',
    values: {
      'default-after-power-up': 'The default after power-up',
      'switch-knocked': 'The switch was knocked',
      'left-over': 'Left from the last flight',
      'not-enabled': 'The switch was not enabled',
      'changed-by-itself': 'Changed by itself',
      unknown: 'Not known',
    },
  },
  who_flew: {
    short: 'Whose hands',
    ask: 'Whose hands were on it?',
    values: {
      pilot: 'The pilot',
      trainer: 'The trainer',
      unsure: 'Not clear who had it',
    },
  },
  mode_toggled: {
    short: 'Switched in flight',
    ask: 'Was anything switched in flight?',
    values: {
      none: 'Nothing',
      'pilot-relative': 'Pilot-relative',
      'position-hold': 'Position hold',
      speed: 'Speed setting',
      other: 'Something else',
    },
  },
  pilot_moved: {
    short: 'Pilot moved',
    ask: 'Had you walked or turned since take-off?',
    values: {
      yes: 'Yes',
      no: 'No',
    },
  },
  sensors: {
    short: 'Obstacle sensors',
    ask: 'Obstacle sensors on that side?',
    values: {
      on: 'On',
      off: 'Off',
      none: 'None there',
    },
  },
  obstacle_side: {
    short: 'Obstacle side',
    ask: 'Where was the obstacle, seen from the craft?',
    values: {
      ahead: 'Ahead',
      behind: 'Behind',
      side: 'To the side',
      above: 'Above',
      below: 'Below',
      none: 'There was none',
    },
  },
  obstacle_kind: {
    short: 'Obstacle',
    ask: 'What was it?',
    values: {
      solid: 'Solid',
      thin: 'Thin (twig, net)',
      wire: 'Wire or cable',
      roof: 'Roof or deck',
      person: 'A person',
      ground: 'The ground',
      water: 'Water',
      none: 'Nothing',
    },
  },
  noticed: {
    short: 'Noticed',
    ask: 'Did you notice it before contact?',
    values: {
      'in-time': 'In time',
      late: 'Late',
      never: 'Never',
    },
  },
  seen_at_m: {
    short: 'First seen at',
    ask: 'How far off was it when you first saw it?',
  },
  gap_ratio: {
    short: 'Gap width',
    ask: 'How wide was the gap, in spans of the craft?',
  },
  gap_reason: {
    short: 'First at the gap',
    ask: 'What went wrong first at the gap?',
    values: {
      'slow-entry': 'Entered too slowly',
      'air-moved-it': 'The air moved it',
      'hands-twitched': 'Hands twitched',
      'eyes-on-frame': 'Eyes on the frame',
      hesitated: 'Hesitated',
      'height-bobbed': 'Height bobbed',
      'next-not-ready': 'Not set up for the next',
    },
  },
  place: {
    short: 'Place',
    ask: 'What was around?',
    values: {
      open: 'Open ground',
      trees: 'Trees',
      indoors: 'Indoors',
      'under-structure': 'Under a structure',
      'built-up': 'Walls near',
      water: 'Water',
    },
  },
  wind_mps: {
    short: 'Wind',
    ask: 'How much wind at flying height?',
  },
  gust_mps: {
    short: 'Gusts',
    ask: 'And in the gusts?',
  },
  wind_side: {
    short: 'Wind from',
    ask: 'Where did the wind come from, against the way it was moving?',
    values: {
      head: 'Ahead',
      tail: 'Behind',
      cross: 'Across',
      calm: 'Calm',
    },
  },
  airflow_step: {
    short: 'Airflow changed',
    ask: 'Did it enter or leave a jet, doorway or lee?',
    values: {
      yes: 'Yes',
      no: 'No',
    },
  },
  battery_pct: {
    short: 'Battery',
    ask: 'How much battery was left?',
  },
  low_battery: {
    short: 'Battery warning',
    ask: 'Was there a battery warning?',
    values: {
      none: 'None',
      heeded: 'Given and heeded',
      ignored: 'Given and ignored',
    },
  },
  link: {
    short: 'Radio link',
    ask: 'How was the radio link?',
    values: {
      steady: 'Steady',
      'video-lost': 'Picture lost',
      'control-lost': 'Control lost',
    },
  },
  radio_path: {
    short: 'Radio path',
    ask: 'Anything solid, or strong radio, between?',
    values: {
      clear: 'Clear',
      blocked: 'Blocked',
      unknown: 'Not known',
    },
  },
  camera_view: {
    short: 'Picture',
    ask: 'How was the picture?',
    values: {
      level: 'Level',
      tilted: 'Tilted',
      'too-dark': 'Too dark',
      'too-bright': 'Too bright',
      frozen: 'Frozen',
      fogged: 'Fogged over',
    },
  },
  picture_delay: {
    short: 'Picture late',
    ask: 'Was the picture late or jumping?',
    values: {
      none: 'No',
      noticed: 'Yes',
      unknown: 'Not known',
    },
  },
  auto_return: {
    short: 'Automatic return',
    ask: 'Automatic return or landing?',
    values: {
      none: 'None',
      commanded: 'Asked for',
      'link-loss': 'Link lost',
      battery: 'Battery',
    },
  },
  auto_phase: {
    short: 'Return was',
    ask: 'What was the return doing?',
    values: {
      climbing: 'Climbing',
      'on-the-way': 'On the way',
      landing: 'Landing',
      cancelled: 'Cancelled',
    },
  },
  return_height_m: {
    short: 'Return height',
    ask: 'Return height as set?',
  },
  tallest_m: {
    short: 'Tallest thing',
    ask: 'How high was the tallest thing on the way?',
  },
  sticks_before: {
    short: 'Hands',
    ask: 'What did the hands do just before?',
    values: {
      small: 'Small inputs',
      large: 'Large inputs',
      released: 'Let go',
      'held-on': 'One left on unnoticed',
      'wrong-stick': 'The wrong stick',
      'wrong-way': 'The right stick, the wrong way',
    },
  },
  motors_cut: {
    short: 'Motors cut',
    ask: 'Did you stop the motors in the air?',
    values: {
      no: 'No',
      deliberate: 'On purpose',
      'by-mistake': 'By mistake',
    },
  },
  attention: {
    short: 'Attention',
    ask: 'Where were eyes and mind?',
    values: {
      'on-craft': 'On the craft',
      'on-screen': 'On the screen',
      'talked-to': 'Somebody talked',
      'looked-away': 'Looked away',
      'mind-elsewhere': 'The mind elsewhere',
    },
  },
  feeling: {
    short: 'Feeling',
    ask: 'How did it feel?',
    values: {
      calm: 'Calm',
      tense: 'Tense',
      froze: 'Froze',
      startled: 'Startled',
      rushed: 'Rushed',
      celebrating: 'Celebrating',
    },
  },
  light: {
    short: 'Light',
    ask: 'How was the light against the sky?',
    values: {
      clear: 'Clear',
      glare: 'Glare',
      dusk: 'Dusk',
      silhouette: 'Only a silhouette',
    },
  },
  surface: {
    short: 'Stood on',
    ask: 'What did the craft stand on?',
    values: {
      hard: 'Hard and level',
      grass: 'Grass',
      rough: 'Rough',
      moving: 'Moving',
    },
  },
  precipitation: {
    short: 'Rain',
    ask: 'Rain, fog or spray?',
    values: {
      none: 'None',
      fog: 'Fog',
      light: 'A little',
      rain: 'Rain',
    },
  },
  craft_check: {
    short: 'Pre-flight check',
    ask: 'Was the craft checked before flight?',
    values: {
      passed: 'Passed',
      'not-done': 'Not done',
      defect: 'Defect found',
    },
  },
  after_inspection: {
    short: 'Looked over after',
    ask: 'Looked over afterwards, damage from the impact aside?',
    values: {
      sound: 'Sound',
      'fault-found': 'A fault found',
    },
  },
  in_sight: {
    short: 'In sight',
    ask: 'Was the craft itself in sight?',
    values: {
      yes: 'Yes',
      barely: 'Barely',
      no: 'No',
    },
  },
  visibility_m: {
    short: 'Visibility',
    ask: 'How far could one see?',
  },
  wildlife: {
    short: 'Birds',
    ask: 'Were there birds about?',
    values: {
      none: 'None',
      near: 'Near',
    },
  },
  over_people: {
    short: 'Over people',
    ask: 'Did it fly over people who were not part of it?',
    values: {
      no: 'No',
      yes: 'Yes',
    },
  },
  people_m: {
    short: 'Nearest person',
    ask: 'How near was anybody who was not part of it?',
  },
  left_undone: {
    short: 'Left undone',
    ask: 'Was a step left out before take-off or at the landing?',
    values: {
      none: 'None',
      legs: 'The legs',
      'cover-or-clamp': 'Cover or clamp',
      'inside-ring': 'Took off too near to the pilot',
      'home-not-set': 'Home not set',
      'setting-not-slow': 'Slow setting not taken',
      'motors-running': 'Motors not stopped',
      recording: 'Recording',
      other: 'Another',
    },
  },
};
