import { causeWords } from '@skelby/copy/causes';
import { cameInLate } from '@skelby/core/clearance/came-in-late';
import { withoutResult } from '@skelby/core/clearance/announced';
import { useDrills } from '../../shared/api/use-drills';
import type { Clearance } from '@skelby/core/clearance/clearance';
import { isFirstEdition } from '@skelby/core/clearance/clearing-rule';
import { relapseLimitOf } from '@skelby/core/clearance/choose-limit';
import { liveMoves } from '@skelby/core/clearance/standing';
import { useLocalSearchParams } from 'expo-router';
import { View } from 'react-native';
import type { WeaknessPage } from '@skelby/core/pages/pages';
import { useWho } from '../../shared/api/use-who';
import { LinkButton } from '../../shared/ui/Button';
import { LargeLadder } from '../../shared/ui/Ladder';
import { Loaded } from '../../shared/ui/Loaded';
import { PrintButton } from '../../shared/ui/PrintButton';
import { Part, Screen } from '../../shared/ui/Screen';
import { themed } from '../../shared/ui/theme';
import { Words } from '../../shared/ui/Words';
import { todayHere } from '../../shared/copy/dates';
import { dayOnPaper, timeOnPaper } from '../../shared/copy/day-on-paper';
import { MODE_WORDS, plural, STANDING_LINE, STATE_WORDS } from '../../shared/copy/copy';
import { cameInWords } from './came-in-words';
import { CoverageGrid } from './CoverageGrid';
import { sureSentences } from '../../shared/copy/sure-copy';
import { chartName, curveSentence, rungWords } from '../../shared/copy/rung-copy';
import { useWeakness, useWholeWeakness, useWorkedOut } from '../../offline/overlay/weakness-queries';

const useStyles = themed((theme) => ({
  hand: { flexDirection: 'row', gap: 24, paddingTop: 28 },
  line: { flex: 1, borderTopWidth: 2, borderTopColor: theme.ink, paddingTop: 4 },
}));

/** Every opening, try and day: what it took is part of what it is worth. */
function spentWords({ openings, spent, failedChecks }: Clearance): string {
  const tests = spent.reduce((sum, { reps }) => sum + reps, 0);
  return (
    [
      plural(openings, 'opening'),
      `${plural(failedChecks, 'check')} failed`,
      ...(spent.length > 0 ? [`${plural(tests, 'test rep')} counted since the last opening`] : []),
      ...spent.map(
        (each) => `${chartName(each)}: ${plural(each.reps, 'test')} on ${plural(each.days, 'day')}`,
      ),
    ].join('; ') + '.'
  );
}

/** How many of the tests the pilot knew of beforehand. */
function announcedWords({ testSets = [], moves, reps }: WeaknessPage): string {
  const tests = reps.filter(({ purpose }) => purpose === 'test');
  const announced = testSets.reduce((sum, { number }) => sum + number, 0);
  const without = testSets.reduce((sum, set) => sum + withoutResult(set, { sets: testSets, moves, reps }), 0);
  return `${tests.filter(({ testSetId }) => testSetId).length} of ${plural(tests.length, 'test')} announced beforehand${announced > 0 && without > 0 ? `; ${without} announced without a result` : ''}.`;
}

/** Who signed and when, and when it came in where that was later. @param me who signs a move that still waits here */
function signatureWords({ moves }: WeaknessPage, me: string): string {
  const signed = [...liveMoves(moves)]
    .reverse()
    .find(({ kind }) => kind === 'signed' || kind === 'signed-early');
  if (!signed) return 'Not signed.';
  const kept = moves.find(({ id }) => id === signed.id);
  const cameIn = kept ? cameInWords(kept) : null;
  const by = kept?.by ?? me;
  const what = signed.kind === 'signed-early' ? 'Signed early' : 'Signed';
  return `${what} ${timeOnPaper(signed.at)}${cameIn ? ` (${cameIn})` : ''}${by ? ` by ${by}` : ''}${signed.reason ? `: ${signed.reason}` : ''}`;
}

