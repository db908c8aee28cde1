export { EditFlight as default } from '../../../screens';
