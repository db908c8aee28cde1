export { DebriefScreen as default } from '../../../../screens';
