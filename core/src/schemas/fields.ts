import './own-words';
import type { DrillId } from '../drills/drills';
import { array, boolean, mixed, number, object, string } from 'yup';
import { type CauseId, isCauseId } from '../causes/causes';
import { isDay, isInstant } from '../vocabulary/day';
import { UUID } from '../vocabulary/key';

/**
 * Building blocks for the shapes. Each message names the field, the limit and the remedy, since
 * forms and API show it as it stands.
 */

/** Keys are made by the client (UUIDv7), so that a repeated request is the same row. */
export const key = (label: string) =>
  string()
    .strict()
    .defined(`${label} is missing: pick one.`)
    .nonNullable(`${label} is missing: pick one.`)
    .typeError(`${label} must be a UUID in lower case.`)
    .matches(UUID, `${label} must be a UUID in lower case.`);

export const keyOrNone = (label: string) =>
  mixed<string>()
    .nullable()
    .default(null)
    .test(
      'key',
      `${label} must be a UUID in lower case, or null.`,
      (value) => value === null || (typeof value === 'string' && UUID.test(value)),
    );

/** Half of a surrogate pair, or a NUL: no text, and no database keeps it. */
const NO_TEXT = /\p{Surrogate}|\0/u;
/** Stands for a value that is no text at all, so that nothing after it takes it for some. */
const NOT_TEXT = '\0';
export const readableText = (label: string) =>
  string()
    .transform((value: string, original: unknown) =>
      typeof original === 'string' || original === undefined || original === null ? value : NOT_TEXT,
    )
    .test('readable', (value, { createError }) => {
      if (value === NOT_TEXT) return createError({ message: `${label} is no text: write it as text.` });
      return typeof value === 'string' && NO_TEXT.test(value)
        ? createError({
            message: `${label} holds a character that is no text: delete it, or type it again.`,
          })
        : true;
    });

export const line = (label: string, longest: number) =>
  readableText(label)
    .trim()
    .defined()
    .nonNullable()
    .required(`${label} is empty: write something.`)
    .max(longest, `${label} is too long: at most ${longest} characters, so shorten it.`);

export const text = (label: string, longest: number) =>
  readableText(label)
    .trim()
    .nonNullable()
    .default('')
    .max(longest, `${label} is too long: at most ${longest} characters, so shorten it.`);

/** A reason a trainer gives for going against what is proposed. */
export const reason = () =>
  readableText('Reason')
    .trim()
    .defined()
    .nonNullable()
    .required('Reason is empty: say why in a few words.')
    .min(3, 'Reason is too short: say why in a few words.')
    .max(300, 'Reason is too long: at most 300 characters, so shorten it.');

const withUnit = (value: number, unit: string) => (unit ? `${value} ${unit}` : `${value}`);

export const quantity = (label: string, least: number, most: number, unit = '') =>
  number()
    .transform((value: number, original: unknown) =>
      original === '' || original === null ? undefined : value,
    )
    .defined(`${label} is missing: give a number from ${least} to ${withUnit(most, unit)}.`)
    .typeError(`${label} is not a number: give one from ${least} to ${withUnit(most, unit)}.`)
    .min(
      least,
      `${label} is below ${withUnit(least, unit)}: give a number from ${least} to ${withUnit(most, unit)}.`,
    )
    .max(
      most,
      `${label} is above ${withUnit(most, unit)}: give a number from ${least} to ${withUnit(most, unit)}.`,
    );

export const quantityOrNone = (label: string, least: number, most: number, unit = '') =>
  number()
    .transform((value: number, original: unknown) => (original === '' || original === null ? null : value))
    .typeError(
      `${label} is not a number: give one from ${least} to ${withUnit(most, unit)}, or leave it empty.`,
    )
    .min(
      least,
      `${label} is below ${withUnit(least, unit)}: give a number from ${least} to ${withUnit(most, unit)}, or leave it empty.`,
    )
    .max(
      most,
      `${label} is above ${withUnit(most, unit)}: give a number from ${least} to ${withUnit(most, unit)}, or leave it empty.`,
    )
    .nullable()
    .default(null);

