import { useMe } from '../../offline/account-queries';
import { SignOut } from '../../offline/ui/SignOut';
import { useUnsent } from '../../offline/outbox/use-outbox';
import { useUnits } from '../../shared/api/use-units';
import { LinkButton } from '../../shared/ui/Button';
import { Loaded } from '../../shared/ui/Loaded';
import { LinkRow, Rows } from '../../shared/ui/Rows';
import { Part, Screen } from '../../shared/ui/Screen';
import { Words } from '../../shared/ui/Words';
import { MODE_WORDS, PLACE_WORDS } from '../../shared/copy/copy';
import { useRoster } from '../../offline/overlay/use-roster';

function Account() {
  const me = useMe();
  const unsent = useUnsent();
  if (!me.data) return null;
  return (
    <Part heading="Signed in">
      <Words>{`${me.data.name}, ${me.data.schoolName}`}</Words>
      <LinkButton icon="key" label="Password and devices" href="/account" />
      <SignOut unsent={unsent} waitAt="/waiting" />
    </Part>
  );
}

export function Equipment() {
  const { say } = useUnits();
  const roster = useRoster();
  return (
    <Loaded query={roster} title="Kit">
      {({ craft, sites }) => (
        <Screen
          title="Kit"
          aside={
            <>
              <Part heading="Sites" end={<LinkButton icon="plus" label="Add a site" href="/sites/new" />}>
                <Rows empty="No sites yet. Add the field you fly on.">
                  {sites.map((site) => (
                    <LinkRow
                      key={site.id}
                      href={`/sites/${site.id}`}
                      title={site.name}
                      under={[PLACE_WORDS[site.place], `tallest thing ${say(site.tallestM, 'm')}`, site.note]
                        .filter(Boolean)
                        .join(' · ')}
                    />
                  ))}
                </Rows>
              </Part>
              <Part heading="School">
                <Rows>
                  <LinkRow href="/drills" title="Drills" under="All of them, with the sticks in motion" />
                </Rows>
                <Rows>
                  <LinkRow
                    href="/school"
                    title="Units and experience"
                    under="What numbers are read in, and what our debriefs have taught the ranking"
                  />
                </Rows>
              </Part>
              <Account />
            </>
          }
        >
          <Part heading="Craft" end={<LinkButton icon="plus" label="Add a craft" href="/craft/new" />}>
            <LinkButton
              kind="quiet"
              icon="credit-card"
              label="Craft cards: modes, stops, sensors"
              href="/craft/cards"
            />
            <Rows empty="No craft yet. Add the one you teach on.">
              {craft.map((each) => (
                <LinkRow
                  key={each.id}
                  href={`/craft/${each.id}`}
                  title={each.name}
                  under={[
                    MODE_WORDS[each.mode],
                    `${each.massKg} kg`,
                    `${say(each.spanM, 'm')} wide`,
                    each.note,
                  ]
                    .filter(Boolean)
                    .join(' · ')}
                />
              ))}
            </Rows>
          </Part>
        </Screen>
      )}
    </Loaded>
  );
}
