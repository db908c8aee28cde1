import { useMe } from '../../offline/account-queries';
import { useUnsent } from '../../offline/outbox/use-outbox';
import { useRoster } from '../../offline/overlay/use-roster';
import { SignOut } from '../../offline/ui/SignOut';
import { useUnits } from '../../shared/api/use-units';
import { MODE_WORDS, PLACE_WORDS } from '../../shared/copy/copy';
import { LinkButton } from '../../shared/ui/Button';
import { Loaded } from '../../shared/ui/Loaded';
import { May } from '../../shared/ui/May';
import { LinkRow, Rows } from '../../shared/ui/Rows';
import { Part, Screen } from '../../shared/ui/Screen';
import { Words } from '../../shared/ui/Words';
import type { Roster } from '@skelby/core/pages/pages';

function Account() {
  const me = useMe();
  const unsent = useUnsent();
  if (!me.data) return null;
  return (
    <Part heading="Signed in">
      <Words>{`${me.data.name}, ${me.data.schoolName}`}</Words>
      {me.data.sandbox ? null : <LinkButton icon="key" label="Password and devices" href="/account" />}
      <SignOut unsent={unsent} waitAt="/waiting" />
    </Part>
  );
}

function Craft({ craft }: Pick<Roster, 'craft'>) {
  const { say } = useUnits();
  return (
    <Part heading="Craft" end={<LinkButton icon="plus" label="Add a craft" href="/craft/new" />}>
      {craft.length > 0 ? (
        <LinkButton
          kind="quiet"
          icon="credit-card"
          label="Craft cards: modes, stops, sensors"
          href="/craft/cards"
        />
      ) : null}
      <Rows empty="No craft yet. Add the one you teach on.">
        {craft.map((each) => (
          <LinkRow
            key={each.id}
            href={`/craft/${each.id}`}
            title={each.name}
            under={[MODE_WORDS[each.mode], `${each.massKg} kg`, `${say(each.spanM, 'm')} wide`, each.note]
              .filter(Boolean)
              .join(' · ')}
          />
        ))}
      </Rows>
    </Part>
  );
}

function Sites({ sites }: Pick<Roster, 'sites'>) {
  const { say } = useUnits();
  return (
    <Part heading="Sites" end={<LinkButton icon="plus" label="Add a site" href="/sites/new" />}>
      <Rows empty="No sites yet. Add the field you fly on.">
        {sites.map((site) => (
          <LinkRow
            key={site.id}
            href={`/sites/${site.id}`}
            title={site.name}
            under={[
              site.hazard ? `Watch out: ${site.hazard}` : null,
              PLACE_WORDS[site.place],
              `tallest thing ${say(site.tallestM, 'm')}`,
              site.note,
            ]
              .filter(Boolean)
              .join(' · ')}
          />
        ))}
      </Rows>
    </Part>
  );
}

/** What is seldom needed on the field, and the way out. */
export function More() {
  const roster = useRoster();
  return (
    <Loaded query={roster} title="More">
      {({ craft, sites }) => (
        <Screen
          title="More"
          aside={
            <>
              <Sites sites={sites} />
              <Account />
            </>
          }
        >
          <Rows>
            <LinkRow href="/search" title="Find" under="Pilots, entries, drills, sites and craft by a word" />
            <LinkRow href="/flights" title="Flights" under="What was flown, day by day" />
            <LinkRow
              href="/signs"
              title="Early signs"
              under="Pilots and places to look after before it breaks"
            />
            <LinkRow href="/insights" title="Insight" under="How often, where, and whether it gets better" />
            <May right="train">
              <LinkRow
                href="/agreement"
                title="Same case, same cause?"
                under="Judge made-up cases alone, then see what others said"
              />
            </May>
            <LinkRow
              href="/school"
              title="School"
              under="Units, clearing rule, people, history, files in and out"
            />
            <LinkRow href="/help" title="Help" under="The first five minutes, and every word of ours" />
          </Rows>
          <Craft craft={craft} />
        </Screen>
      )}
    </Loaded>
  );
}
