export { SchoolScreen as default } from '../../screens';