export const whole = (label: string, least: number, most: number, unit = '') =>
  quantity(label, least, most, unit).integer(
    `${label} must be a whole number from ${least} to ${withUnit(most, unit)}.`,
  );

export const choice = <T extends string | number>(label: string, values: readonly T[]) =>
  mixed<T>()
    .defined(`${label} is missing: pick one of ${values.join(', ')}.`)
    .nonNullable(`${label} is missing: pick one of ${values.join(', ')}.`)
    .test('choice', `${label} must be one of ${values.join(', ')}: pick one of these.`, (value) =>
      (values as readonly unknown[]).includes(value),
    );

export const choiceOrNone = <T extends string>(label: string, values: readonly T[]) =>
  mixed<T>()
    .nullable()
    .default(null)
    .test(
      'choice',
      `${label} must be one of ${values.join(', ')}, or left empty: pick one of these.`,
      (value) => value === null || (values as readonly unknown[]).includes(value),
    );

export const yesNo = (label: string) =>
  boolean()
    .strict()
    .defined(`${label} is missing: say true or false.`)
    .nonNullable()
    .typeError(`${label} must be true or false.`);

/** True or false, or as usual where nothing is said. */
export const yesNoOr = <T extends boolean | null>(label: string, usual: T) =>
  mixed<boolean>()
    .nullable()
    .default(usual)
    .test(
      'yes-no',
      `${label} must be true or false.`,
      (value) => typeof value === 'boolean' || value === usual || value === undefined,
    );

/** True or false, never empty; as usual where nothing is said. */
export const yesNoUsually = (label: string, usual: boolean) =>
  mixed<boolean>()
    .default(usual)
    .nonNullable(`${label} must be true or false.`)
    .test('yes-no', `${label} must be true or false.`, (value) => typeof value === 'boolean');

export const day = (label: string) =>
  string()
    .strict()
    .defined()
    .nonNullable()
    .typeError(`${label} must be a day written YYYY-MM-DD, such as 2026-05-31.`)
    .test(
      'day',
      `${label} must be a day written YYYY-MM-DD, such as 2026-05-31.`,
      (value) => typeof value === 'string' && isDay(value),
    );

export const instant = (label: string) =>
  string()
    .strict()
    .defined()
    .nonNullable()
    .typeError(`${label} must be an instant in UTC, such as 2026-05-31T09:30:00.000Z.`)
    .test(
      'instant',
      `${label} must be an instant in UTC, such as 2026-05-31T09:30:00.000Z.`,
      (value) => typeof value === 'string' && isInstant(value),
    );

/** An instant, or nothing at all. */
export const instantIfAny = (label: string) =>
  string()
    .strict()
    .test(
      'instant',
      `${label} must be an instant in UTC, such as 2026-05-31T09:30:00.000Z.`,
      (value) => value === undefined || isInstant(value),
    );

export const drillIds = (label: string) =>
  array(string<DrillId>().strict().defined())
    .strict()
    .defined(`${label} is missing: give a list of drill ids.`)
    .typeError(`${label} must be a list of drill ids.`);

export const causeId = (label: string) =>
  string<CauseId>()
    .strict()
    .defined(`${label} is missing: pick one.`)
    .nonNullable()
    .test(
      'cause',
      `${label} is not a known cause: pick one from the list.`,
      (value) => typeof value === 'string' && isCauseId(value),
    );

export const causeIdOrNone = (label: string) =>
  mixed<CauseId>()
    .nullable()
    .default(null)
    .test(
      'cause',
      `${label} is not a known cause: pick one from the list, or null.`,
      (value) => value === null || (typeof value === 'string' && isCauseId(value)),
    );

export const reasonShape = object({ reason: reason() }).noUnknown();
