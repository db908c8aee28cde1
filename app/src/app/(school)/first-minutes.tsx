export { FirstMinutesScreen as default } from '../../lazy';
