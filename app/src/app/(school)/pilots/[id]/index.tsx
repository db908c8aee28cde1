export { PilotScreen as default } from '../../../../screens';
