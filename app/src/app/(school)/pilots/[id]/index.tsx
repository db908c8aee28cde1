export { PilotScreen as default } from '../../../../lazy';
