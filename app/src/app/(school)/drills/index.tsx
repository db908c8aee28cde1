export { DrillsScreen as default } from '../../../lazy';
