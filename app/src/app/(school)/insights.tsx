export { InsightsScreen as default } from '../../lazy';
