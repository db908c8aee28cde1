export { PlanScreen as default } from '../../../../weakness/PlanScreen';
