/**
 * The debrief, the sums and the school's experience: they share the questions, the ranking and the physics.
 */
export { DebriefScreen } from '../debrief/DebriefScreen';
export { DebriefSheet } from '../debrief/DebriefSheet';
export { FlightCardScreen } from '../sums/FlightCardScreen';
export { SumsScreen } from '../sums/SumsScreen';
export { SchoolScreen } from '../school/SchoolScreen';
