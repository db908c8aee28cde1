import { answerIn } from '../../flight-log/flight-log';
import { rightAnswers } from '../asked';
import type { Segment } from '../segment';
import { measure } from './measure';
import { fromPilot, sinceStart } from './over-samples';

/** What was answered in a part, and when; null where nothing was. */
export function answerOf({
  events,
  samples,
}: Segment): { readonly answer: number; readonly atS: number } | null {
  const [from, to] = [samples[0]?.t ?? 0, samples.at(-1)?.t ?? 0];
  // The answer that ended the part before stands on this one's first line; the one that ends this on the next's.
  const given = events.find(({ t, is }) => t > from && answerIn(is) !== null);
  return given && given.t <= to + ENDS_WITHIN_S ? { answer: answerIn(given.is)!, atS: given.t } : null;
}
/** From the last line of a part to the first of the next at most, s: a log has a line every quarter of a second. */
const ENDS_WITHIN_S = 0.25;

/** Whether the answer was right at the moment at which it was given. */
export const saidRight = measure({
  unit: 'yes',
  label: 'Said right',
  missReason: 'off-the-mark',
  of: (segment) => {
    const { stage, samples, course } = segment;
    const s = samples.at(-1);
    if (!stage.asks || !s) return null;
    const right = rightAnswers(stage.asks, s, {
      fromPilotM: fromPilot(segment, samples.length - 1, s),
      things: course.things ?? [],
    });
    const given = answerOf(segment);
    if (!right) return null;
    return { value: given && right.includes(given.answer) ? 1 : 0, atS: given?.atS ?? sinceStart(segment) };
  },
});
