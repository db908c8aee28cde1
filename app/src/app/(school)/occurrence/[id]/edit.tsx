export { EditOccurrence as default } from '../../../../kit/EditRecord';
