/** Planning a session and running it in the field. */
export { PlanSession } from '../field/PlanSession';
export { Runner } from '../field/Runner';
