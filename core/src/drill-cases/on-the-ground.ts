import { type Deck, type DrillCase, pairs } from './case';

/** Cases that are the same for every craft. */
const deckOf = (cases: readonly DrillCase[]): Deck =>
  cases.map(({ id, ...rest }) => ({ id, of: () => rest }));

/** Set up by the trainer with the packs out and away from the craft. Common practice in inspections. */
const PLANTED: readonly (readonly [id: string, says: string, answer: string])[] = [
  ['rotor-loose', 'One rotor a turn loose', 'Finds the loose rotor'],
  ['rotor-chipped', 'A chipped rotor put on', 'Finds the chip and changes the rotor'],
  ['rotor-swapped', 'Two neighbouring rotors swapped', 'Says which rotor turns the wrong way'],
  ['rotor-grass', 'A blade of grass round one shaft', 'Turns every rotor by hand and finds the grass'],
  ['cover-on', 'The lens cover left on', 'Takes the cover off'],
  ['clamp-on', 'The camera clamp left on', 'Takes the clamp off'],
  ['leg-folded', 'One leg or arm not locked', 'Locks the leg or arm'],
  ['latch-open', 'The pack in, its latch not home', 'Presses the pack until it latches'],
  ['pack-low', 'A half-empty pack put in', 'Reads the charge and changes the pack'],
  ['pack-warm', 'A pack that was just flown put in', 'Feels that it is warm and lets it rest'],
  ['card-out', 'The memory card taken out', 'Says that the card is missing'],
  ['nose-mark', 'The nose mark turned away or taken off', 'Says where the nose is and puts the mark on'],
  ['switch-off', 'The mode switch not enabled in the settings', 'Tries the switch and reads the display'],
  ['setting-fast', 'The fast setting left on', 'Reads the setting and takes slow'],
  ['home-old', 'The home point left at the last place', 'Reads home on the map and sets it here'],
  ['home-tree', 'The pad laid under a branch', 'Looks up and moves the pad'],
  ['metal', 'The pad laid on a steel cover', 'Moves off the metal and says why'],
  ['calibration', 'The record says that this is a new place', 'Calibrates before anything else'],
  ['limit-off', 'The height limit switched off', 'Reads the limit and sets it'],
  ['return-low', 'The return height set under the trees', 'Names the tallest thing and sets the height'],
  ['antenna', 'An antenna folded in', 'Unfolds it, broadside to the craft'],
  ['people', 'Somebody stands behind the pilot', 'Takes the last look behind and sends them off'],
  ['wires', 'A wire over the way out, not on the sketch', 'Names the wire and another way'],
  ['exposure', 'The picture set far too dark', 'Sees it on the screen and sets it'],
];

export const PLANTED_DECK: Deck = deckOf(
  PLANTED.map(([id, says, answer]) => ({ id, says, answer: `${answer}.` })),
);

const SIDES = ['ahead', 'behind you', 'the left', 'the right'] as const;
const BY_THE_SPOT: readonly (readonly [id: string, says: string, answer: string])[] = [
  ['grass', 'long grass on the spot', 'another spot, short and hard'],
  ['person', 'somebody steps toward the spot', 'stops and waits until they are off'],
  ['bag', 'a bag with loose straps beside it', 'the bag moved first'],
  ['slope', 'the spot slopes', 'a level spot'],
  ['sheet', 'a loose sheet by the pad', 'the sheet weighted or gone'],
  ['dog', 'a dog off its lead', 'up and away until it is held'],
];
const FACING: Readonly<Record<(typeof SIDES)[number], string>> = {
  ahead: 'away from you',
  'behind you': 'toward you, or lands with the tail to you and says so',
  'the left': 'to the left',
  'the right': 'to the right',
};

/** The order is always the same; what it meets is not. Common practice. */
export const LANDING_DECK: Deck = deckOf(
  pairs(SIDES, BY_THE_SPOT).map(([side, [id, says, answer]], i) => ({
    id: `${id}-${SIDES.indexOf(side) + 1}`,
    says: `Wind from ${side}; ${says}; setting ${i % 2 === 0 ? 'fast' : 'normal'}, legs ${i % 3 === 0 ? 'up' : 'down'}.`,
    answer: `Slow setting; nose ${FACING[side]}; ${answer}; legs ${i % 3 === 0 ? 'let down' : 'seen down'}; nobody near; down; motors stopped before a hand leaves the sticks.`,
  })),
);

const NEAR: readonly (readonly [id: string, says: string, answer: string])[] = [
  ['car', 'A car', 'the car'],
  ['cover', 'A steel manhole cover', 'the steel cover'],
  ['rail', 'A steel railing', 'the railing'],
  ['concrete', 'A slab of reinforced concrete', 'the iron in the concrete'],
  ['speaker', 'A loudspeaker', 'the magnet of the loudspeaker'],
  ['line', 'A power line overhead', 'the power line'],
];
const QUARTERS = ['north', 'east', 'south', 'west'] as const;

/** Common practice; the makers' papers say how the turns are done. */
export const CALIBRATION_DECK: Deck = deckOf(
  pairs(NEAR, QUARTERS).map(([[id, says, answer], quarter], i) => ({
    id: `${id}-${quarter}`,
    says: `${says} ${5 + (i % 4)} steps to the ${quarter}; keys and phone in the pocket.`,
    answer: `Away from ${answer}, to the ${QUARTERS[(QUARTERS.indexOf(quarter) + 2) % 4]!}; keys and phone laid aside; level turn, then nose-down turn; hover: it stands, and forward is forward.`,
  })),
);

const SETTINGS = ['slow', 'normal', 'fast'] as const;

/** What the display shows is right; where a switch stands is not. */
export const READ_BACK_DECK: Deck = deckOf(
  pairs(
    pairs(SETTINGS, ['on', 'off'] as const),
    pairs(['set', 'not set'] as const, ['left', 'knocked'] as const),
  ).map(([[setting, sensors], [home, lever]]) => ({
    id: `${setting}-${sensors}-${home.replace(' ', '-')}-${lever}`,
    says: `Where the pilot does not see it: setting ${setting}, sensors ${sensors}, home ${home}. Power off and on. ${
      lever === 'left' ? 'Leave the switch on another setting.' : 'Knock the switch once it has started.'
    }`,
    answer: `Switches it out and back, then reads from the display: setting${lever === 'left' ? ' (it fell back)' : ' (it was knocked)'}, then takes ${setting}; sensors ${sensors}; home ${home}; mode; hold; fix.`,
  })),
);

/** Orders of three settings, all but the same three times over. */
export const SETTING_ORDER_DECK: Deck = deckOf(
  pairs(SETTINGS, pairs(SETTINGS, SETTINGS))
    .map(([first, [second, third]]) => [first, second, third] as const)
    .filter(([first, second, third]) => new Set([first, second, third]).size > 1)
    .map((order) => ({
      id: order.join('-'),
      says: `In this order: ${order.join(', ')}. Set it where the pilot does not see the switch.`,
      answer: `Reads ${order.join(', ')} from the display, and stops each time at the mark of that setting.`,
    })),
);
