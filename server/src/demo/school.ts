import type { CauseId } from '@skelby/core/causes/causes';
import type { MissReason } from '@skelby/core/clearance/facts';
import type { CraftFields, OccurrenceFields, PilotFields, SiteFields } from '@skelby/core/schemas/records';

/** An invented volunteer mountain-rescue air unit. Every person, place and craft here is made up. */

export const DEMO_SCHOOL = 'Carrow Fell Mountain Rescue, air unit';

export const DEMO_TRAINERS = [
  { name: 'Hanne Corrick', email: 'hanne@carrowfell.example', password: 'windsock-over-the-fell' },
  { name: 'Marek Thornby', email: 'marek@carrowfell.example', password: 'lanterns-by-the-beck' },
] as const;

export const DEMO_CRAFT: readonly CraftFields[] = [
  {
    name: 'Hover 1',
    mode: 'position-hold',
    massKg: 0.9,
    spanM: 0.35,
    rotors: 4,
    rotorRadiusM: 0.105,
    thrustToWeight: 1.9,
    topSpeedMps: 15,
    hasPauseSwitch: true,
    topSpeedSlowMps: 6,
    topSpeedFastMps: 19,
    leanSlowDeg: 15,
    leanNormalDeg: 25,
    leanFastDeg: 35,
    enduranceMin: 22,
    sensorSides: ['ahead', 'behind', 'below'],
    sensorsInFast: false,
    hasHeightHold: true,
    hasPositionHold: true,
    hasPilotRelative: true,
    hasMotorStop: true,
    note: 'First lessons. Orange arm marks the nose.',
  },
  {
    name: 'Hover 2',
    mode: 'position-hold',
    massKg: 1.4,
    spanM: 0.46,
    rotors: 4,
    rotorRadiusM: 0.12,
    thrustToWeight: 2.1,
    topSpeedMps: 19,
    hasPauseSwitch: true,
    topSpeedSlowMps: 8,
    topSpeedFastMps: 23,
    leanSlowDeg: 15,
    leanNormalDeg: 27,
    leanFastDeg: 36,
    enduranceMin: 28,
    sensorSides: ['ahead', 'behind', 'side', 'below'],
    sensorsInFast: false,
    hasHeightHold: true,
    hasPositionHold: true,
    hasPilotRelative: false,
    hasMotorStop: true,
    note: 'Search craft, steadier in wind.',
  },
  {
    name: 'Manual 1',
    mode: 'self-level',
    massKg: 0.25,
    spanM: 0.2,
    rotors: 4,
    rotorRadiusM: 0.038,
    thrustToWeight: 3,
    topSpeedMps: 14,
    hasPauseSwitch: false,
    topSpeedSlowMps: null,
    topSpeedFastMps: null,
    leanSlowDeg: null,
    leanNormalDeg: 35,
    leanFastDeg: null,
    enduranceMin: 6,
    sensorSides: [],
    sensorsInFast: false,
    hasHeightHold: false,
    hasPositionHold: false,
    hasPilotRelative: false,
    hasMotorStop: false,
    note: 'Caged. May touch.',
  },
  {
    name: 'Manual 2',
    mode: 'rate',
    massKg: 0.62,
    spanM: 0.31,
    rotors: 4,
    rotorRadiusM: 0.065,
    thrustToWeight: 4.5,
    topSpeedMps: 27,
    hasPauseSwitch: false,
    topSpeedSlowMps: null,
    topSpeedFastMps: null,
    leanSlowDeg: null,
    leanNormalDeg: 50,
    leanFastDeg: 65,
    enduranceMin: 7,
    sensorSides: [],
    sensorsInFast: false,
    hasHeightHold: false,
    hasPositionHold: false,
    hasPilotRelative: false,
    hasMotorStop: false,
    note: '',
  },
];

