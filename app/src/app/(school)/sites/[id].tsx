export { EditSite as default } from '../../../lazy';
