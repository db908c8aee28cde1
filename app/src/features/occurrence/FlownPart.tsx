import { READERS_EDITION } from '@skelby/core/flight-reading/edition';
import type { OccurrenceOfPilot } from '@skelby/core/pages/pages';
import { useMay } from '../../shared/api/use-may';
import { clockOf } from '../../shared/copy/clock';
import { plural } from '../../shared/copy/copy';
import { LinkButton } from '../../shared/ui/Button';
import { Part } from '../../shared/ui/Screen';
import { Words } from '../../shared/ui/Words';

/** The moment of a flight that the entry was made of, and what of it the flight answers. */
export function FlownPart({
  occurrence: { id, flown, pilotId },
}: {
  readonly occurrence: OccurrenceOfPilot;
}) {
  const mayTakeOut = useMay('take-out');
  if (!flown) return null;
  const { name, fileId, atS, readers, evidence } = flown;
  const asked = new URLSearchParams({ name, at: String(atS), entry: id, pilot: pilotId });
  return (
    <Part heading="From a flight">
      <Words>{`${clockOf(atS)} of ${name}: ${plural(Object.keys(evidence).length, 'answer')} of the debrief.`}</Words>
      {fileId && mayTakeOut ? (
        <LinkButton
          icon="activity"
          label={
            readers < READERS_EDITION ? 'Read it again: flights are read better now' : 'Look at the flight'
          }
          href={`/flights/file?kept=${fileId}&${asked.toString()}` as never}
        />
      ) : null}
      {fileId ? null : <Words as="soft">The file stayed where it was read.</Words>}
    </Part>
  );
}
