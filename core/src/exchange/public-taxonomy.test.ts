import { CAUSES } from '../causes/causes';
import { INJURIES } from '../debrief/severity';
import { questionOf } from '../evidence/questions';
import { FLIGHT_PHASES, inPublicWords, OCCURRENCE_CATEGORIES } from './public-taxonomy';

/** Whatever was told has its public word, and what was not told has none made up for it. */

const question = questionOf('phase');
const PHASES = question.kind === 'choice' ? question.values : [];
const NOTHING = { causeId: null, phase: null, injury: null, damage: null, kind: 'crash' } as const;

test('every cause in every phase has a category and a phase of the lists, and unknown is only what was not told', () => {
  for (const { id } of CAUSES)
    for (const phase of PHASES) {
      const told = inPublicWords({ ...NOTHING, causeId: id, phase });
      expect(OCCURRENCE_CATEGORIES).toContain(told.category);
      expect(FLIGHT_PHASES).toContain(told.phase);
      expect([id, phase, told.category, told.phase]).not.toEqual([id, phase, 'UNK', 'Unknown']);
      expect(told.phase).not.toBe('Unknown');
    }
  expect(inPublicWords(NOTHING)).toEqual({
    ...{ category: 'UNK', phase: 'Unknown', injury: 'Unknown', damage: 'Unknown' },
  });
});

// Definitions of the categories, from memory: CTOL is a collision with an obstacle while taking off or landing, CFIT one
// in flight without loss of control; FUEL is power that ran out; LOC-G and LOC-I are control lost on ground and in flight.
test.each([
  ['obstacle-overrun', 'cruise', 'CFIT'],
  ['obstacle-overrun', 'landing', 'CTOL'],
  ['obstacle-thin', 'takeoff', 'CTOL'],
  ['height-loss', 'landing', 'CFIT'],
  ['ground-wash', 'takeoff', 'LOC-G'],
  ['orientation-nose-in', 'hover', 'LOC-I'],
  ['battery-overrun', 'return', 'FUEL'],
  ['wildlife', 'cruise', 'BIRD'],
] as const)('%s in %s is %s', (causeId, phase, category) => {
  expect(inPublicWords({ ...NOTHING, causeId, phase }).category).toBe(category);
});

test('nothing is made better or worse than it was told', () => {
  for (const injury of INJURIES)
    expect(inPublicWords({ ...NOTHING, injury }).injury).toBe(
      { none: 'None', 'first-aid': 'Minor', medical: 'Minor or serious' }[injury],
    );
  expect(inPublicWords({ ...NOTHING, damage: [] }).damage).toBe('None');
  expect(inPublicWords({ ...NOTHING, damage: ['rotors'] }).damage).toBe('Minor or substantial');
  expect(inPublicWords({ ...NOTHING, kind: 'near-miss' }).damage).toBe('None');
});
