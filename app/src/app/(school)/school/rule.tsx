export { RuleScreen as default } from '../../../lazy';
