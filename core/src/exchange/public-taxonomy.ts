import type { CauseId } from '../causes/causes';
import type { Injury } from '../debrief/severity';

/**
 * Occurrences in the words of public reporting. Categories: CAST/ICAO Common Taxonomy Team, Aviation Occurrence
 * Categories 4.7; phases: its Phase of Flight 1.3; injuries: ICAO Annex 13. All from memory: whoever reports looks them
 * over. No pilot is named.
 */
export const OCCURRENCE_CATEGORIES = [
  'LOC-I',
  'LOC-G',
  'CFIT',
  'CTOL',
  'TURB',
  'FUEL',
  'BIRD',
  'SCF-NP',
  'NAV',
  'OTHR',
  'UNK',
] as const;
export type OccurrenceCategory = (typeof OCCURRENCE_CATEGORIES)[number];

/** What a cause is called in public: control that was lost, ground or obstacle met under control, and so on. */
const CATEGORY_OF: Readonly<Record<CauseId, OccurrenceCategory>> = {
  'orientation-nose-in': 'LOC-I',
  'orientation-side-on': 'LOC-I',
  'orientation-lost': 'LOC-I',
  'pilot-relative-trap': 'LOC-I',
  'wash-settling': 'LOC-I',
  'yaw-tumble': 'LOC-I',
  'ground-wash': 'LOC-G',
  overcontrol: 'LOC-I',
  coasting: 'LOC-I',
  'wrong-stick': 'LOC-I',
  'uncoordinated-turn': 'LOC-I',
  'panic-override': 'LOC-I',
  'mode-confusion': 'LOC-I',
  'no-gps-drift': 'LOC-I',
  'height-loss': 'CFIT',
  'obstacle-overrun': 'CFIT',
  'obstacle-blind-side': 'CFIT',
  'obstacle-thin': 'CFIT',
  'obstacle-overhead': 'CFIT',
  'gap-clip': 'CFIT',
  'camera-unread': 'CFIT',
  'wind-displacement': 'TURB',
  'battery-overrun': 'FUEL',
  wildlife: 'BIRD',
  'link-loss': 'SCF-NP',
  'failsafe-setting': 'SCF-NP',
  'heading-fault': 'SCF-NP',
  'craft-fault': 'SCF-NP',
  'wet-weather': 'SCF-NP',
  'beyond-sight': 'NAV',
  'people-near': 'OTHR',
  distraction: 'OTHR',
  'left-undone': 'OTHR',
};

export const FLIGHT_PHASES = [
  'Standing',
  'Take-off',
  'En route',
  'Manoeuvring',
  'Approach',
  'Landing',
  'Unknown',
] as const;
export type FlightPhase = (typeof FLIGHT_PHASES)[number];

const PHASE_OF: Readonly<Record<string, FlightPhase>> = {
  ground: 'Standing',
  takeoff: 'Take-off',
  hover: 'Manoeuvring',
  cruise: 'En route',
  turn: 'Manoeuvring',
  descent: 'Approach',
  gap: 'Manoeuvring',
  return: 'En route',
  landing: 'Landing',
};

/** Whether a doctor's help made it serious (over 48 hours in hospital, a fracture and so on) nobody was asked. */
const INJURY_OF: Readonly<Record<Injury, string>> = {
  none: 'None',
  'first-aid': 'Minor',
  medical: 'Minor or serious',
};

/** What is told of an occurrence in public words. */
export interface PublicOccurrence {
  readonly category: OccurrenceCategory;
  readonly phase: FlightPhase;
  readonly injury: string;
  readonly damage: string;
}

interface Told {
  readonly causeId: CauseId | null;
  readonly phase: string | null;
  readonly injury: Injury | null;
  /** Null: nobody has said. */
  readonly damage: readonly string[] | null;
  readonly kind: string;
}

/** Something met under control as one takes off or lands has a category of its own. */
const NEAR_THE_GROUND: readonly FlightPhase[] = ['Take-off', 'Landing'];

function categoryOf(causeId: CauseId | null, phase: FlightPhase): OccurrenceCategory {
  if (causeId === null) return 'UNK';
  const category = CATEGORY_OF[causeId];
  return category === 'CFIT' && causeId !== 'height-loss' && NEAR_THE_GROUND.includes(phase)
    ? 'CTOL'
    : category;
}

function damageOf({ damage, kind }: Told): string {
  if (damage === null) return kind === 'near-miss' ? 'None' : 'Unknown';
  return damage.length === 0 ? 'None' : 'Minor or substantial';
}

/** An occurrence in the words of public reporting; what was not told is unknown. */
export function inPublicWords(told: Told): PublicOccurrence {
  const phase = PHASE_OF[told.phase ?? ''] ?? 'Unknown';
  return {
    category: categoryOf(told.causeId, phase),
    phase,
    injury: told.injury === null ? 'Unknown' : INJURY_OF[told.injury],
    damage: damageOf(told),
  };
}
