import type { Role } from '@skelby/core/people/roles';

export const ROLE_WORDS: Readonly<Record<Role, string>> = {
  owner: 'Owner',
  lead: 'Lead',
  trainer: 'Trainer',
  reader: 'Reader',
  pilot: 'Pilot',
};

/** What each may do, in a line. */
export const ROLE_MEANS: Readonly<Record<Role, string>> = {
  owner: 'all of it, and may forget a pilot',
  lead: 'trains, sets the school, brings files in, sees to its people',
  trainer: 'logs, debriefs, plans, counts, signs',
  reader: 'reads, and enters nothing',
  pilot: 'sees their own page, and nothing else',
};
