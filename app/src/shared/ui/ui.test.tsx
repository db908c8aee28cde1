import type { Role } from '@skelby/core/people/roles';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { fireEvent, render, screen } from '@testing-library/react-native';
import { Choice } from '../forms/Choice';
import { LargeLadder, SmallLadder } from './Ladder';
import { ReasonForm } from '../forms/ReasonForm';
import { TextBox } from '../forms/TextBox';
import { May } from './May';
import { Rows } from './Rows';
import { Words } from './Words';
import type { ReactElement } from 'react';

// Another tab tells nothing here.
Object.assign(window, { addEventListener: () => {}, removeEventListener: () => {} });

/** As whoever is signed in with a role. */
function renderAs(role: Role, children: ReactElement): void {
  const client = new QueryClient({ defaultOptions: { queries: { gcTime: Infinity } } });
  client.setQueryData(['me'], { role });
  render(<QueryClientProvider client={client}>{children}</QueryClientProvider>);
}
const SignEarly = ({ onGive }: { readonly onGive: (reason: string) => void }) => (
  <ReasonForm open="Sign early" question="Why?" act="Do it" busy={false} error={null} onGive={onGive} />
);

test('a small ladder says how many rungs are met', () => {
  render(<SmallLadder shares={[1, 1, 0.5, 0, 0]} />);
  expect(screen.getByLabelText('2 of 5 steps')).toBeTruthy();
});

test('the large ladder reads from the signature down to the test, each with its words', () => {
  render(
    <LargeLadder
      rungs={[
        { id: 'test', met: true, share: 1, words: 'At the limit.' },
        { id: 'signed', met: false, share: 0, words: 'Not yet.' },
      ]}
    />,
  );
  expect(screen.getAllByText(/Signed|Test ✓/).map((node) => node.props.children)).toEqual([
    'Signed',
    'Test ✓',
  ]);
  expect(screen.getByText('At the limit.')).toBeTruthy();
});

test('a choice shows the chosen one by a tick and not by colour alone', () => {
  const onChange = jest.fn();
  render(
    <Choice
      label="Side"
      value="left"
      onChange={onChange}
      options={[
        { value: 'left', label: 'Left' },
        { value: 'right', label: 'Right' },
      ]}
    />,
  );
  expect(screen.getByText('✓ Left')).toBeTruthy();
  fireEvent.press(screen.getByText('Right'));
  expect(onChange).toHaveBeenCalledWith('right');
});

test('what is out of the ordinary is not done without a reason, and the reason is kept while it is sent', () => {
  const onGive = jest.fn();
  renderAs('trainer', <SignEarly onGive={onGive} />);
  fireEvent.press(screen.getByText('Sign early'));
  fireEvent.press(screen.getByText('Do it'));
  expect(onGive).not.toHaveBeenCalled();
  expect(screen.getByText('! Reason is empty: say why in a few words.')).toBeTruthy();
  fireEvent.changeText(screen.getByLabelText('Why?'), '  Flew it clean  ');
  fireEvent.press(screen.getByText('Do it'));
  expect(onGive).toHaveBeenCalledWith('Flew it clean');
});

test('whoever only reads is not asked for a reason, nor shown what may only be done by others', () => {
  renderAs(
    'reader',
    <>
      <SignEarly onGive={() => {}} />
      <May right="take-out">
        <Words>Save all of it</Words>
      </May>
      <May right="read">
        <Words>History</Words>
      </May>
    </>,
  );
  expect(screen.queryByText('Sign early')).toBeNull();
  expect(screen.queryByText('Save all of it')).toBeNull();
  expect(screen.getByText('History')).toBeTruthy();
});

test('a field in error says so in words beside it', () => {
  render(
    <TextBox label="Wind" value="40" error="Wind is above 30 m/s: give less." onChangeText={() => {}} />,
  );
  expect(screen.getByText('! Wind is above 30 m/s: give less.')).toBeTruthy();
});

test('a long list draws its beginning until the others are asked for; one or two more are drawn at once', () => {
  const lines = (count: number) =>
    Array.from({ length: count }, (_, i) => <Words key={i}>{`Line ${i + 1}`}</Words>);
  const { rerender } = render(<Rows atFirst={5}>{lines(7)}</Rows>);
  expect(screen.getAllByText(/^Line/)).toHaveLength(7);
  rerender(<Rows atFirst={5}>{lines(40)}</Rows>);
  expect(screen.getAllByText(/^Line/)).toHaveLength(5);
  fireEvent.press(screen.getByLabelText('All 40 of this list'));
  expect(screen.getAllByText(/^Line/)).toHaveLength(40);
  expect(screen.queryByLabelText('All 40 of this list')).toBeNull();
});
