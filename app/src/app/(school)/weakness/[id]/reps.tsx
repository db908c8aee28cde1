export { Counter as default } from '../../../../screens';
