export { SignOffSheet as default } from '../../../../screens';
