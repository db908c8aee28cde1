import './unnamed';
import type { DrillId } from '../drills/drills';
import { array, boolean, mixed, number, object, string } from 'yup';
import { CAUSES, type CauseId, isCauseId } from '../causes/causes';
import { isDay, isInstant } from '../vocabulary/day';
import { UUID } from '../vocabulary/key';
import { fieldSaid } from './field-said';
import type { FieldLabel } from './labels';

/**
 * Building blocks for the shapes. What is wrong is a sentence that names the field, the limit and the remedy, since
 * forms and API show it as it stands.
 */

/** What a shape is to a reader of JSON Schema, where it is tested by a rule of ours that no converter sees into. */
const asJson = (jsonSchema: object) => ({ jsonSchema });
const typeOf = (values: readonly (string | number)[]) =>
  typeof values[0] === 'number' ? 'number' : 'string';

/** Keys are made by the client (UUIDv7), so that a repeated request is the same row. */
export const key = (label: FieldLabel) =>
  string()
    .strict()
    .defined(fieldSaid('field.pick-one', { label }))
    .nonNullable(fieldSaid('field.pick-one', { label }))
    .typeError(fieldSaid('field.no-key', { label }))
    .matches(UUID, { message: fieldSaid('field.no-key', { label }) });

export const keyOrNone = (label: FieldLabel) =>
  mixed<string>()
    .nullable()
    .default(null)
    .test(
      'key',
      fieldSaid('field.no-key-nor-null', { label }),
      (value) => value === null || (typeof value === 'string' && UUID.test(value)),
    )
    .meta(asJson({ type: ['string', 'null'], pattern: UUID.source }));

/** Half of a surrogate pair, or a NUL: no text, and no database keeps it. */
const NO_TEXT = /\p{Surrogate}|\0/u;
/** Stands for a value that is no text at all, so that nothing after it takes it for some. */
const NOT_TEXT = '\0';
export const readableText = (label: FieldLabel) =>
  string()
    .transform((value: string, original: unknown) =>
      typeof original === 'string' || original === undefined || original === null ? value : NOT_TEXT,
    )
    .test('readable', (value, { createError }) => {
      if (value === NOT_TEXT) return createError({ message: fieldSaid('field.no-text', { label }) });
      return typeof value === 'string' && NO_TEXT.test(value)
        ? createError({
            message: fieldSaid('field.unreadable', { label }),
          })
        : true;
    });

export const line = (label: FieldLabel, longest: number) =>
  readableText(label)
    .trim()
    .defined()
    .nonNullable()
    .required(fieldSaid('field.empty', { label }))
    .max(longest, fieldSaid('field.too-long', { label, longest }));

export const text = (label: FieldLabel, longest: number) =>
  readableText(label)
    .trim()
    .nonNullable()
    .default('')
    .max(longest, fieldSaid('field.too-long', { label, longest }));

/** A reason a trainer gives for going against what is proposed. */
export const reason = () =>
  readableText('reason')
    .trim()
    .defined()
    .nonNullable()
    .required(fieldSaid('field.reason-empty'))
    .min(3, fieldSaid('field.reason-too-short'))
    .max(300, fieldSaid('field.too-long', { label: 'reason', longest: 300 }));

/** Limits as a sentence says them: its unit after the last figure. */
const limitsOf = (label: FieldLabel, least: number, most: number, unit: string) => ({
  label,
  least,
  most,
  unit: unit && ` ${unit}`,
});

export const quantity = (label: FieldLabel, least: number, most: number, unit = '') => {
  const limits = limitsOf(label, least, most, unit);
  return number()
    .transform((value: number, original: unknown) =>
      original === '' || original === null ? undefined : value,
    )
    .defined(fieldSaid('field.number-missing', limits))
    .typeError(fieldSaid('field.no-number', limits))
    .min(least, fieldSaid('field.below', limits))
    .max(most, fieldSaid('field.above', limits));
};

export const quantityOrNone = (label: FieldLabel, least: number, most: number, unit = '') => {
  const limits = limitsOf(label, least, most, unit);
  return number()
    .transform((value: number, original: unknown) => (original === '' || original === null ? null : value))
    .typeError(fieldSaid('field.no-number-nor-empty', limits))
    .min(least, fieldSaid('field.below-or-empty', limits))
    .max(most, fieldSaid('field.above-or-empty', limits))
    .nullable()
    .default(null);
};

