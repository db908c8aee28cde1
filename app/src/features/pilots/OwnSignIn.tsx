import type { PilotPage } from '@skelby/core/pages/pages';
import { useMutation } from '@tanstack/react-query';
import { postFor } from '../../shared/api/client';
import { Button } from '../../shared/ui/Button';
import { LinkToPassOn } from '../../shared/ui/LinkToPassOn';
import { Words } from '../../shared/ui/Words';

/** An account of the pilot's own, beside the links: made by the pilot, from an invitation. */
export function OwnSignIn({ pilot }: Pick<PilotPage, 'pilot'>) {
  const invite = useMutation({
    mutationFn: () => postFor<{ token: string }>(`/pilots/${pilot.id}/account`, {}),
  });
  return (
    <>
      <Words as="soft">
        For longer than a link: an account of their own, which opens their own page and nothing else.
      </Words>
      {invite.error ? <Words as="strong" role="alert">{`! ${invite.error.message}`}</Words> : null}
      {invite.data ? (
        <LinkToPassOn
          // Behind the # it stays in the browser: no server and no other site is told it.
          address={`${window.location.origin}/join#${invite.data.token}`}
          title="Your Skelby sign-in"
          lasts="It is shown this once, opens once, and for seven days."
        />
      ) : (
        <Button
          icon="user-plus"
          label={invite.isPending ? 'Making …' : 'Invite to an own sign-in'}
          disabled={invite.isPending}
          onPress={() => invite.mutate()}
        />
      )}
    </>
  );
}
