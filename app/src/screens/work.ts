/**
 * The screens that work with drills and charts, with the data and arithmetic they share: weaknesses,
 * counting, the library, sessions,
 * and the pilot's own page.
 */
export { PlanSession } from '../field/PlanSession';
export { Runner } from '../field/Runner';
export { DrillScreen } from '../library/DrillScreen';
export { DrillsScreen } from '../library/DrillsScreen';
export { OwnPage } from '../own/OwnPage';
export { PilotScreen } from '../pilots/PilotScreen';
export { LinkedPractice, PracticeScreen } from '../practice/PracticeScreen';
export { Counter } from '../reps/Counter';
export { PlanScreen } from '../weakness/PlanScreen';
export { SignOffSheet } from '../weakness/SignOffSheet';
export { WeaknessScreen } from '../weakness/WeaknessScreen';
