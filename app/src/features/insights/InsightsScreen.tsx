import { causeWords } from '@skelby/copy/causes';
import { methodOptions, methodWords } from '@skelby/copy/methods';
import { type GroupInsight, type Report, reportOf } from '@skelby/core/insights/report';
import type { InsightsPage } from '@skelby/core/pages/insights';
import { type ReactNode, useMemo, useState } from 'react';
import { View } from 'react-native';
import { useInsights } from '../../offline/insights-queries';
import { useDrills } from '../../shared/api/use-drills';
import { plural, STANDING_LINE } from '../../shared/copy/copy';
import { RateChart } from '../../shared/drawing';
import { Choice } from '../../shared/forms/Choice';
import { Loaded } from '../../shared/ui/Loaded';
import { Note } from '../../shared/ui/Note';
import { PrintButton } from '../../shared/ui/PrintButton';
import { Row, Rows } from '../../shared/ui/Rows';
import { Part, Screen } from '../../shared/ui/Screen';
import { themed } from '../../shared/ui/theme';
import { Words } from '../../shared/ui/Words';
import {
  apartWords,
  bandName,
  changeWords,
  shortFigure,
  groupWords,
  happenings,
  lastsWords,
  monthLabel,
  periodWords,
  rateWords,
  waysWords,
  worseWords,
} from './insight-copy';

/** Shorter ones leave nothing to learn a usual rate from. */
const PERIODS = [12, 24, 60] as const;
const FIRST_CAUSES = 6;

const useStyles = themed((theme) => ({
  track: { width: 96, height: 14, borderWidth: 2, borderColor: theme.ink },
  fill: { height: 10, backgroundColor: theme.ink },
}));

function HowOften({ report }: { readonly report: Report }) {
  const { flights, hours, crashes, nearMisses, crashesAnHour, nearMissesACrash } = report;
  return (
    <Part heading="How often">
      <Words>{`${plural(flights, 'flight')}, ${hours.toFixed(hours < 10 ? 1 : 0)} hours in the air.`}</Words>
      <Words as="strong">{`Crashes: ${rateWords(crashes)}`}</Words>
      <Words>{`${crashes.events} in all; ${rateWords(crashesAnHour, 1, 'hour')}.`}</Words>
      <Words as="strong">{`Near-misses: ${rateWords(nearMisses)}`}</Words>
      {nearMissesACrash === null ? null : (
        <Words as="soft">
          {`${shortFigure(nearMissesACrash)} near-misses told for each crash. Few may mean that few are told, not that few happen.`}
        </Words>
      )}
    </Part>
  );
}

function OverTime({ report: { chart, worse, months } }: { readonly report: Report }) {
  const points = chart.points.flatMap(({ rate, high }, i) =>
    rate === null ? [] : [{ rate: 100 * rate, high: 100 * high, label: monthLabel(months[i]!) }],
  );
  const out = chart.points.flatMap(({ isOut }, i) => (isOut ? [months[i]!] : []));
  const sentence =
    out.length > 0
      ? `Beyond what chance makes: ${out.join(', ')}.`
      : 'No month beyond what chance makes of so much flying.';
  return (
    <Part heading="Month by month">
      <Words as="soft">
        Crashes and near-misses per 100 flights; dashed: three standard deviations above the mean.
      </Words>
      <RateChart points={points} centre={100 * chart.centre} sentence={sentence} />
      <Words>{sentence}</Words>
      <Words as="strong">Is it getting worse?</Words>
      <Words>{worseWords(worse)}</Words>
    </Part>
  );
}

function Causes({ report: { causes } }: { readonly report: Report }) {
  const styles = useStyles();
  const most = Math.max(1, ...causes.map(({ events }) => events));
  return (
    <Part heading="What was behind it">
      <Rows empty="Nothing logged in this time." atFirst={FIRST_CAUSES}>
        {causes.map((cause) => (
          <Row
            key={cause.causeId}
            title={causeWords(cause.causeId).name}
            under={`${happenings(cause.events)}, ${plural(cause.crashes, 'crash', 'crashes')} among them · ${rateWords(cause)} · with those above ${Math.round(100 * cause.upTo)} %`}
            before={
              <View style={styles.track} aria-hidden>
                <View style={[styles.fill, { width: `${Math.round((100 * cause.events) / most)}%` }]} />
              </View>
            }
          />
        ))}
      </Rows>
    </Part>
  );
}

