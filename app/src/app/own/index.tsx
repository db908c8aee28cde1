export { OwnPage as default } from '../../lazy';
