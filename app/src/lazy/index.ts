import { provideArithmetic } from '../offline/overlay/arithmetic';
import { later, laterPart } from '../shared/ui/later';

/** One piece: what two pieces shared would have to come with the first page. */
const beyond = () => import('./beyond-today');
/** Fetches the arithmetic that lists need once something waits on this phone. */
export const loadArithmetic = (): void =>
  void beyond().catch(() => {
    // Neither signal nor a copy of it: lists show what was read.
    provideArithmetic(null);
  });

export const WeaknessScreen = later(beyond, (all) => all.WeaknessScreen);
export const PlanScreen = later(beyond, (all) => all.PlanScreen);
export const SignOffSheet = later(beyond, (all) => all.SignOffSheet);
export const Counter = later(beyond, (all) => all.Counter);
export const CourseCounter = later(beyond, (all) => all.CourseCounter);
export const CourseOverview = later(beyond, (all) => all.CourseOverview);
export const CourseScreen = later(beyond, (all) => all.CourseScreen);
export const PilotScreen = later(beyond, (all) => all.PilotScreen);
export const DrillsScreen = later(beyond, (all) => all.DrillsScreen);
export const DrillScreen = later(beyond, (all) => all.DrillScreen);
export const PlanSession = later(beyond, (all) => all.PlanSession);
export const Runner = later(beyond, (all) => all.Runner);
export const PracticeScreen = later(beyond, (all) => all.PracticeScreen);
export const OwnSakeScreen = later(beyond, (all) => all.OwnSakeScreen);
export const LinkedPractice = later(beyond, (all) => all.LinkedPractice);
export const OwnPage = later(beyond, (all) => all.OwnPage);
export const OwnPageSignedIn = later(beyond, (all) => all.OwnPageSignedIn);

export const EditPilot = later(beyond, (all) => all.EditPilot);
export const EditCraft = later(beyond, (all) => all.EditCraft);
export const CraftCards = later(beyond, (all) => all.CraftCards);
export const EditSite = later(beyond, (all) => all.EditSite);
export const EditFlight = later(beyond, (all) => all.EditFlight);
export const WaitingScreen = later(beyond, (all) => all.WaitingScreen);
export const EditDrill = later(beyond, (all) => all.EditDrill);
export const EditOccurrence = later(beyond, (all) => all.EditOccurrence);

export const DebriefScreen = later(beyond, (all) => all.DebriefScreen);
export const DebriefSheet = later(beyond, (all) => all.DebriefSheet);
export const FlightCardScreen = later(beyond, (all) => all.FlightCardScreen);
export const SumsScreen = later(beyond, (all) => all.SumsScreen);
export const SchoolScreen = later(beyond, (all) => all.SchoolScreen);
export const FirstMinutesScreen = later(beyond, (all) => all.FirstMinutesScreen);
export const SearchScreen = later(beyond, (all) => all.SearchScreen);
export const AgreementScreen = later(beyond, (all) => all.AgreementScreen);
export const SignsScreen = later(beyond, (all) => all.SignsScreen);
export const InsightsScreen = later(beyond, (all) => all.InsightsScreen);
export const MethodsScreen = later(beyond, (all) => all.MethodsScreen);
export const OwnMethodsScreen = later(beyond, (all) => all.OwnMethodsScreen);
export const RuleScreen = later(beyond, (all) => all.RuleScreen);
export const HistoryScreen = later(beyond, (all) => all.HistoryScreen);
export const PeopleScreen = later(beyond, (all) => all.PeopleScreen);
export const OwnAccountScreen = later(beyond, (all) => all.OwnAccountScreen);
export const FlightDayScreen = later(beyond, (all) => all.FlightDayScreen);
export const FlightFileScreen = later(beyond, (all) => all.FlightFileScreen);
export const HelpScreen = later(beyond, (all) => all.HelpScreen);
export const JoinScreen = later(beyond, (all) => all.JoinScreen);
export const FlownPart = laterPart(beyond, (all) => all.FlownPart);
export const FilesWaiting = laterPart(beyond, (all) => all.FilesWaiting);
export const SandboxStrip = laterPart(beyond, (all) => all.SandboxStrip);
export const UndoLine = laterPart(beyond, (all) => all.UndoLine);
