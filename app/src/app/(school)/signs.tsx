export { SignsScreen as default } from '../../lazy';
