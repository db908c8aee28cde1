/**
 * The debrief, the sums and the school's experience: they share the questions, the ranking and the physics.
 */
export { DebriefScreen } from '../features/debrief/DebriefScreen';
export { DebriefSheet } from '../features/debrief/DebriefSheet';
export { FlightCardScreen } from '../features/flight-card/FlightCardScreen';
export { SumsScreen } from '../features/sums/SumsScreen';
export { AgreementScreen } from '../features/agreement/AgreementScreen';
export { SignsScreen } from '../features/insights/SignsScreen';
export { InsightsScreen } from '../features/insights/InsightsScreen';
export { HistoryScreen } from '../features/school/HistoryScreen';
export { MethodsScreen } from '../features/methods/MethodsScreen';
export { OwnMethodsScreen } from '../features/methods/OwnMethodsScreen';
export { RuleScreen } from '../features/school/RuleScreen';
export { SchoolScreen } from '../features/school/SchoolScreen';
