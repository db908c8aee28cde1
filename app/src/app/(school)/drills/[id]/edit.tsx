export { EditDrill as default } from '../../../../screens';
