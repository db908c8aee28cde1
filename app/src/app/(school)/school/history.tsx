export { HistoryScreen as default } from '../../../lazy';
