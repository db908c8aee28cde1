/**
 * What is done in the first ten minutes after a crash, in this order. Common practice; local rules and whoever is
 * called come first.
 */
export const FIRST_MINUTES = [
  { id: 'people', words: 'People first: is anybody hurt? Help, and call for help, before anything else' },
  { id: 'call', words: 'Called, with where you are and how to get here' },
  { id: 'motors', words: 'Motors stopped, transmitter kept on until the pack is out' },
  { id: 'apart', words: 'Everybody kept back: a bent rotor may still turn' },
  {
    id: 'pack',
    words:
      'Damaged pack out if that is safe, on bare ground, away from all, watched for half an hour: it may burn',
  },
  {
    id: 'fire',
    words: 'Dry grass or heather wetted or watched; a burning pack is left to burn out, upwind of the smoke',
  },
  { id: 'left', words: 'Craft and its log left as they are' },
  { id: 'pictures', words: 'Pictures of where it lies, how it lies, and from where it was flown' },
  { id: 'witnesses', words: 'Who saw it: names, and what each saw, before they talk it over' },
  { id: 'pilot', words: 'The pilot: sat down, warm, not alone; no more flying today unless they ask' },
  {
    id: 'report',
    words:
      'Asked whether this must be reported, to whom and by when: hurt people and damage to others usually must',
  },
] as const;
export type FirstMinuteId = (typeof FIRST_MINUTES)[number]['id'];
