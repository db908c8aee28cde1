export { EditPilot as default } from '../../../../screens';