export const DEMO_SITES: readonly SiteFields[] = [
  {
    name: 'Merrow Moor airstrip',
    place: 'open',
    tallestM: 9,
    ceilingM: null,
    help: 'Base desk 555 0140. Gate by the sheepfold, track to the strip. Grid CF 41 207 883.',
    altitudeM: 320,
    note: 'Sheep on the south end before ten.',
  },
  {
    name: 'Gillet quarry',
    place: 'built-up',
    tallestM: 34,
    ceilingM: null,
    help: 'Base desk 555 0140. Upper road, barrier key in the hut. Grid CF 38 195 911.',
    altitudeM: 410,
    note: 'Old crane wire on the west face.',
  },
  {
    name: 'Team base hangar',
    place: 'indoors',
    tallestM: 7,
    ceilingM: 7,
    help: '',
    altitudeM: 300,
    note: 'Plain floor: visual hold drops out.',
  },
];

export const DEMO_PILOTS: readonly Omit<PilotFields, 'shown'>[] = [
  {
    name: 'Tove Lindqvane',
    stickLayout: 2,
    mode: 'position-hold',
    track: 'assist-down',
    windLimitMps: 6.7,
    holdOff: false,
    note: '',
  },
  {
    name: 'Bryn Ashdale',
    stickLayout: 2,
    mode: 'position-hold',
    track: 'assist-down',
    windLimitMps: 6.7,
    holdOff: false,
    note: 'Left-handed.',
  },
  {
    name: 'Oska Merrin',
    stickLayout: 2,
    mode: 'self-level',
    track: 'assist-down',
    windLimitMps: 6.7,
    holdOff: false,
    note: '',
  },
  {
    name: 'Runa Fellgate',
    stickLayout: 1,
    mode: 'position-hold',
    track: 'assist-down',
    windLimitMps: 5,
    holdOff: false,
    note: 'Learnt on layout 1, keeps it.',
  },
  {
    name: 'Cai Penhallis',
    stickLayout: 2,
    mode: 'rate',
    track: 'manual-first',
    windLimitMps: 8,
    holdOff: false,
    note: '',
  },
  {
    name: 'Elin Scarrow',
    stickLayout: 2,
    mode: 'position-hold',
    track: 'assist-down',
    windLimitMps: 6.7,
    holdOff: false,
    note: '',
  },
  {
    name: 'Jory Tamsett',
    stickLayout: 3,
    mode: 'position-hold',
    track: 'assist-down',
    windLimitMps: 5,
    holdOff: false,
    note: '',
  },
  {
    name: 'Nia Winterhale-Oakenshaw',
    stickLayout: 2,
    mode: 'position-hold',
    track: 'assist-down',
    windLimitMps: 8,
    holdOff: false,
    note: 'Night search lead.',
  },
  {
    name: 'Davit Orrel',
    stickLayout: 2,
    mode: 'position-hold',
    track: 'assist-down',
    windLimitMps: 4,
    holdOff: false,
    note: 'Joined this season.',
  },
];

/** How far a story goes: each ends in another state of the loop. */
export type Ending =
  | 'to-debrief'
  | 'open'
  | 'drilling'
  | 'stuck'
  | 'waiting'
  | 'check-due'
  | 'check-passed'
  | 'watch'
  | 'signed-early'
  | 'closed'
  | 'added'
  | 'reopened'
  | 'check-failed';

export interface DemoStory {
  readonly pilot: number;
  readonly cause: CauseId;
  readonly kind: OccurrenceFields['kind'];
  readonly daysAgo: number;
  readonly craft: number;
  readonly site: number;
  readonly windMps: number;
  readonly note: string;
  readonly ending: Ending;
}

const story = (
  pilot: number,
  cause: CauseId,
  kind: DemoStory['kind'],
  daysAgo: number,
  craft: number,
  site: number,
  windMps: number,
  ending: Ending,
  note: string,
): DemoStory => ({ pilot, cause, kind, daysAgo, craft, site, windMps, ending, note });

