import { causeWords } from '@skelby/copy/causes';
import { lessonWords } from '@skelby/copy/course';
import type { PilotPortalPage } from '@skelby/core/pages/portal';
import { blockWords } from '../../shared/copy/block-copy';
import type { DrillId } from '@skelby/core/drills/drills';
import { wordedDrill } from '@skelby/copy/drills';
import { onReleaseIn } from '@skelby/core/vocabulary/flying';
import { useState } from 'react';
import { View } from 'react-native';
import { Movement } from '../../shared/drawing';
import { Button, LinkButton } from '../../shared/ui/Button';
import { RUNG_NAMES, SmallLadder } from '../../shared/ui/Ladder';
import { Loaded } from '../../shared/ui/Loaded';
import { Note } from '../../shared/ui/Note';
import { Row, Rows } from '../../shared/ui/Rows';
import { Part, Screen } from '../../shared/ui/Screen';
import { isFlownHere } from '../../shared/ui/SimulatorLink';
import { Words } from '../../shared/ui/Words';
import { useVideo, VideoPart } from '../../shared/video/VideoPart';
import { sayDay } from '../../shared/copy/dates';
import { partWords } from '../../shared/copy/course-copy';
import { plural, PURPOSE_WORDS, STANDING_LINE, STATE_WORDS } from '../../shared/copy/copy';
import { RUNGS } from '@skelby/core/clearance/rungs';
import { useOwnSending } from '../../offline/outbox/own-outbox';
import { OwnWaiting } from '../../offline/ui/OwnWaiting';
import { useOwnPage } from '../../offline/overlay/own-queries';
import { isOfAccount, tokenOfAccount } from '../../shared/api/client';
import { useWho } from '../../shared/api/use-who';
import { ROLE_WORDS } from '../../shared/copy/role-copy';
import { SeenOtherwise, ToBeRead } from './OwnSaid';
import { Tell, type Told } from './Tell';
import { restsNow, TenMinutes } from './TenMinutes';

/** A drill of one's own: the standard, and the sticks in motion when asked for. */
function OwnDrill({
  drillId,
  pilot: { stickLayout: layout, mode },
  token,
  first,
  rests = false,
}: {
  readonly drillId: DrillId;
  readonly pilot: PilotPortalPage['pilot'];
  readonly token: string;
  readonly first?: string;
  readonly rests?: boolean;
}) {
  const [open, setOpen] = useState(false);
  const drill = wordedDrill(drillId);
  return (
    <View style={{ gap: 6 }}>
      <Words as="strong">{first ?? drill.name}</Words>
      <Words>{drill.byEye}.</Words>
      {drill.sticks.length > 0 ? (
        <Button
          kind="quiet"
          icon={open ? 'chevron-up' : 'play-circle'}
          label={open ? 'Hide the sticks' : `See the sticks: ${drill.name}`}
          onPress={() => setOpen(!open)}
        />
      ) : (
        <Words as="soft">{drill.task}</Words>
      )}
      {open ? <Movement drillId={drillId} layout={layout} side={drill.sides[0] ?? null} /> : null}
      {isFlownHere(drill) && !rests ? (
        <LinkButton
          kind="quiet"
          icon="monitor"
          label={`Fly it here: ${drill.name}`}
          href={`/practice?drill=${drill.id}&layout=${layout}&flies=${mode}#${token}`}
        />
      ) : null}
    </View>
  );
}

type OwnProps = { readonly page: PilotPortalPage; readonly token: string };

/** The next session, with this pilot's drills. */
function OwnSession({ page: { session, pilot }, token }: OwnProps) {
  if (!session) return null;
  return (
    <Part heading={`Session ${[sayDay(session.day), session.startsAt].filter(Boolean).join(', ')}`}>
      {session.siteName ? <Words as="soft">{session.siteName}</Words> : null}
      {session.blocks.map((block, i) => (
        <OwnDrill
          key={i}
          drillId={block.drillId}
          pilot={pilot}
          token={token}
          rests={block.purpose === 'check'}
          first={`${blockWords(block, wordedDrill)} · ${PURPOSE_WORDS[block.purpose].toLowerCase()}`}
        />
      ))}
    </Part>
  );
}

/** The lesson that comes next, with the drills that are still to be shown. */
function OwnCourse({ page: { course, pilot }, token }: OwnProps) {
  if (!course) return null;
  const open = course.parts.filter(({ shownBy }) => shownBy === null);
  return (
    <Part heading={`Course, lesson ${course.nth + 1} of ${course.of}: ${lessonWords(course.lessonId).name}`}>
      {[...new Map(open.map((part) => [part.drillId, part])).values()].map((part) => (
        <View key={part.drillId} style={{ gap: 2 }}>
          <OwnDrill drillId={part.drillId} pilot={pilot} token={token} />
          <Words as="soft">{`${partWords(part)}.`}</Words>
        </View>
      ))}
    </Part>
  );
}

function FlownLately({ flown }: Pick<PilotPortalPage, 'flown'>) {
  const met = flown.reduce((sum, each) => sum + each.met, 0);
  const reps = flown.reduce((sum, each) => sum + each.reps, 0);
  return (
    <Part heading="Flown lately">
      {reps > 0 ? (
        <Words>{`${met} of ${plural(reps, 'rep')} met on the last ${plural(flown.length, 'day')}.`}</Words>
      ) : null}
      <Rows empty="Nothing yet.">
        {flown.map((each) => (
          <Row key={each.day} title={sayDay(each.day)} under={`${each.met} of ${each.reps} met`} />
        ))}
      </Rows>
    </Part>
  );
}

