import { later } from '../ui/later';

const work = () => import('./work');
export const WeaknessScreen = later(work, (all) => all.WeaknessScreen);
export const PlanScreen = later(work, (all) => all.PlanScreen);
export const SignOffSheet = later(work, (all) => all.SignOffSheet);
export const Counter = later(work, (all) => all.Counter);
export const PilotScreen = later(work, (all) => all.PilotScreen);
export const DrillsScreen = later(work, (all) => all.DrillsScreen);
export const DrillScreen = later(work, (all) => all.DrillScreen);
export const PlanSession = later(work, (all) => all.PlanSession);
export const Runner = later(work, (all) => all.Runner);
export const OwnPage = later(work, (all) => all.OwnPage);

const forms = () => import('./forms');
export const EditPilot = later(forms, (all) => all.EditPilot);
export const EditCraft = later(forms, (all) => all.EditCraft);
export const EditSite = later(forms, (all) => all.EditSite);
export const EditFlight = later(forms, (all) => all.EditFlight);
export const WaitingScreen = later(forms, (all) => all.WaitingScreen);
export const EditDrill = later(forms, (all) => all.EditDrill);
export const EditOccurrence = later(forms, (all) => all.EditOccurrence);

const debrief = () => import('./debrief');
export const DebriefScreen = later(debrief, (all) => all.DebriefScreen);
export const DebriefSheet = later(debrief, (all) => all.DebriefSheet);
export const FlightCardScreen = later(debrief, (all) => all.FlightCardScreen);
export const SumsScreen = later(debrief, (all) => all.SumsScreen);
export const SchoolScreen = later(debrief, (all) => all.SchoolScreen);
