export { PRE_LANDING } from './en/pre-landing';
