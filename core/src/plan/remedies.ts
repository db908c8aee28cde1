import type { CauseId } from '../causes/causes';
import type { DrillId } from '../drills/drills';
import type { Evidence } from '../evidence/evidence';
import type { QuestionId } from '../evidence/questions';

/** An answer of a debrief that a plan hangs on. */
export interface ToldReason {
  readonly question: QuestionId;
  readonly value: string;
}

/** What an answer asks for, under some causes or under any, the most telling first. */
interface Remedy {
  readonly question: QuestionId;
  readonly values: readonly string[];
  /** Absent: whatever the cause is. */
  readonly under?: readonly CauseId[];
  readonly drills: readonly DrillId[];
}

/** Common practice: one and the same cause is trained away otherwise by what was behind it. */
const REMEDIES: readonly Remedy[] = [
  // A gap: seven reasons, seven plans.
  { question: 'gap_reason', values: ['slow-entry'], drills: ['circle-both-ways'] },
  { question: 'gap_reason', values: ['air-moved-it'], drills: ['airflow-step', 'crab-leg'] },
  { question: 'gap_reason', values: ['hands-twitched'], drills: ['half-thumb', 'soft-centre-stick'] },
  { question: 'gap_reason', values: ['eyes-on-frame'], drills: ['portal-drop'] },
  { question: 'gap_reason', values: ['hesitated'], drills: ['breathe-and-brief'] },
  { question: 'gap_reason', values: ['height-bobbed'], drills: ['circle-height-steps'] },
  { question: 'gap_reason', values: ['next-not-ready'], drills: ['figure-eight'] },
  // Side-on in wind is not side-on in calm.
  {
    question: 'wind_side',
    values: ['head', 'tail', 'cross'],
    under: ['orientation-side-on', 'orientation-nose-in'],
    drills: ['into-wind-hover'],
  },
  { question: 'wind_side', values: ['calm'], under: ['orientation-side-on'], drills: ['lateral-line'] },
  { question: 'wind_side', values: ['tail'], under: ['wind-displacement'], drills: ['downwind-turn'] },
  { question: 'airflow_step', values: ['yes'], under: ['wind-displacement'], drills: ['airflow-step'] },
  // Lost by distance, by light, or off the screen.
  {
    question: 'in_sight',
    values: ['barely', 'no'],
    under: ['orientation-lost', 'beyond-sight', 'obstacle-thin'],
    drills: ['stand-off-judging'],
  },
  {
    question: 'light',
    values: ['glare', 'dusk', 'silhouette'],
    under: ['orientation-lost', 'orientation-nose-in', 'orientation-side-on'],
    drills: ['look-away-recover', 'mirror-call'],
  },
  {
    question: 'attention',
    values: ['on-screen'],
    under: ['orientation-lost', 'obstacle-blind-side', 'obstacle-overrun', 'beyond-sight', 'people-near'],
    drills: ['camera-scan'],
  },
  { question: 'place', values: ['indoors', 'trees'], under: ['no-gps-drift'], drills: ['leg-circuit'] },
  {
    question: 'hold_expected',
    values: ['yes'],
    under: ['no-gps-drift', 'coasting'],
    drills: ['mode-readback'],
  },
  {
    question: 'speed_setting',
    values: ['fast'],
    under: ['obstacle-overrun', 'overcontrol', 'mode-confusion'],
    drills: ['mode-stop-table'],
  },
  {
    question: 'phase',
    values: ['landing'],
    under: ['wash-settling', 'overcontrol', 'orientation-nose-in'],
    drills: ['pad-landing'],
  },
  { question: 'controller', values: ['motion', 'touch'], drills: ['tilt-hands'] },
  { question: 'camera_view', values: ['too-dark', 'too-bright', 'tilted', 'fogged'], drills: ['camera-set'] },
  { question: 'picture_delay', values: ['noticed'], drills: ['camera-scan'] },
  // Mind and habits, whatever the mechanism was.
  { question: 'attention', values: ['talked-to'], drills: ['pause-then-talk', 'spotter-shield'] },
  { question: 'attention', values: ['looked-away', 'mind-elsewhere'], drills: ['spotter-shield'] },
  { question: 'feeling', values: ['froze', 'startled', 'tense'], drills: ['breathe-and-brief'] },
  { question: 'feeling', values: ['rushed'], drills: ['prelanding-aloud', 'preflight-aloud'] },
  { question: 'setting_expected', values: ['different'], drills: ['mode-readback'] },
  { question: 'craft_check', values: ['not-done'], drills: ['preflight-aloud'] },
  { question: 'low_battery', values: ['ignored'], drills: ['land-by-reserve'] },
];

/** A plan hangs on so many answers of a debrief beside its deciding drills. */
const MOST = 2;

/** Of everything that a debrief tells, what a plan may hang on. */
export const reasonsTold = (evidence: Evidence): readonly ToldReason[] =>
  REMEDIES.flatMap(({ question, values }): readonly ToldReason[] => {
    const value = evidence[question];
    return typeof value === 'string' && values.includes(value) ? [{ question, value }] : [];
  }).filter(
    ({ question, value }, i, all) =>
      all.findIndex((each) => each.question === question && each.value === value) === i,
  );

export interface AskedDrill {
  readonly drillId: DrillId;
  readonly told: ToldReason;
}

/**
 * Supporting drills that the answers ask for under a cause, the most telling first; one for each answer.
 * @param fits whether a drill may stand in the plan beside those that decide
 */
export function askedByAnswers(
  causeId: CauseId,
  told: readonly ToldReason[],
  fits: (drillId: DrillId) => boolean,
): readonly AskedDrill[] {
  const asked: AskedDrill[] = [];
  for (const { question, values, under, drills } of REMEDIES) {
    if (asked.length >= MOST) break;
    const reason = told.find((each) => each.question === question && values.includes(each.value));
    if (!reason || (under && !under.includes(causeId))) continue;
    if (asked.some(({ told: before }) => before.question === question)) continue;
    const drillId = drills.find((id) => fits(id) && !asked.some((each) => each.drillId === id));
    if (drillId) asked.push({ drillId, told: reason });
  }
  return asked;
}
