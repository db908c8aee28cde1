export { SumsScreen as default } from '../../../screens';
