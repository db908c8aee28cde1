import type { SessionFields } from '@skelby/core/schemas/session';
import { useDrills } from '../../shared/api/use-drills';
import { useUnits } from '../../shared/api/use-units';
import { Note } from '../../shared/ui/Note';
import { refusedIn } from '@skelby/core/go-no-go/session';
import { sessionChecks } from './session-checks';
import type { BlockProps } from './use-block';

/** What speaks against this block now, whatever was in order when the session began. */
export function NotNow({
  session,
  roster,
  list,
  block,
}: Pick<BlockProps, 'session' | 'roster' | 'list' | 'block'>) {
  const { drillOf } = useDrills();
  const { sentence } = useUnits();
  const refused = refusedIn(
    sessionChecks(
      {
        content: {
          ...session.content,
          packs: [{ pilotId: block.pilotId, blocks: [block] }],
        } as SessionFields,
        roster,
        site: roster.sites.find((each) => each.id === session.content.siteId) ?? null,
        weaknesses: list.weaknesses,
      },
      drillOf,
    ),
  );
  return (
    <>
      {refused.map(({ id, words, remedy }) => (
        <Note key={id} icon="slash" heading="No-go now">
          {sentence(`${words} ${remedy ?? ''}.`)}
        </Note>
      ))}
    </>
  );
}