export const whole = (label: FieldLabel, least: number, most: number, unit = '') =>
  quantity(label, least, most, unit).integer(
    fieldSaid('field.not-whole', limitsOf(label, least, most, unit)),
  );

export const choice = <T extends string | number>(label: FieldLabel, values: readonly T[]) =>
  mixed<T>()
    .defined(fieldSaid('field.pick-one-of', { label, values }))
    .nonNullable(fieldSaid('field.pick-one-of', { label, values }))
    .test('choice', fieldSaid('field.other-choice', { label, values }), (value) =>
      (values as readonly unknown[]).includes(value),
    )
    .meta(asJson({ type: typeOf(values), enum: values }));

export const choiceOrNone = <T extends string>(label: FieldLabel, values: readonly T[]) =>
  mixed<T>()
    .nullable()
    .default(null)
    .test(
      'choice',
      fieldSaid('field.other-choice-or-empty', { label, values }),
      (value) => value === null || (values as readonly unknown[]).includes(value),
    )
    .meta(asJson({ type: [typeOf(values), 'null'], enum: [...values, null] }));

export const yesNo = (label: FieldLabel) =>
  boolean()
    .strict()
    .defined(fieldSaid('field.yes-no-missing', { label }))
    .nonNullable()
    .typeError(fieldSaid('field.no-yes-no', { label }));

/** True or false, or as usual where nothing is said. */
export const yesNoOr = <T extends boolean | null>(label: FieldLabel, usual: T) =>
  mixed<boolean>()
    .nullable()
    .default(usual)
    .test(
      'yes-no',
      fieldSaid('field.no-yes-no', { label }),
      (value) => typeof value === 'boolean' || value === usual || value === undefined,
    )
    .meta(asJson({ type: usual === null ? ['boolean', 'null'] : 'boolean' }));

/** True or false, never empty; as usual where nothing is said. */
export const yesNoUsually = (label: FieldLabel, usual: boolean) =>
  mixed<boolean>()
    .default(usual)
    .nonNullable(fieldSaid('field.no-yes-no', { label }))
    .test('yes-no', fieldSaid('field.no-yes-no', { label }), (value) => typeof value === 'boolean')
    .meta(asJson({ type: 'boolean' }));

export const day = (label: FieldLabel) =>
  string()
    .strict()
    .defined()
    .nonNullable()
    .typeError(fieldSaid('field.no-day', { label }))
    .test('day', fieldSaid('field.no-day', { label }), (value) => typeof value === 'string' && isDay(value))
    .meta(asJson({ format: 'date' }));

export const instant = (label: FieldLabel) =>
  string()
    .strict()
    .defined()
    .nonNullable()
    .typeError(fieldSaid('field.no-instant', { label }))
    .test(
      'instant',
      fieldSaid('field.no-instant', { label }),
      (value) => typeof value === 'string' && isInstant(value),
    )
    .meta(asJson({ format: 'date-time' }));

/** An instant, or nothing at all. */
export const instantIfAny = (label: FieldLabel) =>
  string()
    .strict()
    .test(
      'instant',
      fieldSaid('field.no-instant', { label }),
      (value) => value === undefined || isInstant(value),
    );

export const drillIds = (label: FieldLabel) =>
  array(string<DrillId>().strict().defined())
    .strict()
    .defined(fieldSaid('field.drills-missing', { label }))
    .typeError(fieldSaid('field.no-drills', { label }));

export const causeId = (label: FieldLabel) =>
  string<CauseId>()
    .strict()
    .defined(fieldSaid('field.pick-one', { label }))
    .nonNullable()
    .test(
      'cause',
      fieldSaid('field.no-cause', { label }),
      (value) => typeof value === 'string' && isCauseId(value),
    )
    .meta(asJson({ enum: CAUSES.map(({ id }) => id) }));

export const causeIdOrNone = (label: FieldLabel) =>
  mixed<CauseId>()
    .nullable()
    .default(null)
    .test(
      'cause',
      fieldSaid('field.no-cause-nor-null', { label }),
      (value) => value === null || (typeof value === 'string' && isCauseId(value)),
    )
    .meta(asJson({ type: ['string', 'null'], enum: [...CAUSES.map(({ id }) => id), null] }));

export const reasonShape = object({ reason: reason() }).noUnknown();
