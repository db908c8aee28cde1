import type { SessionFields } from '@skelby/core/schemas/session';
import { useDrills } from '../../shared/api/use-drills';
import { useUnits } from '../../shared/api/use-units';
import { todayHere } from '../../shared/copy/dates';
import { useDraft } from '../../shared/storage/use-draft';
import { STANDING_LINE } from '../../shared/copy/copy';
import { CheckRows, isInOrder } from '../../shared/forms/CheckRows';
import { ReasonForm } from '../../shared/forms/ReasonForm';
import { Button } from '../../shared/ui/Button';
import { Note } from '../../shared/ui/Note';
import { Part, Screen } from '../../shared/ui/Screen';
import { Words } from '../../shared/ui/Words';
import { nearChecks, preFlightChecks, type SessionFlying, sessionChecks } from './session-checks';

interface Looked {
  readonly day: string;
  /** Ids of what somebody has looked at. */
  readonly seen: readonly string[];
}

interface GoProps extends SessionFlying {
  readonly sessionId: string;
  readonly onGo: (goNoGo: NonNullable<SessionFields['goNoGo']>) => void;
  readonly busy: boolean;
  readonly error: string | null;
}

/**
 * Go or no-go: each thing looked at and ticked; what is not in order says why, and is overruled only with a
 * reason.
 */
export function GoNoGo(props: GoProps) {
  const { drillOf } = useDrills();
  const { sentence } = useUnits();
  const { sessionId, content, onGo, busy, error } = props;
  const [all, near] = [sessionChecks(props, drillOf), nearChecks(props, drillOf)];
  // A call, a reload or a closed tab in the middle of it costs no tick; another day looks at everything again.
  const {
    draft: { seen },
    change,
  } = useDraft<Looked>({
    name: `go-no-go.${sessionId}`,
    begin: () => ({ day: todayHere(), seen: [] }),
    goOn: (last) => (last.day === todayHere() ? last : null),
  });
  const list = preFlightChecks(props);
  const checks = [...all, ...near, ...list];
  const open = checks.filter((check) => !isInOrder(check, seen));
  const toggle = (id: string) =>
    change({ seen: seen.includes(id) ? seen.filter((each) => each !== id) : [...seen, id] });
  const go = (reason: string) =>
    onGo({
      at: new Date().toISOString(),
      items: checks.map((check) => ({
        words: sentence(check.words).slice(0, MOST_WORDS),
        ok: isInOrder(check, seen),
      })),
      reason,
    });
  return (
    <Screen
      title="Go or no-go"
      under={`Session ${content.day}`}
      up="/session"
      foot={
        <>
          {error ? <Words as="strong" role="alert">{`! ${error}`}</Words> : null}
          <Button
            kind="main"
            icon="play"
            label={goWords(open)}
            disabled={open.length > 0 || busy}
            onPress={() => go('')}
          />
        </>
      }
    >
      {checks
        .filter((check) => check.go === false)
        .map(({ id, words, remedy }) => (
          <Note key={id} icon="slash" heading="No-go">
            {sentence(`${words}${/[.!]$/.test(words) ? '' : '.'} ${remedy ?? ''}.`)}
          </Note>
        ))}
      <CheckRows checks={all} seen={seen} onToggle={toggle} />
      {near.length > 0 ? (
        <Part heading="Near things: walk it first">
          <CheckRows checks={near} seen={seen} onToggle={toggle} />
        </Part>
      ) : null}
      <Part heading="Pre-flight, at the craft">
        <CheckRows checks={list} seen={seen} onToggle={toggle} />
      </Part>
      <Words as="soft">{STANDING_LINE}</Words>
      {open.length > 0 ? (
        <ReasonForm
          open="Go all the same"
          question="Why is it safe although not everything is in order? This shows on the record."
          act="Go"
          busy={busy}
          error={null}
          onGive={go}
        />
      ) : null}
    </Screen>
  );
}

/** What is still to be looked at is no fault yet. */
function goWords(open: readonly { readonly go?: boolean | null }[]): string {
  if (open.length === 0) return 'Go';
  const wrong = open.filter(({ go }) => go === false).length;
  const unseen = open.length - wrong;
  return [wrong > 0 ? `${wrong} no-go` : null, unseen > 0 ? `${unseen} still to look at` : null]
    .filter(Boolean)
    .join(', ');
}

/** Longest text of an item on the record. */
const MOST_WORDS = 200;
