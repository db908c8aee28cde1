import { useMe, useSignOut } from '../session/session-queries';
import { useWaiting } from '../outbox/use-outbox';
import { useUnits } from '../api/use-units';
import { Button, LinkButton } from '../ui/Button';
import { Loaded } from '../ui/Loaded';
import { LinkRow, Rows } from '../ui/Rows';
import { Part, Screen } from '../ui/Screen';
import { Words } from '../ui/Words';
import { MODE_WORDS, PLACE_WORDS } from '../words/words';
import { useRoster } from './kit-queries';

function Account() {
  const me = useMe();
  const signOut = useSignOut();
  const waiting = useWaiting();
  if (!me.data) return null;
  return (
    <Part heading="Signed in">
      <Words>{`${me.data.name}, ${me.data.schoolName}`}</Words>
      {signOut.error ? <Words as="strong" role="alert">{`! ${signOut.error.message}`}</Words> : null}
      {waiting.length > 0 ? <Words as="soft">Sign out once everything on this phone has been sent.</Words> : <Button label="Sign out" icon="log-out" onPress={() => signOut.mutate()} />}
    </Part>
  );
}

export function Kit() {
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
                  {sites.map((site) => <LinkRow key={site.id} href={`/sites/${site.id}`} title={site.name} under={[PLACE_WORDS[site.place], `tallest thing ${say(site.tallestM, 'm')}`, site.note].filter(Boolean).join(' · ')} />)}
                </Rows>
              </Part>
              <Part heading="School">
                <Rows><LinkRow href="/school" title="Units and experience" under="What numbers are read in, and what our debriefs have taught the ranking" /></Rows>
              </Part>
              <Account />
            </>
          }
        >
          <Part heading="Craft" end={<LinkButton icon="plus" label="Add a craft" href="/craft/new" />}>
            <Rows empty="No craft yet. Add the one you teach on.">
              {craft.map((each) => <LinkRow key={each.id} href={`/craft/${each.id}`} title={each.name} under={[MODE_WORDS[each.mode], `${each.massKg} kg`, `${say(each.spanM, 'm')} wide`, each.note].filter(Boolean).join(' · ')} />)}
            </Rows>
          </Part>
        </Screen>
      )}
    </Loaded>
  );
}
