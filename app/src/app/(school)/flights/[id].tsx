export { EditFlight as default } from '../../../kit/EditRecord';
