export { EditOccurrence as default } from '../../../../lazy';
