import type { NextStep } from '@skelby/core/clearance/next-step';
import type { WeaknessPage } from '@skelby/core/pages/pages';
import { useMove } from '../../offline/overlay/weakness-queries';
import { sayDay } from '../../shared/copy/dates';
import { Button, LinkButton } from '../../shared/ui/Button';
import { May } from '../../shared/ui/May';
import { Words } from '../../shared/ui/Words';

/** The one thing to do next about a weakness. */
export function WeaknessFoot({
  page,
  next,
  onWatch,
}: {
  readonly page: WeaknessPage;
  readonly next: NextStep;
  readonly onWatch: boolean;
}) {
  const move = useMove(page);
  const counter = `/weakness/${page.weakness.id}/reps` as const;
  const problem = move.error ? <Words as="strong" role="alert">{`! ${move.error.message}`}</Words> : null;
  const close = (
    <May right="train">
      <Button
        icon="archive"
        label={move.isPending ? 'Closing …' : 'End the watch: close'}
        disabled={move.isPending}
        onPress={() => move.mutate({ kind: 'closed' })}
      />
    </May>
  );
  switch (next.do) {
    case 'drill':
      return <LinkButton kind="main" icon="target" label="Count reps" href={counter} />;
    case 'check':
      return (
        <>
          {problem}
          <LinkButton kind="main" icon="check-square" label="Fly the check" href={counter} />
          {onWatch ? close : null}
        </>
      );
    case 'sign':
      return (
        <>
          {problem}
          <May right="train">
            <Button
              kind="main"
              icon="edit-3"
              label={move.isPending ? 'Signing …' : 'Sign: cleared'}
              disabled={move.isPending}
              onPress={() => move.mutate({ kind: 'signed' })}
            />
          </May>
        </>
      );
    case 'wait':
      return <Words as="strong">{`Check ${sayDay(next.until)}. Practice now would move it.`}</Words>;
    case 'watch':
      return (
        <>
          {problem}
          <LinkButton icon="target" label="Count a rep on watch" href={counter} />
          {close}
        </>
      );
    case 'nothing':
      return null;
  }
}
