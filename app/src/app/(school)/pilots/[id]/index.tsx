export { PilotScreen as default } from '../../../../pilots/PilotScreen';