function Sheet({ page }: { readonly page: WeaknessPage }) {
  const { drillOf } = useDrills();
  const styles = useStyles();
  const me = useWho();
  const { clearance, facts, drillIds, reps } = useWorkedOut(page);
  const cause = causeWords(page.weakness.causeId);
  const live = reps.filter((rep) => !rep.takenBack);
  const late = live.filter(({ flownAt, recordedAt }) => cameInLate(flownAt, recordedAt)).length;
  const days = [...new Set(live.map((rep) => rep.day))].length;
  const most = Math.max(0, ...clearance.charts.map((chart) => chart.curve.reps));
  return (
    <Screen
      title={page.pilot.name}
      under={`${cause.name} · ${STATE_WORDS[clearance.state]}${clearance.signedEarly ? ', signed early' : ''}`}
      up={`/weakness/${page.weakness.id}`}
      foot={<PrintButton label="Print the sheet" />}
    >
      <Words as="soft">
        {[
          me?.schoolName,
          `judged by ${MODE_WORDS[facts.pilot.mode].toLowerCase()}`,
          `printed ${dayOnPaper(todayHere())}`,
        ]
          .filter(Boolean)
          .join(' · ')}
      </Words>
      <LargeLadder
        rungs={clearance.rungs.map((rung) => ({ ...rung, words: rungWords(rung.id, clearance, page.rule) }))}
      />
      <Part heading="Flown">
        <Words>{`${plural(live.length, 'rep')} on ${plural(days, 'day')}: ${drillIds.map((id) => drillOf(id).name).join(', ')}.`}</Words>
        <Words>{spentWords(clearance)}</Words>
        {late > 0 ? (
          <Words as="strong">{`${late} of ${plural(live.length, 'rep')} came in over an hour after they were flown.`}</Words>
        ) : null}
        {isFirstEdition(page.rule) ? null : <Words>{announcedWords(page)}</Words>}
        {clearance.isUnproven ? (
          <Words as="strong">Signed; with what came in later it is no longer shown.</Words>
        ) : null}
        {clearance.charts.map((chart) => (
          <Words key={chartName(chart)}>{`${chartName(chart)}: ${curveSentence(chart, page.rule)}`}</Words>
        ))}
      </Part>
      <Part heading="Shown on the craft">
        <CoverageGrid clearance={clearance} />
      </Part>
      <Part heading="What this can promise">
        {sureSentences(page.rule, most).map((sentence) => (
          <Words key={sentence} as="soft">
            {sentence}
          </Words>
        ))}
        {isFirstEdition(page.rule) ? (
          <Words as="soft">{`On watch, a pilot who slips back is called back after ${relapseLimitOf(page.rule).repsToTrueAlarm.toFixed(0)} reps on average.`}</Words>
        ) : null}
      </Part>
      <Words as="strong">{signatureWords(page, me?.name ?? '')}</Words>
      <View style={styles.hand}>
        <View style={styles.line}>
          <Words as="soft">Trainer, date</Words>
        </View>
        <View style={styles.line}>
          <Words as="soft">Pilot, date</Words>
        </View>
      </View>
      <View nativeID="skelby-no-print">
        <LinkButton kind="quiet" label="Back to the weakness" href={`/weakness/${page.weakness.id}`} />
      </View>
      <Words as="soft">{`A trainer decides; this sheet shows why. ${STANDING_LINE}`}</Words>
    </Screen>
  );
}

/** Why a pilot was, or was not yet, cleared: on paper, for the file. */
export function SignOffSheet() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const query = useWeakness(id);
  const isPart = Boolean(query.data?.since);
  const whole = useWholeWeakness(id, isPart);
  return (
    <Loaded query={isPart ? whole : query} title="Sign-off sheet" up={`/weakness/${id}`}>
      {(page) => <Sheet page={page} />}
    </Loaded>
  );
}