/** Where it stands: its state, the next rung, and when the check is due. */
function standingWords(weakness: PilotPortalPage['weaknesses'][number]): string {
  const { state, rungs, checkFrom, checkPassed } = weakness;
  const next = RUNGS[rungs.findIndex((share) => share < 1)];
  return [
    STATE_WORDS[state],
    state !== 'watch' && next ? `next step: ${RUNG_NAMES[next].toLowerCase()}` : null,
    checkFrom && !checkPassed ? `check due ${sayDay(checkFrom)}` : null,
  ]
    .filter(Boolean)
    .join(' · ');
}

/** One weakness as its pilot sees it: where it stands, what to do, and the drills. */
function OwnWeakness({
  weakness,
  pilot,
  token,
}: Pick<OwnProps, 'token'> & {
  readonly weakness: PilotPortalPage['weaknesses'][number];
  readonly pilot: PilotPortalPage['pilot'];
}) {
  const cause = causeWords(weakness.causeId);
  const rests = restsNow(weakness);
  return (
    <Part heading={cause.name}>
      <View style={{ flexDirection: 'row', gap: 14, alignItems: 'center' }}>
        <SmallLadder shares={weakness.rungs} />
        <Words as="soft" style={{ flex: 1 }}>
          {standingWords(weakness)}
        </Words>
      </View>
      <Words>{cause.how}</Words>
      <Words as="strong">{`When it happens: ${cause.respond[onReleaseIn(pilot.mode)]}`}</Words>
      <ToBeRead weakness={weakness} token={token} />
      {rests ? <Words as="soft">No practice of these until the check: it would move it.</Words> : null}
      {(weakness.drillIds ?? []).map((id) => (
        <OwnDrill key={id} drillId={id} pilot={pilot} token={token} rests={rests} />
      ))}
      <SeenOtherwise weakness={weakness} token={token} />
    </Part>
  );
}

/** Whoever may read what is written of the pilot. */
function ReadBy({ readBy = [] }: Pick<PilotPortalPage, 'readBy'>) {
  if (readBy.length === 0) return null;
  return (
    <Part heading="Who can read this">
      <Rows>
        {readBy.map(({ name, role }, i) => (
          <Row key={i} title={name} under={ROLE_WORDS[role]} />
        ))}
      </Rows>
    </Part>
  );
}

function Own({
  page,
  token,
  onTell,
}: {
  readonly page: PilotPortalPage;
  readonly token: string;
  /** @param begun what is said of it already */
  readonly onTell: (begun: Told) => void;
}) {
  const video = useVideo();
  const { pilot } = page;
  return (
    <Screen
      title={pilot.name}
      under={page.schoolName}
      end={isOfAccount(token) ? <LinkButton icon="key" label="Account" href="/account" /> : undefined}
      foot={
        <Button
          kind="main"
          icon="message-circle"
          label="Tell us about a near-miss"
          onPress={() => onTell({ note: '', seen: [] })}
        />
      }
      aside={
        <>
          <OwnSession page={page} token={token} />
          <OwnCourse page={page} token={token} />
          <FlownLately flown={page.flown} />
          <VideoPart
            video={video}
            flight={null}
            onLog={(note, seen) => onTell({ note, seen })}
            leads={false}
          />
          <ReadBy readBy={page.readBy} />
          <Words as="soft">{STANDING_LINE}</Words>
        </>
      }
    >
      <OwnWaiting token={token} />
      <TenMinutes page={page} token={token} />
      {page.weaknesses.length === 0 ? (
        <Note icon="sun" heading="Nothing open">
          Fly well, and tell us when something nearly happened.
        </Note>
      ) : (
        page.weaknesses.map((weakness) => (
          <OwnWeakness key={weakness.causeId} weakness={weakness} pilot={pilot} token={token} />
        ))
      )}
    </Screen>
  );
}

/** A pilot's own page, by the link the trainer passed on. */
export function OwnPage() {
  // What stands behind the # is the token.
  const [token] = useState(() => window.location.hash.slice(1));
  if (token === '')
    return (
      <Screen title="Your page">
        <Note icon="link" heading="The link is cut off">
          Open it again as your trainer passed it on, all of it.
        </Note>
      </Screen>
    );
  return <OwnPageBy token={token} />;
}

/** The same of a pilot who is signed in. */
export function OwnPageSignedIn() {
  const accountId = useWho()?.accountId;
  return accountId ? <OwnPageBy token={tokenOfAccount(accountId)} /> : null;
}

function OwnPageBy({ token }: { readonly token: string }) {
  const [telling, setTelling] = useState<Told | null>(null);
  const query = useOwnPage(token);
  useOwnSending(token);
  if (telling !== null) return <Tell token={token} begun={telling} onDone={() => setTelling(null)} />;
  return (
    <Loaded query={query} title="Your page">
      {(page) => <Own page={page} token={token} onTell={setTelling} />}
    </Loaded>
  );
}
