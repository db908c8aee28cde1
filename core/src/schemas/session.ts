import { LEVELS } from '../vocabulary/training';
import { array, boolean, type InferType, number, object, string } from 'yup';
import { FLIGHT_MODES } from '../vocabulary/flying';
import { PURPOSES } from '../clearance/facts';
import { SIDES } from '../drills/drill';
import { isDrillId, type DrillId } from '../drills/drills';
import {
  causeIdOrNone,
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
import { fieldSaid } from './field-said';

export const SESSION_STATES = ['planned', 'running', 'done'] as const;
export type SessionState = (typeof SESSION_STATES)[number];

/** Hours and minutes of the day. */
export const CLOCK = /^([01]\d|2[0-3]):[0-5]\d$/;

const MOST_PACKS = 12;
const MOST_BLOCKS = 12;

const blockShape = object({
  id: text('block', 200),
  pilotId: key('pilot'),
  /** These two are null where it is flown for the course. */
  weaknessId: keyOrNone('weakness'),
  causeId: causeIdOrNone('cause'),
  drillId: string<DrillId>()
    .strict()
    .defined(fieldSaid('field.pick-one', { label: 'drill' }))
    .test('drill', fieldSaid('field.no-drill', { label: 'drill' }), (value) => isDrillId(value ?? '')),
  side: choiceOrNone('side', SIDES),
  purpose: choice('purpose', PURPOSES),
  level: number().oneOf(LEVELS, fieldSaid('rep.other-level')).defined(),
  reps: whole('reps', 1, 40),
  mode: choiceOrNone('mode', FLIGHT_MODES),
  minutes: quantity('minutes', 0.5, 60, 'min'),
  gain: quantity('gain', 0, 100),
  isNew: boolean().strict().defined(),
  after: array(readableText('after').max(80).defined()).max(80).defined(),
  apartFrom: readableText('apart-from').max(200).nullable().default(null),
  why: text('why', 300),
}).noUnknown();

/** What is looked at before a session: a dozen things of the day, and of each pilot and craft a dozen more. */
export const MOST_LOOKED_AT = 250;

/** A day's flying as it was laid out, started and ended. */
export const sessionShape = object({
  day: day('day'),
  state: choice('state', SESSION_STATES),
  siteId: keyOrNone('site'),
  windMps: quantity('wind', 0, 40, 'm/s'),
  startsAt: string()
    .strict()
    .defined(fieldSaid('session.start-missing'))
    .matches(CLOCK, { message: fieldSaid('session.no-start') }),
  lightUntil: string()
    .strict()
    .nullable()
    .default(null)
    .matches(CLOCK, { message: fieldSaid('session.no-light-until') }),
  packsThere: whole('packs', 1, MOST_PACKS),
  packMinutes: quantity('minutes-per-pack', 1, 60, 'min'),
  minutes: number()
    .strict()
    .min(5, fieldSaid('session.time-below', { least: 5 }))
    .max(720, fieldSaid('session.time-above', { most: 720 }))
    .nullable()
    .default(null),
  packs: array(
    object({
      pilotId: key('pilot'),
      blocks: array(blockShape)
        .max(MOST_BLOCKS, fieldSaid('session.too-many-blocks', { most: MOST_BLOCKS }))
        .defined(),
    }).noUnknown(),
  )
    .max(MOST_PACKS, fieldSaid('session.most-packs', { most: MOST_PACKS }))
    .defined(fieldSaid('session.packs-missing')),
  goNoGo: object({
    at: instant('time-of-go-or-no-go'),
    items: array(object({ words: text('item', 200), ok: boolean().strict().defined() }).noUnknown())
      .max(MOST_LOOKED_AT)
      .defined(),
    /** Why it was flown although something was not in order. */
    reason: text('reason', 300),
  })
    .noUnknown()
    .nullable()
    .default(null),
  /** What the pilots themselves saw after a pack, and what each works on next. */
  own: array(
    object({
      pilotId: key('pilot'),
      pack: whole('pack', 1, MOST_PACKS),
      mistakes: array(text('mistake', 120)).max(10).defined(),
      next: text('next', 120),
    }).noUnknown(),
  )
    .max(MOST_PACKS)
    .default([]),
}).noUnknown();
export type SessionFields = InferType<typeof sessionShape>;
