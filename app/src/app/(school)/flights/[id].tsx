export { EditFlight as default } from '../../../lazy';
