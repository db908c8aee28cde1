export { Pilots as default } from '../../../features/pilots/Pilots';
