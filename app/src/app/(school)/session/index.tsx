export { PlanSession as default } from '../../../screens';
