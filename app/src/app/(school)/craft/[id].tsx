export { EditCraft as default } from '../../../kit/EditRecord';
