export { DebriefScreen as default } from '../../../../lazy';
