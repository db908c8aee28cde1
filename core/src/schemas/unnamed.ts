import { setLocale } from 'yup';
import { fieldSaid } from './field-said';

interface Wrong {
  readonly path?: string;
}

/** A field that no shape names by a label is called by its path; none: the body itself. */
const at = ({ path }: Wrong) => ({ path: path ?? '' });

/** Where a shape has no sentence of its own, the field and the remedy are named all the same. */
setLocale({
  mixed: {
    default: (wrong: Wrong) => fieldSaid('unnamed.wrong', at(wrong)),
    required: (wrong: Wrong) => fieldSaid('unnamed.missing', at(wrong)),
    defined: (wrong: Wrong) => fieldSaid('unnamed.missing', at(wrong)),
    notNull: (wrong: Wrong) => fieldSaid('unnamed.empty', at(wrong)),
    notType: ({ type, ...wrong }: Wrong & { type: string }) =>
      fieldSaid('unnamed.other-kind', { ...at(wrong), kind: type }),
  },
  string: {
    max: ({ max, ...wrong }: Wrong & { max: number }) =>
      fieldSaid('unnamed.text-too-long', { ...at(wrong), max }),
    min: ({ min, ...wrong }: Wrong & { min: number }) =>
      fieldSaid('unnamed.text-too-short', { ...at(wrong), min }),
  },
  array: {
    max: ({ max, ...wrong }: Wrong & { max: number }) =>
      fieldSaid('unnamed.list-too-long', { ...at(wrong), max }),
    min: ({ min, ...wrong }: Wrong & { min: number }) =>
      fieldSaid('unnamed.list-too-short', { ...at(wrong), min }),
  },
  object: {
    noUnknown: ({ unknown, ...wrong }: Wrong & { unknown: readonly string[] }) =>
      fieldSaid('unnamed.unknown-fields', { ...at(wrong), fields: [unknown].flat() }),
  },
});
