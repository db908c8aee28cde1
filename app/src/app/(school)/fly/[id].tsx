export { OwnSakeScreen as default } from '../../../lazy';
