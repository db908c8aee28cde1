export { EditSite as default } from '../../../screens';
