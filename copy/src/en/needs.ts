import type { Need } from '@skelby/core/restrictions/limits';

/** What has to be seen to before such a pilot flies. */
export const NEED_WORDS: Readonly<Record<Need, string>> = {
  spotter: 'A spotter who takes all talk',
  takeover: 'The trainer ready to take over',
  'trainer-beside': 'The trainer beside the pilot',
  'mode-read-back': 'The mode read back from the display',
  'failsafe-signed': 'The failsafe card for this site, signed by the trainer',
  'failsafe-hover': 'The automatic action set to hover',
  'calibration-seen': 'The calibration witnessed',
  'two-packs': 'Two batteries charged, so that none is flown too long',
  inspected: 'The craft dry, inspected and released',
  'pad-down': 'A pad, or hard level ground',
  'slow-setting': 'The slow setting on',
  'people-aside': 'Nobody within 15 m to the side',
  'none-backwards': 'Nothing flown backwards outside its own drills',
  'no-wires': 'No wires within 50 m',
  'wide-gaps': 'No gap tighter than 4 spans outside its own drills',
  'no-spins': 'No spin-turns',
  'one-stick': 'One stick at a time',
  'in-line': 'The craft itself in direct line all the way',
  'lists-aloud': 'Pre-flight and pre-landing read aloud, witnessed',
  'no-birds': 'No nesting or mobbing birds here',
};
