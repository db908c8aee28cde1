export { Runner as default } from '../../../lazy';
