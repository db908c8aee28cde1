import { said } from '@skelby/copy/say';
import { questionWords, valueWords } from '@skelby/copy/questions';
import { sumWords } from '@skelby/copy/sums';
import { causeWords } from '@skelby/copy/causes';
import { untilCleared } from '../../shared/copy/restriction-copy';
import type { Findings } from '@skelby/core/debrief/findings';
import { riskOf } from '@skelby/core/debrief/severity';
import { answersOf } from '@skelby/core/evidence/evidence';
import { QUESTIONS } from '@skelby/core/evidence/questions';
import { craftFacts, USUAL_CRAFT } from '@skelby/core/vocabulary/craft-facts';
import { type FlightMode, onReleaseIn } from '@skelby/core/vocabulary/flying';
import { sumsFor, workedFor } from '@skelby/core/sums/sums';
import { useLocalSearchParams } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import type { DebriefPage, OccurrenceOfPilot, Roster } from '@skelby/core/pages/pages';
import { type Speaking, useUnits } from '../../shared/api/use-units';
import { useRoster } from '../../offline/overlay/use-roster';
import { useOccurrence } from '../../offline/overlay/occurrence-queries';
import { Button, ButtonRow } from '../../shared/ui/Button';
import { useCopy } from '../../shared/ui/use-pass-on';
import { ManyChoice } from '../../shared/forms/Choice';
import { Loaded } from '../../shared/ui/Loaded';
import { Note } from '../../shared/ui/Note';
import { PrintButton } from '../../shared/ui/PrintButton';
import { LinkRow, Rows } from '../../shared/ui/Rows';
import { Part, Screen } from '../../shared/ui/Screen';
import { Words } from '../../shared/ui/Words';
import { timeOnPaper } from '../../shared/copy/day-on-paper';
import { KIND_WORDS, STANDING_LINE } from '../../shared/copy/copy';
import { ChainLine } from './ChainEditor';
import { useDebrief, useDebriefVersion } from '../../offline/overlay/debrief-queries';
import { INJURY_WORDS, LIKELIHOOD_WORDS, RISK_WORDS, SEVERITY_WORDS } from './severity-copy';

interface SheetProps {
  readonly occurrence: OccurrenceOfPilot;
  readonly roster: Roster;
  readonly page: DebriefPage;
  /** The version shown: the latest, or an earlier one. */
  readonly shown: NonNullable<DebriefPage['debrief']>;
}

/** The name in a note would give away what is withheld above it. */
const without = (text: string, name: string): string =>
  name
    .split(/\s+/)
    .filter((part) => part.length > 2)
    .reduce((left, part) => left.replaceAll(part, '…'), text);

function toldWords(findings: Findings, { say }: Speaking): readonly string[] {
  const known = answersOf(findings.evidence);
  return QUESTIONS.filter(({ id }) => findings.evidence[id] !== undefined).map((question) => {
    const value =
      question.kind === 'number'
        ? say(known.numbers[question.id]!.value, question.unit)
        : valueWords(question.id, known.choices[question.id]!).toLowerCase();
    return `${questionWords(question.id).short}: ${value}`;
  });
}

function severityWords({ actual, potential, likelihood }: Findings): string {
  const was = actual ? SEVERITY_WORDS[actual] : 'not said';
  return potential && likelihood
    ? `${was}. Next time: ${SEVERITY_WORDS[potential].toLowerCase()}, ${LIKELIHOOD_WORDS[likelihood].toLowerCase()} (${RISK_WORDS[riskOf(potential, likelihood)].toLowerCase()} risk)`
    : was;
}

type SheetPart = readonly [heading: string, lines: readonly string[]];

/** What it says of the cause, and what holds until it is cleared. */
function causeParts({ primary: id, contributing }: Findings, mode: FlightMode): readonly SheetPart[] {
  const beside =
    contributing.length > 0
      ? [`Contributing: ${contributing.map((each) => causeWords(each).name.toLowerCase()).join(', ')}.`]
      : [];
  if (!id) return [['Cause', ['Not decided yet.', ...beside]]];
  const { name, how, respond } = causeWords(id);
  return [
    ['Cause', [`${name}. ${how}`, ...beside]],
    ['What the hands should do', [respond[onReleaseIn(mode)]]],
    ['Until cleared', [untilCleared(id)]],
  ];
}

function outcomeLines(findings: Findings): readonly string[] {
  const injury = findings.injury ? INJURY_WORDS[findings.injury].toLowerCase() : 'not said';
  return [
    `Severity: ${severityWords(findings)}.`,
    `Injury: ${injury}${findings.thirdParty ? '; third party involved' : ''}.`,
    `Damage: ${findings.damage.join(', ').toLowerCase() || 'none listed'}.`,
  ];
}

