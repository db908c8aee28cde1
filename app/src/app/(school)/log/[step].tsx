export { Log as default } from '../../../features/log-occurrence/Log';
