export { EditDrill as default } from '../../../../lazy';
