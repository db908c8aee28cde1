export { EditSite as default } from '../../../kit/EditRecord';
