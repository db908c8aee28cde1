import type { NearId, PlantedId, SpotId } from '@skelby/core/drill-cases/on-the-ground';

/** What is read out or set up, and what is right. */
export interface CaseWords {
  readonly says: string;
  readonly right: string;
}

export const PLANTED_WORDS: Readonly<Record<PlantedId, CaseWords>> = {
  'rotor-loose': { says: 'One rotor a turn loose', right: 'Finds the loose rotor' },
  'rotor-chipped': { says: 'A chipped rotor put on', right: 'Finds the chip and changes the rotor' },
  'rotor-swapped': { says: 'Two neighbouring rotors swapped', right: 'Says which rotor turns the wrong way' },
  'rotor-grass': {
    says: 'A blade of grass round one shaft',
    right: 'Turns every rotor by hand and finds the grass',
  },
  'cover-on': { says: 'The lens cover left on', right: 'Takes the cover off' },
  'clamp-on': { says: 'The camera clamp left on', right: 'Takes the clamp off' },
  'leg-folded': { says: 'One leg or arm not locked', right: 'Locks the leg or arm' },
  'latch-open': { says: 'The battery in, its latch not home', right: 'Presses the battery until it latches' },
  'pack-low': { says: 'A half-empty battery put in', right: 'Reads the charge and changes the battery' },
  'pack-warm': {
    says: 'A battery that was just flown put in',
    right: 'Feels that it is warm and lets it rest',
  },
  'card-out': { says: 'The memory card taken out', right: 'Says that the card is missing' },
  'nose-mark': {
    says: 'The nose mark turned away or taken off',
    right: 'Says where the nose is and puts the mark on',
  },
  'switch-off': {
    says: 'The mode switch not enabled in the settings',
    right: 'Tries the switch and reads the display',
  },
  'setting-fast': { says: 'The fast setting left on', right: 'Reads the setting and takes slow' },
  'home-old': {
    says: 'The home point left at the last place',
    right: 'Reads home on the map and sets it here',
  },
  'home-tree': { says: 'The pad laid under a branch', right: 'Looks up and moves the pad' },
  metal: { says: 'The pad laid on a steel cover', right: 'Moves off the metal and says why' },
  calibration: { says: 'The record says that this is a new place', right: 'Calibrates before anything else' },
  'limit-off': { says: 'The height limit switched off', right: 'Reads the limit and sets it' },
  'return-low': {
    says: 'The return height set under the trees',
    right: 'Names the tallest thing and sets the height',
  },
  antenna: { says: 'An antenna folded in', right: 'Unfolds it, broadside to the craft' },
  people: {
    says: 'Somebody stands behind the pilot',
    right: 'Takes the last look behind and sends them off',
  },
  wires: { says: 'A wire over the way out, not on the sketch', right: 'Names the wire and another way' },
  exposure: { says: 'The picture set far too dark', right: 'Sees it on the screen and sets it' },
};

export const SPOT_WORDS: Readonly<Record<SpotId, CaseWords>> = {
  grass: { says: 'long grass on the spot', right: 'another spot, short and hard' },
  person: { says: 'somebody steps toward the spot', right: 'stops and waits until they are off' },
  bag: { says: 'a bag with loose straps beside it', right: 'the bag moved first' },
  slope: { says: 'the spot slopes', right: 'a level spot' },
  sheet: { says: 'a loose sheet by the pad', right: 'the sheet weighted or gone' },
  dog: { says: 'a dog off its lead', right: 'up and away until it is held' },
};

export const NEAR_WORDS: Readonly<Record<NearId, CaseWords>> = {
  car: { says: 'A car', right: 'the car' },
  cover: { says: 'A steel manhole cover', right: 'the steel cover' },
  rail: { says: 'A steel railing', right: 'the railing' },
  concrete: { says: 'A slab of reinforced concrete', right: 'the iron in the concrete' },
  speaker: { says: 'A loudspeaker', right: 'the magnet of the loudspeaker' },
  line: { says: 'A power line overhead', right: 'the power line' },
};

/** Places at which a link is lost, and what lies under the way. Made-up places of a mountain-rescue air unit. */
export const LOST_LINK_PLACES: Readonly<Record<string, { readonly says: string; readonly below: string }>> = {
  meadow: { says: 'Meadow, hay barn', below: 'the mown track' },
  hut: { says: 'Slope with a hut and its flagpole', below: 'the hut door' },
  pylon: { says: 'Valley floor, one pylon', below: 'the wires' },
  mast: { says: 'Ridge with a relay mast', below: 'the hikers’ path' },
  quarry: { says: 'Quarry, rim all round', below: 'the crusher' },
  lift: { says: 'Chair-lift line, tallest support', below: 'the chairs' },
  church: { says: 'Field beside a steeple', below: 'the churchyard' },
  snow: { says: 'Snow bowl, nothing built', below: 'the ski track' },
  crane: { says: 'Open ground, a crane works', below: 'the crew' },
  spruce: { says: 'Clearing, spruces at its edge', below: 'the log pile' },
  turbine: { says: 'Hill with a wind turbine', below: 'the service road' },
  dam: { says: 'Lake behind a dam', below: 'the open water' },
  ferry: { says: 'Lake shore, ferry mast', below: 'the landing stage' },
  tarn: { says: 'Tarn, low shore', below: 'the bathers' },
  gorge: { says: 'River gorge, walls', below: 'the rapids' },
  'tall-limit': {
    says: 'Cliff on the way home; the height limit here is low',
    below: 'the climbers at the foot',
  },
  beech: { says: 'Under beeches', below: 'the picnic benches' },
  street: { says: 'Between barns in a yard', below: 'the yard' },
  bridge: { says: 'Under a road bridge', below: 'the stream' },
  hall: { says: 'In a drill hall', below: 'the people' },
  awning: { says: 'Open side of a long roof', below: 'the parked cars' },
};
