export { EditPilot as default } from '../../../../kit/EditRecord';
