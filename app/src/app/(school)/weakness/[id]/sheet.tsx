export { SignOffSheet as default } from '../../../../lazy';
