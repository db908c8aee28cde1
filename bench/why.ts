import { drawFrom } from '@skelby/core/clearance/evidence/simulated';
import { answersOf, type Evidence } from '@skelby/core/evidence/evidence';
import { type Case, CASES } from '@skelby/core/ranking/cases';
import { TOLD_CASES } from '@skelby/core/ranking/cases-told';
import { FOURTH_TOLD_CASES } from '@skelby/core/ranking/cases-told-fourth';
import { codedAgain, TOLD_SETS, type ToldSet } from '@skelby/core/ranking/told-sets';
import type { ToldCase } from '@skelby/core/ranking/told-case';
import { rank, type Ranking } from '@skelby/core/ranking/rank';
import { mentionedIn } from '@skelby/core/ranking/mentions';
import { questionsUntilRight } from '@skelby/core/ranking/until-right';
import { oneWrong, strongestLost } from '@skelby/core/ranking/stressed';
import { craftFacts, USUAL_CRAFT } from '@skelby/core/vocabulary/craft-facts';
import { type FlightStory, recordStory } from '@skelby/core/second-model/flights';
import type { Recorder } from '@skelby/core/second-model/recorder';
import { FRESH_TROUBLES } from '@skelby/core/second-model/fresh-troubles';
import { GOOD_FLIGHTS, TROUBLES } from '@skelby/core/second-model/stories';
import { evidenceFrom } from '@skelby/core/flight-reading/read-flight';
import type { CauseId } from '@skelby/core/causes/causes';
import { agreementOf } from './agreement';
import { accuracyOf, type Judged, reliabilityOf, sayShare } from './accuracy';

/** Why, not what: how often the ranking finds the cause, on cases by origin and made harder by machine. */

const CRAFT = craftFacts(USUAL_CRAFT);
const rankOf = (evidence: Evidence): Ranking => rank(answersOf(evidence), CRAFT);
const DRAWS = 8;

const judgedOf = (cases: readonly Case[]): readonly Judged[] =>
  cases.map(({ cause, evidence }) => ({ cause, causes: rankOf(evidence).causes }));

function sayJudged(name: string, judged: readonly Judged[]): string {
  const { cases, first, firstThree, likely, likelyWrong, brier } = accuracyOf(judged);
  return `| ${name} | ${sayShare(first, cases)} | ${sayShare(firstThree, cases)} | ${likelyWrong} of ${likely} | ${brier.toFixed(3)} |`;
}
const sayCases = (name: string, cases: readonly Case[]): string => sayJudged(name, judgedOf(cases));

const TOLD = TOLD_SETS.flatMap(({ cases }) => cases);
const AGAIN = TOLD_SETS.flatMap(codedAgain);

function sayAgreement({ name, cases, again }: ToldSet): string {
  const { given, alike, kappa } = agreementOf(
    cases.map(({ evidence }) => evidence),
    again,
  );
  return `${name}, coded twice: ${sayShare(alike, given)} of the answers given by either are the same; kappa ${kappa.toFixed(2)} over all questions.`;
}

/** Of told chains, those with both links among the first three. */
function sayPairs(cases: readonly ToldCase[]): string {
  const chains = cases.filter(({ then }) => then);
  const both = chains.filter(({ cause, then, evidence }) => {
    const top = rankOf(evidence)
      .causes.slice(0, 3)
      .map(({ id }) => id);
    return top.includes(cause) && top.includes(then!);
  });
  return `Both links of a chain among the first three: ${sayShare(both.length, chains.length)}.`;
}

/** How sure it was of the first cause, and how often that was right. */
const saidAndRight = (judged: readonly Judged[]): string =>
  reliabilityOf(judged, [0, 0.2, 0.4, 0.6, 0.8, 1])
    .filter((bin) => bin.cases > 0)
    .map(({ said, right, cases: of }) => `| ${(100 * said).toFixed(0)} % | ${sayShare(right, of)} |`)
    .join('\n');

const sayReliability = (cases: readonly Case[]): string => saidAndRight(judgedOf(cases));

const sayReliabilities = (name: string, cases: readonly Case[]): readonly string[] => [
  `| said, ${name} | right |`,
  '| --- | --- |',
  sayReliability(cases),
  '',
];

/** Of the cases of each cause, those in which it came first, file by file. */
function sayByCause(files: readonly (readonly [string, readonly Case[]])[]): readonly string[] {
  const judged = files.map(([, cases]) => judgedOf(cases));
  const causes = [...new Set(judged.flatMap((each) => each.map(({ cause }) => cause)))].sort();
  const told = (each: readonly Judged[]): string => {
    const { first, cases } = accuracyOf(each);
    return cases === 0 ? 'none' : sayShare(first, cases);
  };
  return [
    `| first, by cause | ${files.map(([name]) => name).join(' | ')} |`,
    `| --- |${' --- |'.repeat(files.length)}`,
    ...causes.map(
      (id) =>
        `| ${id} | ${judged.map((each) => told(each.filter(({ cause }) => cause === id))).join(' | ')} |`,
    ),
  ];
}

const EIGHT = [0, 1, 2, 3, 4, 5, 6, 7];
const SEEDS = [1_000, 2_000, 3_000];
const RECORDED = [
  ['everything recorded', []],
  ['no sticks, wind and hold', ['sticks', 'wind', 'hold']],
] as const;

