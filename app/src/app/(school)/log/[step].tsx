export { Log as default } from '../../../log/Log';
