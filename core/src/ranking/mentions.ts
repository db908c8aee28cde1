import type { MissReason } from '../clearance/facts';
import type { Evidence } from '../evidence/evidence';
import type { QuestionId } from '../evidence/questions';

/** What a pilot is asked about in one go before anything else, since it is rare, decisive, and else comes late. */
interface Mention {
  readonly id: string;
  /** The questions that it opens, each with the answers that are nothing out of the ordinary. */
  readonly asks: Readonly<Partial<Record<QuestionId, readonly string[]>>>;
}

const ROWS = [
  {
    id: 'by-itself',
    asks: { auto_return: ['none'] },
  },
  {
    id: 'not-as-thought',
    asks: { setting_expected: ['same'], position_hold: ['on', 'off'] },
  },
  {
    id: 'air',
    asks: { drift_direction: ['neither', 'own-momentum'], airflow_step: ['no'], wind_side: ['calm'] },
  },
  { id: 'rain', asks: { precipitation: ['none'] } },
  { id: 'animals', asks: { wildlife: ['none'] } },
  { id: 'people', asks: { over_people: ['no'], obstacle_kind: [] } },
  {
    id: 'picture',
    asks: { view: ['direct-sight'], camera_view: ['level'], picture_delay: ['none'] },
  },
  { id: 'far', asks: { in_sight: ['yes'], light: ['clear'] } },
  { id: 'link', asks: { link: ['steady'] } },
  { id: 'battery', asks: { low_battery: ['none'] } },
  {
    id: 'motors',
    asks: { motors_cut: ['no'], motor_sound: ['steady'], after_inspection: ['sound'] },
  },
  {
    id: 'mind',
    asks: { attention: ['on-craft', 'on-screen'], feeling: ['calm'] },
  },
  {
    id: 'wrong-stick',
    asks: { sticks_before: ['small', 'large', 'released', 'held-on'] },
  },
  {
    id: 'left-out',
    asks: { craft_check: ['passed'], left_undone: ['none'] },
  },
] as const satisfies readonly Mention[];
export type MentionId = (typeof ROWS)[number]['id'];

export const MENTIONS: readonly (Mention & { readonly id: MentionId })[] = ROWS;

/** What is asked of a mistake that was seen, in a video say: common practice. What was seen is the result, not the cause. */
export const QUESTIONS_OF_MISTAKES: Readonly<Record<MissReason, readonly QuestionId[]>> = {
  'wrong-first-move': ['first_move', 'nose_believed', 'sticks_before'],
  'off-the-mark': ['correction_effect', 'drift_direction'],
  height: ['height_trend', 'height_hold'],
  nose: ['yaw_without_roll', 'attention'],
  'too-fast': ['setting_expected', 'speed_setting'],
  'too-late': ['noticed', 'attention'],
  'sensor-stopped-it': ['sensors'],
  'taken-over': ['feeling', 'sticks_before'],
};

/** What steers the asking and is no answer: what was mentioned, and mistakes that were seen. */
export type Steering = MentionId | MissReason;

/** The questions that what was mentioned or seen opens. */
export const askedOf = (steering: readonly Steering[]): ReadonlySet<string> =>
  new Set([
    ...MENTIONS.filter(({ id }) => steering.includes(id)).flatMap(({ asks }) => Object.keys(asks)),
    ...steering.flatMap((each) => QUESTIONS_OF_MISTAKES[each as MissReason] ?? []),
  ]);

/** What would have been mentioned of a case: whatever of it was out of the ordinary. */
export const mentionedIn = (evidence: Evidence): readonly MentionId[] =>
  MENTIONS.filter(({ asks }) =>
    Object.entries(asks).some(([id, ordinary]) => {
      const told = evidence[id as QuestionId];
      if (typeof told !== 'string' || told === 'unknown') return false;
      return id === 'obstacle_kind' ? told === 'person' : !(ordinary as readonly string[]).includes(told);
    }),
  ).map(({ id }) => id);
