import type { FirstMinuteId } from '@skelby/core/debrief/first-minutes';

/** The first ten minutes after a crash. Common practice; local rules and whoever is called come first. */
export const FIRST_MINUTE_WORDS: Readonly<Record<FirstMinuteId, string>> = {
  people: 'People first: is anybody hurt? Help, and call for help, before anything else',
  call: 'Called, with where you are and how to get here',
  motors: 'Motors stopped, transmitter kept on until the battery is out',
  apart: 'Everybody kept back: a bent rotor may still turn',
  pack: 'Damaged battery out if that is safe, on bare ground, away from all, watched for half an hour: it may burn',
  fire: 'Dry grass or heather wetted or watched; a burning battery is left to burn out, upwind of the smoke',
  left: 'Craft and its log left as they are',
  pictures: 'Pictures of where it lies, how it lies, and from where it was flown',
  witnesses: 'Who saw it: names, and what each saw, before they talk it over',
  pilot: 'The pilot: sat down, warm, not alone; no more flying today unless they ask',
  report:
    'Asked whether this must be reported, to whom and by when: hurt people and damage to others usually must',
};
