export { Today as default } from '../../today/Today';
