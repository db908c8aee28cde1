import { chainInWords } from '@skelby/copy/chain';
import { proposeChain } from '@skelby/core/debrief/chain';
import { NOTHING } from '@skelby/core/evidence/question';
import { answersOf } from '@skelby/core/evidence/evidence';
import { craftFacts, USUAL_CRAFT } from '@skelby/core/vocabulary/craft-facts';
import { rank } from '@skelby/core/ranking/rank';
import { fireEvent, render, screen } from '@testing-library/react-native';
import { ChainEditor, ChainLine } from './ChainEditor';
import { RankingPanel } from './RankingPanel';
import { SeverityMatrix } from './SeverityMatrix';

const CRAFT = craftFacts(USUAL_CRAFT);
const TOLD = { nose: 'toward', first_move: 'opposite', phase: 'landing' };
const ALWAYS_ASKED = {
  attention: 'on-craft',
  feeling: 'tense',
  position_hold: 'on',
  setting_expected: 'same',
  auto_return: 'none',
  link: 'steady',
};

test('with nothing told the ranking says so; the reasons come with the answers, as factors and in words', () => {
  const { rerender } = render(<RankingPanel ranking={rank(NOTHING, CRAFT)} onAsk={() => {}} />);
  expect(screen.getByText('Not known yet: too little speaks for any one cause. Ask on.')).toBeTruthy();
  rerender(<RankingPanel ranking={rank(answersOf(TOLD), CRAFT)} onAsk={() => {}} />);
  expect(screen.getByText('It leans so far already; what is always asked is still to come.')).toBeTruthy();
  expect(screen.getAllByText('always asked').length).toBeGreaterThan(0);
  rerender(<RankingPanel ranking={rank(answersOf({ ...TOLD, ...ALWAYS_ASKED }), CRAFT)} onAsk={() => {}} />);
  expect(screen.getByText('Likely. The decision is yours.')).toBeTruthy();
  expect(screen.getAllByText(/Nose toward the pilot, and it went the opposite way/).length).toBeGreaterThan(
    0,
  );
  expect(screen.getAllByText(/^×\d+\.\d$/).length).toBeGreaterThan(1);
});

test('what would change the ranking is asked by a tap', () => {
  const onAsk = jest.fn();
  render(
    <RankingPanel ranking={rank(answersOf({ nose: 'toward', phase: 'landing' }), CRAFT)} onAsk={onAsk} />,
  );
  fireEvent.press(screen.getByText('Your first correction: which way did it go?'));
  expect(onAsk).toHaveBeenCalledWith('first_move');
});

test('what it could have come to cannot be less than what it came to', () => {
  const onPotential = jest.fn();
  render(
    <SeverityMatrix
      actual="major"
      potential={null}
      likelihood={null}
      onActual={() => {}}
      onPotential={onPotential}
    />,
  );
  fireEvent.press(screen.getByLabelText('It could be: Small repair, likely. Risk medium'));
  expect(onPotential).not.toHaveBeenCalled();
  fireEvent.press(screen.getByLabelText('It could be: Somebody hurt, possibly. Risk high'));
  expect(onPotential).toHaveBeenCalledWith('hazardous', 'possible');
});

test('the chain marks where the drills go, and moves with it', () => {
  const chain = chainInWords(
    proposeChain(answersOf({ attention: 'talked-to' }), 'orientation-nose-in', ['distraction'], 'crash'),
  );
  render(<ChainLine chain={chain} />);
  expect(screen.getAllByText('Training breaks it here: this is where the drills go.')).toHaveLength(1);
  const onChange = jest.fn();
  render(<ChainEditor chain={chain} onChange={onChange} />);
  fireEvent.press(screen.getByLabelText('Move link 2 up'));
  expect(onChange.mock.calls[0][0].map((link: { words: string }) => link.words).slice(0, 2)).toEqual([
    'Distraction',
    'Attention: somebody talked',
  ]);
});
