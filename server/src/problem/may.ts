import { may, type Right, type Role } from '@skelby/core/people/roles';
import { Problem } from './problem';

/** What a refusal says, by the right that is wanting. */
const WANTED: Readonly<Record<Right, string>> = {
  own: 'Sign in to go on.',
  read: 'Your account opens nothing here: ask the owner of the school.',
  train: 'Your account reads and enters nothing: ask a lead of the school to make you a trainer.',
  'keep-records': 'Your account reads and enters nothing: ask a lead of the school to make you a trainer.',
  'take-out': 'Your account takes no files out: ask a trainer of the school.',
  history: 'The history is for trainers: ask one of them.',
  'bring-in': 'Only a lead or the owner of the school brings files in: ask one of them.',
  'set-school': 'Only a lead or the owner of the school sets this: ask one of them.',
  people: 'Only a lead or the owner of the school sees to its people: ask one of them.',
  forget: 'Only the owner of the school may forget a pilot: ask them.',
};

/** @throws Problem 403 when whoever acts has not this right. A tool, or whoever holds a pilot's link, has no role. */
export function assertMay({ role }: { readonly role?: Role }, right: Right): void {
  if (role !== undefined && !may(role, right)) throw new Problem(403, 'Not yours to do', WANTED[right]);
}
