export { OccurrenceScreen as default } from '../../../../occurrence/OccurrenceScreen';
