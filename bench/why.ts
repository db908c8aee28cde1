import { drawFrom } from '@skelby/core/clearance/evidence/simulated';
import { answersOf, type Evidence } from '@skelby/core/evidence/evidence';
import { type Case, CASES } from '@skelby/core/ranking/cases';
import { type ToldCase, TOLD_CASES } from '@skelby/core/ranking/cases-told';
import { LIKELY_FROM, rank, type Ranking } from '@skelby/core/ranking/rank';
import { oneWrong, strongestLost } from '@skelby/core/ranking/stressed';
import { craftFacts, USUAL_CRAFT } from '@skelby/core/vocabulary/craft-facts';
import { sayShare } from './ranking';

/** Why, not what: how often the ranking finds the cause, on cases by origin and made harder by machine. */

const CRAFT = craftFacts(USUAL_CRAFT);
const rankOf = (evidence: Evidence): Ranking => rank(answersOf(evidence), CRAFT);
const DRAWS = 8;

function sayCases(name: string, cases: readonly Case[]): string {
  const ranked = cases.map((each) => ({ ...each, causes: rankOf(each.evidence).causes }));
  const place = ({ cause, causes }: (typeof ranked)[number]) => causes.findIndex(({ id }) => id === cause);
  const first = ranked.filter((each) => place(each) === 0).length;
  const three = ranked.filter((each) => place(each) < 3).length;
  const sure = ranked.filter(({ causes }) => causes[0]!.probability >= LIKELY_FROM);
  const wrong = sure.filter((each) => place(each) !== 0).length;
  const brier = ranked.reduce(
    (sum, { cause, causes }) =>
      sum + causes.reduce((of, { id, probability }) => of + (probability - (id === cause ? 1 : 0)) ** 2, 0),
    0,
  );
  return `| ${name} | ${sayShare(first, cases.length)} | ${sayShare(three, cases.length)} | ${wrong} of ${sure.length} | ${(brier / cases.length).toFixed(3)} |`;
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
function sayReliability(cases: readonly Case[]): string {
  const ranked = cases.map(({ cause, evidence }) => ({ cause, top: rankOf(evidence).causes[0]! }));
  return [0.2, 0.4, 0.6, 0.8]
    .map((from) => ranked.filter(({ top }) => top.probability >= from && top.probability < from + 0.2))
    .filter((bin) => bin.length > 0)
    .map((bin) => {
      const said = bin.reduce((sum, { top }) => sum + top.probability, 0) / bin.length;
      const right = bin.filter(({ cause, top }) => top.id === cause).length;
      return `| ${(100 * said).toFixed(0)} % | ${sayShare(right, bin.length)} |`;
    })
    .join('\n');
}

const MOST_ASKED = 40;

/** Questions asked in its own order until the right cause is first and stays; what a case does not tell is skipped. */
function questionsUntilRight({ cause, evidence }: Case): number {
  const told: Record<string, Evidence[string]> = {};
  const skipped = new Set<string>();
  let stays = 0;
  for (let asked = 0; asked <= MOST_ASKED; asked += 1) {
    const { causes, nextQuestions } = rankOf(told);
    if (causes[0]!.id !== cause) stays = asked + 1;
    const next = nextQuestions.find(({ id }) => !skipped.has(id));
    if (!next) break;
    const answer = evidence[next.id];
    if (answer === undefined) skipped.add(next.id);
    else told[next.id] = answer;
  }
  return stays;
}

function sayAsking(cases: readonly Case[]): string {
  const counts = cases.map(questionsUntilRight).sort((a, b) => a - b);
  const at = (share: number) => counts[Math.floor(share * (counts.length - 1))]!;
  const wind = cases.filter(({ cause }) => cause === 'wind-displacement').map(questionsUntilRight);
  return `Questions until the right cause is first and stays: median ${at(0.5)}, nine in ten by ${at(0.9)}; carried by the wind ${wind.join(' and ')}.`;
}

export function sayWhy(): string {
  const draw = drawFrom(8);
  const wrong = Array.from({ length: DRAWS }, () => oneWrong([...CASES, ...TOLD_CASES], draw)).flat();
  return [
    '| cases | first | first three | 70 % or more, and wrong | Brier |',
    '| --- | --- | --- | --- | --- |',
    sayCases('common practice, ours', CASES),
    sayCases('told freely, ours', TOLD_CASES),
    sayCases('the strongest answer lost', strongestLost([...CASES, ...TOLD_CASES], CRAFT)),
    sayCases(`one answer wrong, ${DRAWS} draws`, wrong),
    '',
    sayPairs(TOLD_CASES),
    sayAsking(CASES),
    '',
    '| said, one answer wrong | right |',
    '| --- | --- |',
    sayReliability(wrong),
  ].join('\n');
}
