import { ZxcvbnFactory } from '@zxcvbn-ts/core';
import { adjacencyGraphs, dictionary as common } from '@zxcvbn-ts/language-common';
import { dictionary as english } from '@zxcvbn-ts/language-en';
import { badField } from '../problem/problem';

const SHORTEST = 12;
const LONGEST = 200;
/** Of 0 to 4, as zxcvbn counts (Wheeler 2016): from here on it takes more than a hundred million guesses. */
const LEAST_SCORE = 3;

let judge: ZxcvbnFactory | null = null;
/** Made when it is first needed: its word lists are some megabytes. */
const judgeOf = (): ZxcvbnFactory =>
  (judge ??= new ZxcvbnFactory({ dictionary: { ...common, ...english }, graphs: adjacencyGraphs }));

/**
 * Refuses a password that is short, common, breached or made of what anybody knows of its owner. No composition rules
 * (NIST SP 800-63B).
 * @param known name, address and school of whoever will use it
 * @throws Problem 422 naming the field and what to do
 */
export function assertStrong(password: string, known: readonly string[]): void {
  if (password.length < SHORTEST)
    throw badField('password', `Password is too short: give at least ${SHORTEST} characters.`);
  if (password.length > LONGEST)
    throw badField('password', `Password is too long: give at most ${LONGEST} characters.`);
  const parts = known.flatMap((each) => [each, ...each.split(/[\s@.-]+/)]);
  if (judgeOf().check(password, parts).score < LEAST_SCORE)
    throw badField(
      'password',
      'Password is easily guessed: take four words that have nothing to do with each other or with you.',
    );
}
