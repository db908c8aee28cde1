export { Runner as default } from '../../../screens';
