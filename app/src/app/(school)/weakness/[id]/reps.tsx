export { Counter as default } from '../../../../lazy';
