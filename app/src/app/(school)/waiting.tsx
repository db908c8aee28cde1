export { WaitingScreen as default } from '../../screens';
