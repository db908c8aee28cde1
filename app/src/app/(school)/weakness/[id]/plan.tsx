export { PlanScreen as default } from '../../../../screens';
