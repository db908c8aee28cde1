export { WaitingScreen as default } from '../../lazy';
