export { EditOccurrence as default } from '../../../../screens';
