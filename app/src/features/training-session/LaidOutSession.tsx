import { useSentence } from '../../shared/api/use-sentence';
import { causeWords } from '@skelby/copy/causes';
import type { Grounded, PlannedBlock } from '@skelby/core/plan/layout/block';
import { WEIGHED_PER_PILOT } from '@skelby/core/plan/layout/lay-out';
import type { Roster } from '@skelby/core/pages/pages';
import { sessionChecks } from './session-checks';
import { restricts } from '@skelby/core/clearance/open-states';
import { percent } from '@skelby/core/vocabulary/percent';
import type { TodayList } from '@skelby/core/pages/pages';
import { useDrills } from '../../shared/api/use-drills';
import { useUnits } from '../../shared/api/use-units';
import { plural } from '../../shared/copy/copy';
import { Button, ButtonRow } from '../../shared/ui/Button';
import { PrintButton } from '../../shared/ui/PrintButton';
import { LinkRow, Row, Rows } from '../../shared/ui/Rows';
import { Part } from '../../shared/ui/Screen';
import { Words } from '../../shared/ui/Words';
import { Arrange } from './Arrange';
import { addMinutes } from './clock-time';
import { SessionCard } from './SessionCard';
import { SessionLanes } from './SessionLanes';
import type { PlanningSession } from './use-plan-session';

/** Why somebody who could fly today does not. */
const GROUNDED_WORDS: Readonly<Record<Grounded['why'], string>> = {
  'no-block-fits': 'does not fly: nothing fits a pack of this length. Make the packs longer.',
  'no-pack': 'does not fly: there are more pilots than packs. Add a pack.',
  'no-time': 'does not fly: the time is up. Begin sooner, or leave somebody else a pack less.',
};

/** Blocks of one pilot, drill and purpose together, in the order in which the first of them came. */
function groupedByDrill(blocks: readonly PlannedBlock[]): readonly (readonly PlannedBlock[])[] {
  const groups = new Map<string, PlannedBlock[]>();
  for (const block of blocks) {
    const key = [block.pilotId, block.drillId, block.purpose].join(' ');
    groups.set(key, [...(groups.get(key) ?? []), block]);
  }
  return [...groups.values()];
}

/** Pilots who were picked and are in no pack, each with the reason. */
function NotFlying({ planning }: PartProps) {
  const { packs, pilotIds, pilotName, laidOut, working } = planning;
  if (!laidOut || working) return null;
  const waiting = pilotIds.filter((id) => !packs.some((pack) => pack.pilotId === id));
  return waiting.map((id) => {
    const why = laidOut.layout.grounded.find((each) => each.pilotId === id)?.why;
    const hasBlocks = laidOut.candidates.blocks.some((block) => block.pilotId === id);
    const words = why
      ? GROUNDED_WORDS[why]
      : hasBlocks
        ? 'is in no pack: put a block back in.'
        : 'has nothing to fly today: see why below.';
    return <Words key={id} as="strong">{`${pilotName(id)} ${words}`}</Words>;
  });
}

/** Less than this nobody notices, as a share of the gain. */
const SAME_AS_BEST = 0.005;

interface PartProps {
  readonly planning: PlanningSession;
}

/** How good the order is. */
function orderWords({ working, draft, cost, laidOut }: PlanningSession): string {
  if (working) return 'Working on it …';
  if (draft.moved === null)
    return laidOut!.layout.notWeighed > 0
      ? `The best there is for this time, of everybody's ${WEIGHED_PER_PILOT} best blocks.`
      : 'The best there is for this time, everybody first.';
  return cost < SAME_AS_BEST
    ? 'As good as the best.'
    : `Your order costs ${percent(cost)} of what the best would bring.`;
}

