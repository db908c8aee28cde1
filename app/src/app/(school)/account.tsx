export { OwnAccountScreen as default } from '../../lazy';
