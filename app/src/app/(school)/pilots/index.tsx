export { Pilots as default } from '../../../pilots/Pilots';
