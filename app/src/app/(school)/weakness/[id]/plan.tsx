export { PlanScreen as default } from '../../../../lazy';
