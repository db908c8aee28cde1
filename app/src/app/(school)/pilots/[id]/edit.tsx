export { EditPilot as default } from '../../../../lazy';
