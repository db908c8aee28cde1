export { PeopleScreen as default } from '../../../lazy';
