import { causeWords } from '@skelby/copy/causes';
import { cameInLate } from '@skelby/core/clearance/came-in-late';
import { newestFirst } from '@skelby/core/vocabulary/flown-order';
import type { FindWordedDrill } from '@skelby/copy/drill-book';
import { useDrills } from '../../shared/api/use-drills';
import { liveMoves } from '@skelby/core/clearance/standing';
import { View } from 'react-native';
import type { RecordedRep, WeaknessMove, WeaknessPage } from '@skelby/core/pages/pages';
import type { Units } from '@skelby/core/vocabulary/units';
import { useUnits } from '../../shared/api/use-units';
import { Button } from '../../shared/ui/Button';
import { Row, Rows } from '../../shared/ui/Rows';
import { Words } from '../../shared/ui/Words';
import { useEarlierReps } from '../../offline/overlay/weakness-queries';
import { sayTime, todayHere } from '../../shared/copy/dates';
import { KIND_WORDS, MODE_WORDS, PURPOSE_WORDS, SIDE_WORDS } from '../../shared/copy/copy';
import { cameInWords } from './came-in-words';
import { valuesLine, valuesOf } from '../../shared/copy/value-copy';
import { HistoryStrip } from './HistoryStrip';
import { SlipsToConfirm } from './SlipsToConfirm';
import { stripOf } from './strip-of';

const MOVE_WORDS: Readonly<Record<WeaknessMove['kind'], string>> = {
  opened: 'Opened',
  'occurrence-added': 'Another entry',
  reopened: 'Re-opened',
  signed: 'Signed',
  'signed-early': 'Signed early',
  closed: 'Closed',
  undone: 'Undone',
};

interface Line {
  readonly id: string;
  readonly at: string;
  readonly title: string;
  readonly under: string;
}

function lineOf(move: WeaknessMove, page: WeaknessPage, live: ReadonlySet<string>): Line {
  const occurrence = page.occurrences.find((each) => each.id === move.occurrenceId);
  const undone = move.kind === 'undone' ? page.moves.find((each) => each.id === move.undoes) : undefined;
  const what = undone ? `Undone: ${MOVE_WORDS[undone.kind].toLowerCase()}` : MOVE_WORDS[move.kind];
  const facts = [
    sayTime(move.at),
    cameInWords(move),
    move.by,
    occurrence ? `${KIND_WORDS[occurrence.kind].toLowerCase()} ${sayTime(occurrence.happenedAt)}` : null,
    move.reason,
  ];
  return {
    id: move.id,
    at: move.at,
    title: move.kind !== 'undone' && !live.has(move.id) ? `${what} (taken back)` : what,
    under: facts.filter(Boolean).join(' · '),
  };
}

/** Reps that came in long after they were flown, with when the last of them did. */
function lateWords(flown: readonly RecordedRep[]): string | null {
  const late = flown.filter(({ flownAt, recordedAt }) => cameInLate(flownAt, recordedAt));
  const last = late
    .map(({ recordedAt }) => recordedAt!)
    .sort()
    .at(-1);
  return last ? `${late.length} entered later, ${sayTime(last)}` : null;
}

/** The reps of one day, drill, side and purpose in a line, each with what was measured of it. */
function repLines(reps: readonly RecordedRep[], units: Units, drillOf: FindWordedDrill): Line[] {
  const groups = new Map<string, RecordedRep[]>();
  for (const rep of reps) {
    const name = [rep.day, rep.drillId, rep.side, rep.purpose].join(' ');
    groups.set(name, [...(groups.get(name) ?? []), rep]);
  }
  return [...groups].map(([id, group]) => {
    const flown = [...group].sort(newestFirst);
    const [last] = flown;
    const { drillId, side, purpose } = last!;
    const counted = flown.filter((rep) => !rep.takenBack);
    const takenBack = flown.length - counted.length;
    const byFlight = counted.filter(({ judgedBy }) => judgedBy === 'flight').length;
    const what = [
      drillOf(drillId).name,
      side ? SIDE_WORDS[side].toLowerCase() : null,
      PURPOSE_WORDS[purpose].toLowerCase(),
    ];
    return {
      id,
      at: last!.flownAt,
      title: `${counted.filter((rep) => rep.met).length} of ${counted.length} met: ${what.filter(Boolean).join(', ')}`,
      under: [
        sayTime(last!.flownAt),
        valuesLine(drillId, valuesOf(flown), units),
        byFlight > 0 ? `${byFlight} judged by a flight` : null,
        takenBack > 0 ? `${takenBack} taken back` : null,
        lateWords(flown),
      ]
        .filter(Boolean)
        .join(' · '),
    };
  });
}

/** A much-drilled weakness comes with its last reps; the others are asked for. */
function Earlier({ reps }: { readonly reps: ReturnType<typeof useEarlierReps> }) {
  if (reps.data && !reps.hasNextPage) return <Words as="soft">These are all the reps.</Words>;
  return (
    <View>
      {reps.isError ? (
        <Words as="soft" role="alert">{`The earlier reps could not be read: ${reps.error.message}`}</Words>
      ) : null}
      <Button
        kind="quiet"
        label={reps.isFetching ? 'Reading …' : 'Earlier reps'}
        onPress={() => void reps.fetchNextPage()}
      />
    </View>
  );
}

/** Everything that moved this weakness, newest first. Nothing is ever taken out of it. */
export function History({ page }: { readonly page: WeaknessPage }) {
  const { drillOf } = useDrills();
  const { units, say } = useUnits();
  const live = new Set(liveMoves(page.moves).map((move) => move.id));
  const earlier = useEarlierReps(page);
  const reps = new Map(
    [...(earlier.data?.pages ?? []), page].flatMap((each) => each.reps).map((rep) => [rep.id, rep]),
  );
  const lines: Line[] = [
    ...page.moves.map((move) => lineOf(move, page, live)),
    ...page.plans.map((plan, i) => ({
      id: plan.id,
      at: plan.madeAt,
      title: i === page.plans.length - 1 ? 'Plan proposed' : 'Plan changed',
      under: [sayTime(plan.madeAt), plan.drillIds.map((id) => drillOf(id).name).join(', '), plan.reason]
        .filter(Boolean)
        .join(' · '),
    })),
    ...(page.stamps ?? []).map((stamp) => ({
      id: `stamp ${stamp.at}`,
      at: stamp.at,
      title: `Judged by ${MODE_WORDS[stamp.mode].toLowerCase()}${stamp.holdOff ? ', hold off too' : ''}, up to ${say(stamp.windLimitMps, 'm/s')}`,
      under: [
        sayTime(stamp.at),
        stamp.by,
        stamp.toldBy === 'pilot-as-now' ? 'as the pilot was when this was first stamped' : null,
        stamp.reason,
      ]
        .filter(Boolean)
        .join(' · '),
    })),
    ...repLines([...reps.values()], units, drillOf),
  ].sort((a, b) => b.at.localeCompare(a.at));
  return (
    <View aria-label={`History of ${causeWords(page.weakness.causeId).name}`}>
      <HistoryStrip strip={stripOf({ ...page, reps: [...reps.values()] }, todayHere())} />
      <SlipsToConfirm page={page} />
      <Rows>
        {lines.map((line) => (
          <Row key={line.id} title={line.title} under={line.under} />
        ))}
      </Rows>
      {page.shownFrom ? <Earlier reps={earlier} /> : null}
    </View>
  );
}
