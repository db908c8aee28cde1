export { SumsScreen as default } from '../../../lazy';
