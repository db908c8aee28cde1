export { OwnMethodsScreen as default } from '../../../../lazy';
