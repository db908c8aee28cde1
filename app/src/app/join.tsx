export { JoinScreen as default } from '../lazy';
