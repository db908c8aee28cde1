export { DebriefSheet as default } from '../../../../screens';