export const DEMO_STORIES: readonly DemoStory[] = [
  story(
    0,
    'orientation-nose-in',
    'crash',
    38,
    0,
    0,
    2.4,
    'check-due',
    'Coming back for landing, pushed right, it went left and into the gorse. Camera mount bent.',
  ),
  story(
    0,
    'obstacle-blind-side',
    'near-miss',
    2,
    0,
    1,
    1.5,
    'to-debrief',
    'Backed off for a wider picture, stopped a pace from the loader.',
  ),
  story(0, 'overcontrol', 'near-miss', 88, 0, 0, 1.2, 'closed', 'Chased the mark, wider each time.'),
  story(
    1,
    'no-gps-drift',
    'crash',
    24,
    0,
    2,
    0.4,
    'drilling',
    'Hold dropped over the plain floor, slid into the tool rack.',
  ),
  story(
    1,
    'no-gps-drift',
    'near-miss',
    12,
    0,
    2,
    0.2,
    'added',
    'Same floor, caught it a metre from the wall.',
  ),
  story(
    1,
    'mode-confusion',
    'near-miss',
    61,
    1,
    0,
    3.1,
    'watch',
    'Thought it was in slow after the pack change.',
  ),
  story(2, 'yaw-tumble', 'crash', 31, 2, 0, 4.2, 'drilling', 'Spun it round downwind, one side dropped.'),
  story(
    2,
    'uncoordinated-turn',
    'near-miss',
    74,
    2,
    0,
    2.0,
    'watch',
    'Yawed for the turn and slid at the fence.',
  ),
  story(
    2,
    'height-loss',
    'near-miss',
    5,
    2,
    0,
    2.8,
    'open',
    'Leaned hard across the strip and nearly met the grass.',
  ),
  story(
    3,
    'obstacle-overrun',
    'crash',
    45,
    0,
    1,
    2.2,
    'check-passed',
    'Saw the face, braked late. Two rotors.',
  ),
  story(
    3,
    'wash-settling',
    'near-miss',
    97,
    0,
    0,
    1.0,
    'closed',
    'Straight down from 40 m, shook, caught at 4 m.',
  ),
  story(4, 'gap-clip', 'crash', 19, 3, 1, 3.0, 'stuck', 'Second gate, off-centre, eyes on the frame.'),
  story(4, 'coasting', 'near-miss', 83, 3, 0, 2.1, 'closed', 'Let go to wipe the rain off.'),
  story(4, 'yaw-tumble', 'crash', 1, 3, 0, 5.5, 'to-debrief', ''),
  story(
    5,
    'wind-displacement',
    'near-miss',
    33,
    1,
    1,
    6.1,
    'waiting',
    'Gust round the quarry corner, three metres sideways.',
  ),
  story(
    5,
    'battery-overrun',
    'crash',
    70,
    1,
    0,
    6.4,
    'signed-early',
    'Out with the wind, came down 60 m short in the heather.',
  ),
  story(
    6,
    'orientation-side-on',
    'near-miss',
    29,
    0,
    0,
    1.8,
    'check-failed',
    'Nose left, pushed forward to come home.',
  ),
  story(6, 'ground-wash', 'crash', 58, 0, 0, 2.6, 'watch', 'Slow lift-off in long grass, tipped.'),
  story(
    7,
    'beyond-sight',
    'near-miss',
    66,
    1,
    0,
    3.3,
    'reopened',
    'On the screen past the sheepfold, could not find it in the sky.',
  ),
  story(7, 'link-loss', 'near-miss', 15, 1, 1, 2.0, 'drilling', 'Video froze behind the face.'),
  story(7, 'failsafe-setting', 'crash', 90, 1, 1, 2.9, 'watch', 'Return height 20 m, crane 34 m.'),
  story(8, 'wrong-stick', 'crash', 4, 0, 0, 1.1, 'open', 'Wanted up, gave yaw, then all of it.'),
  story(8, 'distraction', 'near-miss', 3, 0, 0, 1.4, 'to-debrief', 'Walker asked the way during landing.'),
  story(8, 'overcontrol', 'near-miss', 16, 0, 0, 1.6, 'drilling', 'Big hands on the first hover.'),
];

export const DEMO_MISS_REASONS: readonly MissReason[] = [
  'off-the-mark',
  'wrong-first-move',
  'height',
  'too-late',
];
