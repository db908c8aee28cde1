export { OccurrenceScreen as default } from '../../../../features/occurrence/OccurrenceScreen';
