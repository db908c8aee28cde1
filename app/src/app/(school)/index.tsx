export { Today as default } from '../../features/today/Today';