/** The sheet, part by part. @param plain takes the pilot's name out of a text where it is withheld */
function partsOfSheet(
  { occurrence, roster, shown: { findings } }: SheetProps,
  units: Speaking,
  plain: (text: string) => string,
): readonly SheetPart[] {
  const craft = roster.craft.find((each) => each.id === occurrence.craftId);
  const site = roster.sites.find((each) => each.id === occurrence.siteId);
  const known = answersOf(findings.evidence);
  const sums = sumsFor(known).flatMap((sum) => {
    const outcome = workedFor(sum, known, craftFacts(craft ?? USUAL_CRAFT));
    return 'worked' in outcome
      ? [`${sumWords(sum.id).question} ${units.sentence(said(outcome.worked.answer))}`]
      : [];
  });
  const parts: readonly SheetPart[] = [
    [
      'What happened',
      [
        plain(occurrence.note) || 'Nothing noted.',
        [timeOnPaper(occurrence.happenedAt), site?.name, craft?.name].filter(Boolean).join(' · '),
      ],
    ],
    ...causeParts(findings, occurrence.pilotMode),
    ['Told', [toldWords(findings, units).join(' · ') || 'Nothing.']],
    ['Figures', sums],
    ['What came of it', outcomeLines(findings)],
    ['What went well', [plain(findings.wentWell) || 'Nothing noted.']],
  ];
  return parts.filter(([, lines]) => lines.length > 0);
}

/** Every version that was saved, each with its reason. */
function Versions({
  occurrenceId,
  versions,
  plain,
}: {
  readonly occurrenceId: string;
  readonly versions: DebriefPage['versions'];
  readonly plain: (text: string) => string;
}) {
  if (versions.length < 2) return null;
  return (
    <Part heading="Versions">
      <Rows>
        {versions.map((version) => (
          <LinkRow
            key={version.id}
            href={`/occurrence/${occurrenceId}/sheet?version=${version.id}`}
            title={`${version.number}. ${version.state === 'closed' ? 'Closed' : 'Open'}${version.reason ? `: ${plain(version.reason)}` : ''}`}
            under={[timeOnPaper(version.at), version.by].filter(Boolean).join(' · ')}
          />
        ))}
      </Rows>
    </Part>
  );
}

function Sheet(props: SheetProps) {
  const { occurrence, page, shown } = props;
  const units = useUnits();
  const { findings } = shown;
  const [withheld, setWithheld] = useState(findings.nameWithheld);
  const { said, copy } = useCopy();
  const pilot = withheld ? 'Name withheld' : occurrence.pilotName;
  const plain = (text: string) => (withheld ? without(text, occurrence.pilotName) : text);
  const parts = partsOfSheet(props, units, plain);
  const asText = () =>
    [
      `Debrief: ${pilot}, ${KIND_WORDS[occurrence.kind].toLowerCase()}`,
      ...parts.flatMap(([heading, lines]) => ['', heading, ...lines]),
      '',
      `Chain: ${findings.chain.map((link) => plain(link.words)).join(' → ')}`,
      STANDING_LINE,
    ].join('\n');
  return (
    <Screen
      title={pilot}
      under={`${KIND_WORDS[occurrence.kind]} · debrief ${shown.state === 'closed' ? 'closed' : 'not closed yet'} · version ${shown.number}${shown.number < page.versions.length ? ` of ${page.versions.length}` : ''}`}
      up={`/occurrence/${occurrence.id}`}
      foot={
        <ButtonRow>
          <PrintButton label="Print the sheet" />
          <Button icon="copy" label={said ?? 'Copy as text'} onPress={() => void copy(asText())} />
        </ButtonRow>
      }
    >
      <View nativeID="skelby-no-print">
        <ManyChoice
          label="On this sheet"
          options={[{ value: 'withheld', label: "Leave the pilot's name out" }]}
          values={withheld ? ['withheld'] : []}
          onChange={(values) => setWithheld(values.length > 0)}
        />
      </View>
      {parts.map(([heading, lines]) => (
        <Part key={heading} heading={heading}>
          {lines.map((line) => (
            <Words key={line}>{line}</Words>
          ))}
        </Part>
      ))}
      {findings.chain.length > 0 ? (
        <Part heading="The chain">
          <ChainLine chain={findings.chain.map((link) => ({ ...link, words: plain(link.words) }))} />
        </Part>
      ) : null}
      <Versions occurrenceId={occurrence.id} versions={page.versions} plain={plain} />
      <Words as="soft">{`Told without blame, so that it happens once. ${STANDING_LINE}`}</Words>
    </Screen>
  );
}

/** The debrief on paper, or to pass on; without the pilot's name if they wish. */
export function DebriefSheet() {
  const { id, version } = useLocalSearchParams<{ id: string; version?: string }>();
  const occurrence = useOccurrence(id);
  const roster = useRoster();
  const debrief = useDebrief(id);
  const earlier = useDebriefVersion(id, version);
  const up = `/occurrence/${id}` as const;
  return (
    <Loaded query={occurrence} title="Debrief sheet" up={up}>
      {(row) => (
        <Loaded query={roster} title="Debrief sheet" up={up}>
          {(data) => (
            <Loaded query={debrief} title="Debrief sheet" up={up}>
              {(page) => {
                if (!page.debrief)
                  return (
                    <Screen title="Debrief sheet" up={up}>
                      <Note icon="info" heading="Not debriefed yet">
                        Debrief it first: the sheet shows what was found.
                      </Note>
                    </Screen>
                  );
                if (version === undefined)
                  return (
                    <Sheet key="latest" occurrence={row} roster={data} page={page} shown={page.debrief} />
                  );
                return (
                  <Loaded query={earlier} title="Debrief sheet" up={up}>
                    {(shown) => (
                      <Sheet key={shown.id} occurrence={row} roster={data} page={page} shown={shown} />
                    )}
                  </Loaded>
                );
              }}
            </Loaded>
          )}
        </Loaded>
      )}
    </Loaded>
  );
}
