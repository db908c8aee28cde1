/** What a trainer can measure of a rep with a tape or a phone's timer. */
export interface Measure {
  readonly label: string;
  /** SI unit. */
  readonly unit: 'm' | 's';
  readonly step: number;
}

const metres = (label: string, step = 0.5): Measure => ({ label, unit: 'm', step });
const seconds = (label: string, step = 1): Measure => ({ label, unit: 's', step });

/** Drills with a value worth writing down beside met or missed. */
export const MEASURES: Readonly<Record<string, Measure>> = {
  'half-thumb': seconds('Held for'),
  'stick-call': seconds('Usual answer time', 0.1),
  'mirror-call': seconds('Usual answer time', 0.1),
  'pop-up-takeoff': metres('Drift'),
  'tail-in-hover': metres('Worst distance'),
  'fore-aft-line': metres('Overshoot'),
  'lateral-line': metres('Off the line'),
  'pad-landing': metres('Miss distance', 0.1),
  'into-wind-hover': metres('Worst distance'),
  'side-on-hover': metres('Worst distance'),
  'nose-in-hover': metres('Worst distance'),
  'clock-hover': metres('Worst distance'),
  'lead-walk': seconds('Tail-on for', 10),
  'tail-in-ring': metres('Radius error'),
  'lean-and-lift': metres('Height error'),
  'circle-both-ways': metres('Radius error'),
  'circle-height-steps': metres('Height error'),
  'figure-eight': metres('Radius error'),
  'orbit-the-post': metres('Radius error'),
  'safe-posture': seconds('Until safe'),
  'tumble-recovery': metres('Height lost', 1),
  'brake-to-mark': metres('Miss distance'),
  'mode-stop-table': metres('Stopped in'),
  'climb-over': metres('Clearance'),
  'blind-side-brake': metres('Stopped in'),
  'stand-off-judging': metres('Error'),
  'gap-ladder': metres('Off the middle', 0.1),
  'portal-drop': metres('Off the middle', 0.1),
  'under-roof-pass': metres('Height spread', 0.1),
  'hold-off-hover': metres('Worst distance'),
  'hold-off-line': metres('Overshoot'),
  'surprise-hold-loss': metres('Distance lost'),
  'leg-circuit': metres('Mark miss'),
  'crab-leg': metres('Off the line'),
  'airflow-step': metres('Moved'),
  'release-drill': seconds('Hands off within', 0.1),
};
