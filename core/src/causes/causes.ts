import type { Cause } from './cause';

/** Drill choice: common practice among flying instructors. */
const ROWS = [
  {
    id: 'orientation-nose-in',
    family: 'orientation',
    drills: [
      'mirror-call',
      'side-on-hover',
      'nose-in-hover',
      'clock-hover',
      'tail-in-ring',
      'home-by-readout',
    ],
    key: ['nose-in-hover', 'clock-hover'],
  },
  {
    id: 'orientation-side-on',
    family: 'orientation',
    drills: ['lateral-line', 'side-on-hover', 'lead-walk', 'clock-hover'],
    key: ['side-on-hover', 'clock-hover'],
  },
  {
    id: 'orientation-lost',
    family: 'orientation',
    drills: ['clock-hover', 'look-away-recover', 'home-by-readout', 'safe-posture'],
    key: ['home-by-readout', 'look-away-recover'],
  },
  {
    id: 'pilot-relative-trap',
    family: 'orientation',
    drills: ['clock-hover', 'relative-mode-discipline'],
    key: ['clock-hover', 'relative-mode-discipline'],
  },
  {
    id: 'wash-settling',
    family: 'own-wash',
    drills: ['slow-vertical', 'slant-descent', 'zigzag-descent', 'wash-exit'],
    key: ['slant-descent', 'zigzag-descent'],
  },
  {
    id: 'yaw-tumble',
    family: 'own-wash',
    drills: ['banked-s', 'power-turn', 'downwind-turn', 'tumble-recovery', 'outside-lean'],
    key: ['power-turn', 'downwind-turn'],
  },
  {
    id: 'ground-wash',
    family: 'own-wash',
    drills: ['pop-up-takeoff', 'pad-landing'],
    key: ['pop-up-takeoff', 'pad-landing'],
  },
  {
    id: 'obstacle-overrun',
    family: 'obstacles',
    drills: ['brake-to-mark', 'mode-stop-table', 'climb-over', 'sensor-find-out'],
    key: ['brake-to-mark', 'climb-over'],
  },
  {
    id: 'obstacle-blind-side',
    family: 'obstacles',
    drills: ['recce-walk', 'turn-then-go', 'blind-side-brake', 'orbit-the-post'],
    key: ['turn-then-go', 'blind-side-brake'],
  },
  {
    id: 'obstacle-thin',
    family: 'obstacles',
    drills: ['recce-walk', 'stand-off-judging', 'slow-slalom'],
    key: ['stand-off-judging', 'slow-slalom'],
  },
  {
    id: 'obstacle-overhead',
    family: 'obstacles',
    drills: ['failsafe-brief', 'gap-ladder', 'under-roof-pass', 'return-takeover'],
    key: ['under-roof-pass', 'return-takeover'],
  },
  {
    id: 'gap-clip',
    family: 'obstacles',
    drills: ['breathe-and-brief', 'soft-centre-stick', 'gap-ladder', 'gap-chain', 'portal-drop'],
    key: ['gap-ladder', 'gap-chain'],
  },
  {
    id: 'no-gps-drift',
    family: 'hold-and-air',
    drills: ['hold-off-hover', 'hold-off-line', 'surprise-hold-loss', 'leg-circuit'],
    key: ['hold-off-hover', 'surprise-hold-loss'],
  },
  {
    id: 'wind-displacement',
    family: 'hold-and-air',
    drills: ['into-wind-hover', 'crab-leg', 'airflow-step', 'leg-circuit', 'downwind-turn'],
    key: ['into-wind-hover', 'crab-leg'],
  },
  {
    id: 'overcontrol',
    family: 'stick-handling',
    drills: ['single-stick', 'half-thumb', 'soft-centre-stick', 'tail-in-hover', 'tilt-hands'],
    key: ['half-thumb', 'tail-in-hover'],
  },
  {
    id: 'coasting',
    family: 'stick-handling',
    drills: ['tail-in-hover', 'never-coast', 'safe-posture'],
    key: ['tail-in-hover', 'never-coast'],
  },
  {
    id: 'uncoordinated-turn',
    family: 'stick-handling',
    drills: ['yaw-alone', 'skid-turn', 'roll-then-look', 'circle-both-ways', 'figure-eight'],
    key: ['roll-then-look', 'circle-both-ways'],
  },
  {
    id: 'height-loss',
    family: 'stick-handling',
    drills: ['lean-and-lift', 'circle-height-steps', 'leg-circuit'],
    key: ['lean-and-lift', 'circle-height-steps'],
  },
  {
    id: 'wrong-stick',
    family: 'stick-handling',
    drills: ['stick-call', 'motor-cut-discipline', 'single-stick', 'tail-in-hover'],
    key: ['single-stick'],
  },
  {
    id: 'mode-confusion',
    family: 'settings',
    drills: ['mode-readback', 'brake-to-mark', 'setting-readback', 'mode-stop-table'],
    key: ['mode-readback', 'setting-readback'],
  },
  {
    id: 'failsafe-setting',
    family: 'settings',
    drills: ['failsafe-brief', 'lost-link-choice', 'return-takeover'],
    key: ['lost-link-choice', 'return-takeover'],
  },
  {
    id: 'heading-fault',
    family: 'settings',
    drills: ['preflight-aloud', 'calibrate-here', 'hold-off-hover', 'surprise-hold-loss'],
    key: ['calibrate-here', 'hold-off-hover'],
  },
  {
    id: 'battery-overrun',
    family: 'energy-and-link',
    drills: ['upwind-first', 'turn-back-call', 'land-by-reserve'],
    key: ['turn-back-call', 'land-by-reserve'],
  },
  {
    id: 'link-loss',
    family: 'energy-and-link',
    drills: ['link-walk', 'failsafe-brief', 'lost-link-choice', 'return-takeover'],
    key: ['lost-link-choice', 'return-takeover'],
  },
  {
    id: 'beyond-sight',
    family: 'energy-and-link',
    drills: ['stand-off-judging', 'clock-hover', 'home-by-readout'],
    key: ['home-by-readout', 'stand-off-judging'],
  },
  {
    id: 'distraction',
    family: 'person-and-surroundings',
    humanFactor: true,
    drills: ['spotter-shield', 'pause-then-talk'],
    key: ['pause-then-talk'],
  },
  {
    id: 'panic-override',
    family: 'person-and-surroundings',
    humanFactor: true,
    drills: ['breathe-and-brief', 'chop-decision', 'release-drill', 'safe-posture'],
    key: ['release-drill', 'safe-posture'],
  },
  {
    id: 'wildlife',
    family: 'person-and-surroundings',
    drills: ['recce-walk', 'slant-descent', 'leave-low'],
    key: ['leave-low'],
  },
  {
    id: 'wet-weather',
    family: 'person-and-surroundings',
    drills: ['go-no-go', 'preflight-aloud', 'hover-check'],
    key: ['go-no-go'],
  },
  {
    id: 'craft-fault',
    family: 'person-and-surroundings',
    drills: ['preflight-aloud', 'hover-check'],
    key: ['preflight-aloud'],
  },
  {
    id: 'people-near',
    family: 'person-and-surroundings',
    drills: ['recce-walk', 'go-no-go', 'clear-the-line'],
    key: ['clear-the-line'],
  },
  {
    id: 'camera-unread',
    family: 'person-and-surroundings',
    drills: ['recce-walk', 'camera-set', 'camera-scan'],
    key: ['camera-scan'],
  },
  {
    id: 'left-undone',
    family: 'person-and-surroundings',
    drills: ['preflight-aloud', 'prelanding-aloud'],
    key: ['preflight-aloud', 'prelanding-aloud'],
  },
] as const satisfies readonly Cause[];
export type CauseId = (typeof ROWS)[number]['id'];

export const CAUSES: readonly Cause<CauseId>[] = ROWS;

const BY_ID: ReadonlyMap<string, Cause<CauseId>> = new Map(CAUSES.map((cause) => [cause.id, cause]));

/** @throws RangeError when no cause has this id */
export function causeOf(id: string): Cause<CauseId> {
  const cause = BY_ID.get(id);
  if (!cause) throw new RangeError(`There is no cause "${id}".`);
  return cause;
}

export const isCauseId = (id: string): id is CauseId => BY_ID.has(id);
