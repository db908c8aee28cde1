import type { Findings } from '@skelby/core/debrief/findings';

/** What a debrief decides, by the names on its screens; answers have the words of their questions. */
export const FINDING_WORDS: Readonly<Record<Exclude<keyof Findings, 'evidence'>, string>> = {
  ownPick: 'your own guess',
  primary: 'the cause',
  contributing: 'contributing causes',
  overruleReason: 'why it was decided otherwise',
  actual: 'what it came to',
  potential: 'what it could come to',
  likelihood: 'how likely that is',
  damage: 'damage',
  injury: 'injury',
  thirdParty: 'third party',
  wentWell: 'what went well',
  chain: 'the chain',
  nameWithheld: 'name withheld',
};
