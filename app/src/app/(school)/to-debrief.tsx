export { ToDebriefScreen as default } from '../../features/today/ToDebriefScreen';
