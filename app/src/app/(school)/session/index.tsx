export { PlanSession as default } from '../../../lazy';
