import type { Roster } from '@skelby/core/pages/pages';
import { sessionChecks } from './session-checks';
import { restricts } from '@skelby/core/clearance/open-states';
import { percent } from '@skelby/core/vocabulary/percent';
import { causeOf } from '@skelby/core/causes/causes';
import type { TodayList } from '@skelby/core/pages/pages';
import { useDrills } from '../../shared/api/use-drills';
import { useUnits } from '../../shared/api/use-units';
import { plural } from '../../shared/copy/copy';
import { minuteOfDay } from '../../shared/copy/dates';
import { Button, ButtonRow } from '../../shared/ui/Button';
import { PrintButton } from '../../shared/ui/PrintButton';
import { Row, Rows } from '../../shared/ui/Rows';
import { Part } from '../../shared/ui/Screen';
import { Words } from '../../shared/ui/Words';
import { Arrange } from './Arrange';
import { SessionCard } from './SessionCard';
import type { PlanningSession } from './use-plan-session';

const SPARE_SHOWN = 12;
/** Less than this nobody notices, as a share of the gain. */
const SAME_AS_BEST = 0.005;

interface PartProps {
  readonly planning: PlanningSession;
}

const addMinutes = (time: string, minutes: number): string => {
  const all = (minuteOfDay(time) + Math.round(minutes)) % 1440;
  return `${String(Math.floor(all / 60)).padStart(2, '0')}:${String(all % 60).padStart(2, '0')}`;
};

/** How good the order is. */
function orderWords({ working, draft, cost }: PlanningSession): string {
  if (working) return 'Working on it …';
  if (draft.moved === null) return 'The best there is for this time.';
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
  const { sentence } = useUnits();
  const { beforeFlying = [], notToday = [] } = laidOut?.candidates ?? {};
  return (
    <>
      {beforeFlying.length > 0 ? (
        <Part heading="Takes no pack">
          <Rows>
            {beforeFlying.map((each) => (
              <Row
                key={`${each.pilotId} ${each.drillId}`}
                title={`${drillOf(each.drillId).name} · ${pilotName(each.pilotId)}`}
                under={each.words}
              />
            ))}
          </Rows>
        </Part>
      ) : null}
      {spare.length > 0 ? (
        <Part heading="Left out">
          <ButtonRow>
            {spare.slice(0, SPARE_SHOWN).map((block) => (
              <Button
                key={block.id}
                kind="plain"
                icon="plus"
                label={`${block.reps} × ${drillOf(block.drillId).name}, ${block.purpose} · ${pilotName(block.pilotId)}`}
                onPress={() => putIn(block)}
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
                title={`${each.drillId ? drillOf(each.drillId).name : causeOf(each.causeId).name} · ${pilotName(each.pilotId)}`}
                under={`${each.refused ? 'Refused. ' : ''}${sentence(each.words)}`}
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
