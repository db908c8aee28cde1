/** The screens that work with drills and charts, with the data and arithmetic they share. */
export { PilotScreen } from '../pilots/PilotScreen';
export { Counter } from '../reps/Counter';
export { SignOffSheet } from '../weakness/SignOffSheet';
export { PlanScreen } from '../weakness/PlanScreen';
export { WeaknessScreen } from '../weakness/WeaknessScreen';
