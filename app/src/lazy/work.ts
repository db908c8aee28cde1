/**
 * The screens that work with drills and charts, with the data and arithmetic they share: weaknesses,
 * counting, the library, sessions,
 * and the pilot's own page.
 */
export { FirstMinutesScreen } from '../features/first-minutes/FirstMinutesScreen';
export { CraftCards } from '../features/equipment/CraftCards';
export { PlanSession } from '../features/training-session/PlanSession';
export { Runner } from '../features/training-session/Runner';
export { DrillScreen } from '../features/drill-library/DrillScreen';
export { DrillsScreen } from '../features/drill-library/DrillsScreen';
export { OwnPage, OwnPageSignedIn } from '../features/pilot-portal/OwnPage';
export { PilotScreen } from '../features/pilots/PilotScreen';
export { LinkedPractice, PracticeScreen } from '../features/simulator/PracticeScreen';
export { OwnSakeScreen } from '../features/simulator/OwnSakeScreen';
export { CourseCounter } from '../features/course/CourseCounter';
export { CourseOverview } from '../features/course/CourseOverview';
export { CourseScreen } from '../features/course/CourseScreen';
export { Counter } from '../features/reps/Counter';
export { PlanScreen } from '../features/weakness/PlanScreen';
export { SignOffSheet } from '../features/weakness/SignOffSheet';
export { WeaknessScreen } from '../features/weakness/WeaknessScreen';
export { PeopleScreen } from '../features/people/PeopleScreen';
export { OwnAccountScreen } from '../features/people/OwnAccountScreen';
export { FlightDayScreen } from '../features/flight-viewer/FlightDayScreen';
export { FlightFileScreen } from '../features/flight-viewer/FlightFileScreen';
export { SearchScreen } from '../features/search/SearchScreen';
export { HelpScreen } from '../features/help/HelpScreen';
export { JoinScreen } from '../features/people/JoinScreen';
export { FlownPart } from '../features/occurrence/FlownPart';
export { FilesWaiting } from '../offline/flight-files/FilesWaiting';
export { SandboxStrip } from '../offline/ui/SandboxStrip';
export { UndoLine } from '../shared/ui/UndoLine';
