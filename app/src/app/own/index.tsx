export { OwnPage as default } from '../../screens';
