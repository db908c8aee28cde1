/** What stands between the parts of a list, by how it is meant. */
export const BETWEEN: Readonly<Record<string, string>> = {
  comma: ', ',
  or: ' or ',
  and: ' and ',
  spaced: ' ',
};

/** What a value must be, as whoever typed or sent it would say. */
export const KIND_NAMES: Readonly<Record<string, string>> = {
  string: 'text',
  number: 'a number',
  boolean: 'true or false',
  array: 'a list',
  object: 'an object with named fields',
  date: 'a day',
  mixed: 'something else',
};

/** A request's whole body, where no field of it has a name. */
export const BODY = 'The body';
