import type { Roster } from '@skelby/core/pages/pages';
import type { SessionFields } from '@skelby/core/schemas/session';
import type { Href } from 'expo-router';
import { LinkButton } from '../../shared/ui/Button';
import { Note } from '../../shared/ui/Note';
import { Row, Rows } from '../../shared/ui/Rows';
import { Part, Screen } from '../../shared/ui/Screen';
import { Words } from '../../shared/ui/Words';

/** To the flight files of a session, with its site and wind, and its pilot where there was one. */
function filesHref({ packs, siteId, windMps }: SessionFields): Href {
  const pilots = [...new Set(packs.map(({ pilotId }) => pilotId))];
  const known = new URLSearchParams({ wind: String(windMps) });
  if (siteId) known.set('site', siteId);
  if (pilots.length === 1) known.set('pilot', pilots[0]!);
  return `/flights/day?${known.toString()}` as Href;
}

/** A session that was flown. */
export function SessionOver({
  content,
  roster,
}: {
  readonly content: SessionFields;
  readonly roster: Roster;
}) {
  const nameOf = (id: string) => roster.pilots.find((pilot) => pilot.id === id)?.name ?? '';
  return (
    <Screen
      title="Session over"
      under={content.day}
      up="/"
      foot={<LinkButton kind="solid" label="To Today" href="/" />}
    >
      {content.own.length > 0 ? (
        <Part heading="What the pilots saw">
          <Rows>
            {content.own.map((each, i) => (
              <Row
                key={i}
                title={`${nameOf(each.pilotId)}, pack ${each.pack}`}
                under={[
                  each.mistakes.join('; ') || 'Nothing noted.',
                  each.next ? `Next: ${each.next}.` : null,
                ]
                  .filter(Boolean)
                  .join(' ')}
              />
            ))}
          </Rows>
        </Part>
      ) : null}
      {content.goNoGo?.reason ? (
        <Note icon="alert-triangle" heading="Flown against a no-go">
          {content.goNoGo.reason}
        </Note>
      ) : null}
      <Words>Batteries out, motors cold. What was flown stands with each weakness.</Words>
      <LinkButton icon="layers" label="Bring in its flight files" href={filesHref(content)} />
    </Screen>
  );
}
