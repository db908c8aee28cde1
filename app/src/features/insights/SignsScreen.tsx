import { causeWords } from '@skelby/copy/causes';
import type { FindWordedDrill } from '@skelby/copy/drill-book';
import {
  DAYS_LATELY,
  type EarlySign,
  earlySigns,
  type Gathering,
  REPS_LATELY,
} from '@skelby/core/insights/early-signs';
import { useSigns } from '../../offline/insights-queries';
import { useDrills } from '../../shared/api/use-drills';
import { plural, STANDING_LINE } from '../../shared/copy/copy';
import { Loaded } from '../../shared/ui/Loaded';
import { LinkRow, Rows } from '../../shared/ui/Rows';
import { Part, Screen } from '../../shared/ui/Screen';
import { Words } from '../../shared/ui/Words';
import { bandName, shortFigure } from './insight-copy';

const of = ({ events, tries }: { readonly events: number; readonly tries: number }) =>
  `${events} of ${tries}`;

function signWords(sign: EarlySign, findDrill: FindWordedDrill): string {
  switch (sign.kind) {
    case 'misses-more': {
      const { drillId, lately, before, flownOn } = sign.of;
      const where = flownOn === 'simulator' ? ' on the simulator' : '';
      return `${findDrill(drillId).name}${where}: ${of(lately)} missed, ${of(before)} before.`;
    }
    case 'near-misses-more': {
      const { lately, before } = sign.of;
      return `${plural(lately.nearMisses, 'near-miss', 'near-misses')} in ${plural(lately.flights, 'flight')} of the last ${DAYS_LATELY} days; ${before.nearMisses} in ${before.flights} in the year before.`;
    }
    case 'check-waits':
      return `The check of “${causeWords(sign.of.causeId).name}” has waited ${plural(sign.days, 'day')}.`;
    case 'not-flown':
      return `No flight for ${plural(sign.days, 'day')}, after ${sign.of.before.flights} in the year before: begin a step lower.`;
  }
}

const placeWords = ({ nearMisses, flights, expected }: Gathering): string =>
  `${plural(nearMisses, 'near-miss', 'near-misses')} in ${plural(flights, 'flight')}; as often as elsewhere would be ${shortFigure(expected)}.`;

/** What may go wrong next, before it has. */
export function SignsScreen() {
  const query = useSigns();
  const { drillOf } = useDrills();
  return (
    <Loaded query={query} title="Early signs" up="/kit">
      {(page) => {
        const { pilots, places } = earlySigns(page);
        return (
          <Screen
            title="Early signs"
            up="/kit"
            aside={
              <Part heading="Where near-misses gather">
                <Rows empty="Nowhere more than chance makes of so much flying.">
                  {places.map((place) => (
                    <LinkRow
                      key={`${place.siteId} ${place.band}`}
                      href={`/sites/${place.siteId}`}
                      title={`${place.siteName}, ${bandName(place.band).toLowerCase()}`}
                      under={placeWords(place)}
                    />
                  ))}
                </Rows>
                {places.length > 0 ? (
                  <Words as="soft">
                    Write at the site what to watch out for: it stands in every go or no-go there.
                  </Words>
                ) : null}
              </Part>
            }
          >
            <Part heading="Pilots to look after">
              <Rows empty="Nobody misses more than before, rests long or waits for a check.">
                {pilots.map(({ pilotId, pilotName, signs }) => (
                  <LinkRow
                    key={pilotId}
                    href={`/pilots/${pilotId}`}
                    title={pilotName}
                    under={signs.map((sign) => signWords(sign, drillOf)).join(' ')}
                  />
                ))}
              </Rows>
            </Part>
            <Words as="soft">
              {`The last ${REPS_LATELY} reps of a drill are held against those before. Of ten pilots who fly as they did, about one is named here in a year by chance. A sign is a reason to look and to ask, never a verdict on a pilot. ${STANDING_LINE}`}
            </Words>
          </Screen>
        );
      }}
    </Loaded>
  );
}