function Order({ planning }: PartProps) {
  const { draft, packs, judged, failed, laidOut, pilotName, change, arrange } = planning;
  if (failed) return <Words as="strong" role="alert">{`! ${failed}`}</Words>;
  if (laidOut === null)
    return (
      <Words as="soft" role="status">
        Laying it out …
      </Words>
    );
  if (packs.length === 0 && draft.moved === null) return <Words>Nothing to fly: see why below.</Words>;
  const until = addMinutes(draft.startsAt, judged.minutes);
  return (
    <>
      <Words role="status">{`${plural(packs.length, 'pack')}, ${Math.round(judged.minutes)} min, until ${until}. ${orderWords(planning)}`}</Words>
      {draft.moved ? (
        <Button
          kind="quiet"
          icon="corner-up-left"
          label="Back to the best"
          onPress={() => change({ moved: null })}
        />
      ) : null}
      <SessionLanes
        packs={packs}
        rests={judged.rests}
        packMinutes={draft.packMinutes}
        startsAt={draft.startsAt}
        pilotName={pilotName}
      />
      <Arrange
        packs={packs}
        rests={judged.rests}
        packMinutes={draft.packMinutes}
        pilotName={pilotName}
        onChange={arrange}
      />
    </>
  );
}

/** Drills that take no pack, blocks that found no room, and what is not flown today and why. */
function Others({ planning: { laidOut, spare, pilotName, putIn } }: PartProps) {
  const { drillOf } = useDrills();
  const inWords = useSentence();
  const { beforeFlying = [], notToday = [] } = laidOut?.candidates ?? {};
  return (
    <>
      {beforeFlying.length > 0 ? (
        <Part heading="Takes no pack">
          <Rows>
            {beforeFlying.map((each) => (
              <LinkRow
                key={`${each.pilotId} ${each.drillId}`}
                title={`${drillOf(each.drillId).name} · ${pilotName(each.pilotId)}`}
                under={inWords(each.said)}
                href={
                  each.weaknessId === null
                    ? `/pilots/${each.pilotId}/course`
                    : `/weakness/${each.weaknessId}/reps?drill=${each.drillId}`
                }
              />
            ))}
          </Rows>
        </Part>
      ) : null}
      {spare.length > 0 ? (
        <Part heading="Left out">
          <ButtonRow>
            {groupedByDrill(spare).map(([block, ...more]) => (
              <Button
                key={block!.id}
                kind="plain"
                icon="plus"
                label={`${block!.reps} × ${drillOf(block!.drillId).name}, ${block!.purpose} · ${pilotName(block!.pilotId)}${more.length > 0 ? ` (${more.length} more)` : ''}`}
                onPress={() => putIn(block!)}
              />
            ))}
          </ButtonRow>
        </Part>
      ) : null}
      {notToday.length > 0 ? (
        <Part heading="Not today">
          <Rows>
            {notToday.map((each, i) => (
              <Row
                key={i}
                title={`${each.causeId && !each.drillId ? causeWords(each.causeId).name : drillOf(each.drillId!).name} · ${pilotName(each.pilotId)}`}
                under={`${each.refused ? 'Refused. ' : ''}${inWords(each.said)}`}
              />
            ))}
          </Rows>
        </Part>
      ) : null}
    </>
  );
}

/** The session as it is laid out, to be moved about, printed and put into a calendar. */
export function LaidOutSession({
  planning,
  list,
  roster,
}: PartProps & { readonly list: TodayList; readonly roster: Roster }) {
  const { drillOf } = useDrills();
  const { sentence } = useUnits();
  const { packs, pilotIds, judged, pilotName, site, content, anew, saveCalendar } = planning;
  const lostLinks = sessionChecks({ content, roster, site, weaknesses: [] }, drillOf)
    .filter(({ id }) => id.startsWith('lost-link'))
    .map(({ words }) => sentence(words));
  return (
    <>
      <Part heading="The session">
        <Order planning={planning} />
        <NotFlying planning={planning} />
      </Part>
      <Others planning={planning} />
      {packs.length > 0 ? (
        <>
          <ButtonRow>
            <PrintButton label="Print the card" />
            <Button icon="calendar" label="Calendar file" onPress={saveCalendar} />
            <Button kind="quiet" label="Start anew" onPress={anew} />
          </ButtonRow>
          <SessionCard
            content={content}
            rests={judged.rests}
            pilotName={pilotName}
            site={site}
            lostLinks={lostLinks}
            weaknesses={list.weaknesses.filter((line) => pilotIds.includes(line.pilotId) && restricts(line))}
          />
        </>
      ) : null}
    </>
  );
}
