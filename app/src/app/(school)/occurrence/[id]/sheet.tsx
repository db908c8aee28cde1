export { DebriefSheet as default } from '../../../../lazy';
