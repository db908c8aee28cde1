export { SearchScreen as default } from '../../lazy';
