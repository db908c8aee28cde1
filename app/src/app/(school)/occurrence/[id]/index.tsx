import { OccurrenceScreen } from '../../../../features/occurrence/OccurrenceScreen';
import { FlownPart } from '../../../../lazy';

/** What belongs to a recorded flight comes when there is one: few entries have. */
export default function Occurrence() {
  return <OccurrenceScreen ofFlight={FlownPart} />;
}
