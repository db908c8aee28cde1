export { MethodsScreen as default } from '../../../lazy';
