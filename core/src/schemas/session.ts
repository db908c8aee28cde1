import { LEVELS } from '../vocabulary/training';
import { array, boolean, type InferType, number, object, string } from 'yup';
import { FLIGHT_MODES } from '../vocabulary/flying';
import { PURPOSES } from '../clearance/facts';
import { SIDES } from '../drills/drill';
import { isDrillId, type DrillId } from '../drills/drills';
import {
  causeId,
  choice,
  choiceOrNone,
  day,
  instant,
  key,
  keyOrNone,
  quantity,
  readableText,
  text,
  whole,
} from './fields';

export const SESSION_STATES = ['planned', 'running', 'done'] as const;
export type SessionState = (typeof SESSION_STATES)[number];

/** Hours and minutes of the day. */
export const CLOCK = /^([01]\d|2[0-3]):[0-5]\d$/;

const MOST_PACKS = 12;
const MOST_BLOCKS = 12;

const blockShape = object({
  id: text('Block', 200),
  pilotId: key('Pilot'),
  weaknessId: key('Weakness'),
  causeId: causeId('Cause'),
  drillId: string<DrillId>()
    .strict()
    .defined('Drill is missing: pick one.')
    .test('drill', 'Drill is not a known drill: pick one from the list.', (value) => isDrillId(value ?? '')),
  side: choiceOrNone('Side', SIDES),
  purpose: choice('Purpose', PURPOSES),
  level: number().oneOf(LEVELS, 'Level must be -2, -1, 0 or 1: 0 is the standard.').defined(),
  reps: whole('Reps', 1, 40),
  mode: choiceOrNone('Mode', FLIGHT_MODES),
  minutes: quantity('Minutes', 0.5, 60, 'min'),
  gain: quantity('Gain', 0, 100),
  isNew: boolean().strict().defined(),
  after: array(readableText('After').max(80).defined()).max(80).defined(),
  apartFrom: readableText('Apart from').max(200).nullable().default(null),
  why: text('Why', 300),
}).noUnknown();

/** What is looked at before a session: a dozen things of the day, and of each pilot and craft a dozen more. */
export const MOST_LOOKED_AT = 250;

/** A day's flying as it was laid out, started and ended. */
export const sessionShape = object({
  day: day('Day'),
  state: choice('State', SESSION_STATES),
  siteId: keyOrNone('Site'),
  windMps: quantity('Wind', 0, 40, 'm/s'),
  startsAt: string()
    .strict()
    .defined('Start is missing: give hours and minutes.')
    .matches(CLOCK, 'Start must be written as hours:minutes, such as 09:30.'),
  lightUntil: string()
    .strict()
    .nullable()
    .default(null)
    .matches(CLOCK, 'Light until must be written as hours:minutes, such as 17:45.'),
  packsThere: whole('Packs', 1, MOST_PACKS),
  packMinutes: quantity('Minutes per pack', 1, 60, 'min'),
  minutes: number()
    .strict()
    .min(5, 'Time is below 5 min: give more, or none.')
    .max(720, 'Time is above 720 min: give less, or none.')
    .nullable()
    .default(null),
  packs: array(
    object({
      pilotId: key('Pilot'),
      blocks: array(blockShape)
        .max(MOST_BLOCKS, `A pack holds at most ${MOST_BLOCKS} blocks: move some to another.`)
        .defined(),
    }).noUnknown(),
  )
    .max(MOST_PACKS, `A session holds at most ${MOST_PACKS} packs: take some out.`)
    .defined('Packs are missing: give a list.'),
  goNoGo: object({
    at: instant('Time of go or no-go'),
    items: array(object({ words: text('Item', 200), ok: boolean().strict().defined() }).noUnknown())
      .max(MOST_LOOKED_AT)
      .defined(),
    /** Why it was flown although something was not in order. */
    reason: text('Reason', 300),
  })
    .noUnknown()
    .nullable()
    .default(null),
  /** What the pilots themselves saw after a pack, and what each works on next. */
  own: array(
    object({
      pilotId: key('Pilot'),
      pack: whole('Pack', 1, MOST_PACKS),
      mistakes: array(text('Mistake', 120)).max(10).defined(),
      next: text('Next', 120),
    }).noUnknown(),
  )
    .max(MOST_PACKS)
    .default([]),
}).noUnknown();
export type SessionFields = InferType<typeof sessionShape>;
