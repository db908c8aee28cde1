export { SchoolScreen as default } from '../../../lazy';