interface GroupsProps {
  readonly heading: string;
  readonly groups: readonly GroupInsight[];
  readonly nameOf?: (group: GroupInsight) => string;
}

function Groups({ heading, groups, nameOf = ({ name }) => name || 'Not told' }: GroupsProps) {
  if (groups.length < 2) return null;
  return (
    <Part heading={heading}>
      <Words as="soft">{apartWords(groups)}</Words>
      <Rows>
        {groups.map((group) => (
          <Row key={group.id ?? 'none'} title={nameOf(group)} under={groupWords(group)} />
        ))}
      </Rows>
    </Part>
  );
}

function Clearing({ report: { toClear, toRelapse, drills } }: { readonly report: Report }) {
  const { drillOf } = useDrills();
  return (
    <Part heading="How long it takes, and whether it lasts">
      <Words>{`From opening to signature. ${lastsWords(toClear, 'weakness')}`}</Words>
      <Words>{`From signature to coming back. ${lastsWords(toRelapse, 'signature')}`}</Words>
      {drills.length > 0 ? (
        <>
          <Words as="strong">Before a drill and after it</Words>
          <Words as="soft">
            The same cause in half a year on either side, without what opened the weakness. Who drills has
            just crashed: some of the change would have come by itself.
          </Words>
          <Rows atFirst={FIRST_CAUSES}>
            {drills.map((drill) => (
              <Row
                key={drill.drillId}
                title={drillOf(drill.drillId).name}
                under={`${plural(drill.weaknesses, 'weakness', 'weaknesses')}: ${changeWords(drill)}`}
              />
            ))}
          </Rows>
        </>
      ) : null}
    </Part>
  );
}

/** Ways of teaching beside each other, in the order in which they are offered. */
function Ways({ report: { methods } }: { readonly report: Report }) {
  if (methods.length === 0) return null;
  return (
    <Part heading="Ways of teaching">
      {methods.map((method) => (
        <View key={method.question} style={{ gap: 4 }}>
          <Words as="strong">{methodWords(method.question).name}</Words>
          {method.ways.map(({ answer, toClear }) => (
            <Words
              key={answer}
            >{`${methodOptions(method.question).find(({ value }) => value === answer)!.label}: ${lastsWords(toClear, 'weakness')}`}</Words>
          ))}
          <Words as="soft">{waysWords(method)}</Words>
        </View>
      ))}
    </Part>
  );
}

function Insights({ page, choice }: { readonly page: InsightsPage; readonly choice: ReactNode }) {
  const report = useMemo(() => reportOf(page), [page]);
  return (
    <Screen
      title="Insight"
      under={periodWords(page)}
      up="/kit"
      foot={<PrintButton label="Print the report" />}
      aside={
        <>
          <Groups heading="Sites beside each other" groups={report.sites} />
          <Groups heading="Craft beside each other" groups={report.craft} />
          <Groups heading="Wind" groups={report.bands} nameOf={({ id }) => bandName(id)} />
          <Clearing report={report} />
          <Ways report={report} />
          <Words as="soft">
            {`Brackets hold the truth 95 times of 100. These figures judge places and methods, never people. ${STANDING_LINE}`}
          </Words>
        </>
      }
    >
      {choice}
      {report.flights === 0 ? (
        <Note icon="info" heading="No flights in this time">
          Without what was flown nobody can say how often things go wrong: add flights.
        </Note>
      ) : null}
      <HowOften report={report} />
      {report.flights > 0 ? <OverTime report={report} /> : null}
      <Causes report={report} />
    </Screen>
  );
}

/** What the school can be told of itself. */
export function InsightsScreen() {
  const [months, setMonths] = useState<number>(12);
  const query = useInsights(months);
  const choice = (
    <Choice
      label="Months"
      quiet
      value={months}
      onChange={setMonths}
      options={PERIODS.map((value) => ({ value: value as number, label: plural(value, 'month') }))}
    />
  );
  return (
    <Loaded query={query} title="Insight" up="/kit">
      {(page) => <Insights page={page} choice={choice} />}
    </Loaded>
  );
}
