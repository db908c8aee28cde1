import { percent } from '@skelby/core/vocabulary/percent';
import { relapseLimitOf } from '@skelby/core/clearance/choose-limit';
import { type ClearingRule, DEFAULT_RULE, isFirstEdition } from '@skelby/core/clearance/clearing-rule';
import type { Watch } from '@skelby/core/clearance/watch';
import type { WatchWaits } from '@skelby/core/clearance/watch-waits';
import { useState } from 'react';
import { Button } from '../ui/Button';
import { useWorker } from '../ui/use-worker';
import type { ToWait } from './waits.worker';
import { Note } from '../ui/Note';
import { Part } from '../ui/Screen';
import { Words } from '../ui/Words';
import { CurveChart } from '.';
import { sayDay } from '../copy/dates';
import { plural } from '../copy/copy';

/** What the relapse chart shows, and what its limit means. */
function relapseSentences(watch: Watch, rule: ClearingRule): readonly string[] {
  if (!isFirstEdition(rule)) return watchSentences(watch, rule);
  const limit = relapseLimitOf(rule);
  const flown = watch.curve.scores.length - 1;
  return [
    flown === 0
      ? 'No test or check flown since the signature.'
      : `${plural(flown, 'rep')} since the signature: ${watch.curve.scores.at(-1) === 0 ? 'nothing points to a relapse.' : `${percent(watch.curve.scores.at(-1)! / watch.curve.limit)} of the way to being called back.`}`,
    `A pilot back to missing ${rule.unacceptableMissPercent} % is called back after ${limit.repsToTrueAlarm.toFixed(0)} reps on average; one who misses ${rule.acceptableMissPercent} % falsely only once in ${limit.repsToFalseAlarm.toFixed(0)} reps.`,
  ];
}

/** What the evidence says since the test was passed, and what a watch does when it falls. */
function watchSentences({ curve }: Watch, rule: ClearingRule): readonly string[] {
  const now = curve.scores.at(-1)!;
  return [
    now === 0
      ? 'Nothing points to a relapse.'
      : `${percent(Math.min(1, now / curve.limit))} of the way to a second check: misses since the test was passed.`,
    `A failed check limits the pilot at once and asks for a second within a week; failing that too calls back. Checks are at most ${rule.mostDaysBetweenChecks ?? DEFAULT_RULE.mostDaysBetweenChecks} days apart.`,
  ];
}

export function RelapseChart({ watch, rule }: { readonly watch: Watch; readonly rule: ClearingRule }) {
  const [shows, means] = relapseSentences(watch, rule);
  return (
    <>
      {watch.curve.scores.length > 1 ? (
        <CurveChart curve={watch.curve} name="Relapse chart" sentence={shows!} named={false} />
      ) : (
        <Words>{shows}</Words>
      )}
      <Words as="soft">{means}</Words>
    </>
  );
}

const waitsWorker = () =>
  new Worker(new URL(require.unstable_resolveWorker('./waits.worker.ts'), window.location.href), {
    type: 'module',
  });

/** How long a relapse may go unseen, worked out when it is asked: it takes a second, and longer on a phone. */
function Waits({ watch, rule }: { readonly watch: Watch; readonly rule: ClearingRule }) {
  const [isAsked, setIsAsked] = useState(false);
  const cells = watch.next.drills.map(({ drillId, side = null }) => ({ drillId, side }));
  const { answer, failed } = useWorker<ToWait, WatchWaits>(waitsWorker, isAsked ? { rule, cells } : null);
  if (!isAsked)
    return <Button kind="quiet" label="How long may a relapse go unseen?" onPress={() => setIsAsked(true)} />;
  if (failed) return <Words as="strong" role="alert">{`! ${failed}`}</Words>;
  return (
    <Words as="soft" role="status">
      {answer ? waitsSentence(answer, rule) : 'Working it out …'}
    </Words>
  );
}

const within = (days: number | null): string => (days === null ? 'more than a year' : plural(days, 'day'));

const waitsSentence = (
  { halfLimitedDays, nineInTenLimitedDays, soundCalledBack }: WatchWaits,
  { unacceptableMissPercent, acceptableMissPercent }: ClearingRule,
): string =>
  `By the checks alone, a pilot who falls back to missing ${unacceptableMissPercent} %, on whatever day, is limited within ${within(halfLimitedDays)} in half of all cases, within ${within(nineInTenLimitedDays)} in nine of ten. Of sound pilots, who miss ${acceptableMissPercent} %, ${percent(soundCalledBack)} are called back in a year.`;

/** The checks flown, the next one, and the chart that may call the pilot back. */
export function OnWatch({ watch, rule }: { readonly watch: Watch; readonly rule: ClearingRule }) {
  return (
    <Part heading="On watch">
      {watch.secondBy ? (
        <Note icon="slash" heading="Limited again">
          {`A second check by ${sayDay(watch.secondBy)} decides: passed, the limit is lifted; failed, the test is open again.`}
        </Note>
      ) : null}
      <Words>{`Next check ${sayDay(watch.next.from)}: spaced by how long a skill lasts after ${plural(watch.checks.filter((check) => check.passed).length, 'passed check')}.`}</Words>
      {watch.checks.length > 0 ? (
        <Words as="soft">{`Checks: ${watch.checks.map((check) => `${sayDay(check.day)} ${check.passed ? 'passed' : 'not kept'}`).join('; ')}.`}</Words>
      ) : null}
      <RelapseChart watch={watch} rule={rule} />
      {isFirstEdition(rule) ? null : <Waits watch={watch} rule={rule} />}
    </Part>
  );
}