/** Flights of the second model, at 10 to 50 lines a second, read and ranked. */
function readStories(
  stories: readonly ((nth: number) => FlightStory)[],
  leavesOut: Recorder['leavesOut'],
): readonly { readonly cause: CauseId | null; readonly ranking: Ranking }[] {
  return stories.flatMap((make) =>
    SEEDS.flatMap((seed) =>
      EIGHT.map((nth) => {
        const recorder = { hz: [50, 20, 10, 25][nth % 4]!, wanderM: [0.1, 0.5, 1][nth % 3]!, leavesOut };
        const { log, atS, ended, solids } = recordStory(make(nth), recorder, seed + 7 * nth);
        const evidence = evidenceFrom({ track: log, cuts: [], atS, ended, facts: CRAFT, solids });
        return { cause: make(nth).cause, ranking: rankOf(evidence) };
      }),
    ),
  );
}

function sayFlights(): readonly string[] {
  const troubles = RECORDED.map(([name, leavesOut]) =>
    sayJudged(
      `second model, ${name}`,
      readStories(TROUBLES, leavesOut).map(({ cause, ranking }) => ({
        cause: cause!,
        causes: ranking.causes,
      })),
    ),
  );
  const fresh = RECORDED.map(([name, leavesOut]) => ({
    name: `kinds that no reader was worked on, ${name}`,
    judged: readStories(FRESH_TROUBLES, leavesOut).map(({ cause, ranking }) => ({
      cause: cause!,
      causes: ranking.causes,
    })),
  }));
  const good = RECORDED.flatMap(([, leavesOut]) => readStories(GOOD_FLIGHTS, leavesOut));
  const leaning = good.filter(({ ranking }) => ranking.stance !== 'not-known').length;
  return [
    ...troubles,
    ...fresh.map(({ name, judged }) => sayJudged(name, judged)),
    '',
    '| said, flights of such kinds | right |',
    '| --- | --- |',
    saidAndRight(fresh.flatMap(({ judged }) => judged)),
    '',
    `Good flights that lean to a cause: ${leaning} of ${good.length}.`,
  ];
}

/** @param mentions whether what was in it is asked in one go beforehand, which counts as one question */
function sayAsking(cases: readonly Case[], mentions: boolean): string {
  const mentioned = (each: Case) => (mentions ? mentionedIn(each.evidence) : null);
  const until = (each: Case) => questionsUntilRight(each, CRAFT, mentioned(each));
  const counts = cases.map(until).sort((a, b) => a - b);
  const at = (share: number) => counts[Math.floor(share * (counts.length - 1))]!;
  const wind = cases.filter(({ cause }) => cause === 'wind-displacement').map(until);
  return `${mentions ? 'With what was in it asked in one go first: questions' : 'Questions'} until the right cause is first and stays: median ${at(0.5)}, nine in ten by ${at(0.9)}; carried by the wind ${wind.join(' and ')}.`;
}

/** Processor time of a ranking in ms, the median of rounds over all told cases, with and without what is asked next. */
function costs(asks: boolean): number {
  const rounds = Array.from({ length: 7 }, () => {
    const before = process.cpuUsage();
    for (const { evidence } of TOLD_CASES) {
      const ranking = rankOf(evidence);
      if (asks) void ranking.nextQuestions.length;
    }
    const { user, system } = process.cpuUsage(before);
    return (user + system) / 1000 / TOLD_CASES.length;
  }).sort((a, b) => a - b);
  return rounds[3]!;
}

const sayCosts = (): string =>
  `Processor time of one ranking: ${costs(false).toFixed(2)} ms, with the gain of every question ${costs(true).toFixed(1)} ms (a phone: four times; aims 5 and 50 ms there).`;

export function sayWhy(): string {
  const draw = drawFrom(8);
  const drawn = (cases: readonly Case[]) => Array.from({ length: DRAWS }, () => oneWrong(cases, draw)).flat();
  const wrong = drawn([...CASES, ...TOLD_CASES]);
  const freshWrong = drawn(FOURTH_TOLD_CASES);
  return [
    '| cases | first | first three | 80 % or more, and wrong | Brier |',
    '| --- | --- | --- | --- | --- |',
    sayCases('common practice, ours', CASES),
    ...TOLD_SETS.flatMap((set) => [
      sayCases(set.name, set.cases),
      ...(set.again.length > 0 ? [sayCases('the same, coded again on another day', codedAgain(set))] : []),
    ]),
    sayCases('all told freely', TOLD),
    sayCases('all that are coded again', AGAIN),
    sayCases('the strongest answer lost', strongestLost([...CASES, ...TOLD_CASES], CRAFT)),
    sayCases(`one answer wrong, ${DRAWS} draws`, wrong),
    sayCases('nothing moved after reading, one answer wrong', freshWrong),
    ...sayFlights(),
    '',
    sayPairs(TOLD),
    ...TOLD_SETS.filter(({ again }) => again.length > 0).map(sayAgreement),
    sayAsking([...CASES, ...TOLD_CASES], false),
    sayAsking([...CASES, ...TOLD_CASES], true),
    sayCosts(),
    '',
    ...sayReliabilities('told apart from the weights', AGAIN),
    ...sayReliabilities('one answer wrong', wrong),
    ...sayReliabilities('told, nothing moved after reading', FOURTH_TOLD_CASES),
    ...sayReliabilities('the same, one answer wrong', freshWrong),
    ...sayReliabilities('the same, the strongest lost', strongestLost(FOURTH_TOLD_CASES, CRAFT)),
    ...sayByCause([
      ['told', TOLD],
      ['one answer wrong', [...wrong, ...freshWrong]],
    ]),
  ].join('\n');
}
