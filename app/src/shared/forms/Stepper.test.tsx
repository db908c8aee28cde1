import { fireEvent, render, screen } from '@testing-library/react-native';
import { useState } from 'react';
import { Stepper } from './Stepper';

let last: number | null = null;
function Held({ start, step = 0.5 }: { readonly start: number | null; readonly step?: number }) {
  const [value, setValue] = useState(start);
  return (
    <Stepper
      label="Speed"
      unit="m/s"
      value={value}
      step={step}
      least={0}
      most={10}
      onChange={(next) => {
        last = next;
        setValue(next);
      }}
    />
  );
}

test('steps land on round numbers and stop at the limits', () => {
  render(<Held start={3.2} />);
  fireEvent.press(screen.getByLabelText('Speed: more'));
  expect(last).toBe(3.5);
  for (let i = 0; i < 20; i += 1) fireEvent.press(screen.getByLabelText('Speed: more'));
  expect(last).toBe(10);
  for (let i = 0; i < 40; i += 1) fireEvent.press(screen.getByLabelText('Speed: less'));
  expect(last).toBe(0);
});

test('a number may be typed with comma or point; what is no number is none, and stays to be mended', () => {
  render(<Held start={3} />);
  fireEvent.changeText(screen.getByLabelText('Speed'), '4,5');
  expect(last).toBe(4.5);
  fireEvent.changeText(screen.getByLabelText('Speed'), 'fast');
  expect(last).toBeNull();
  expect(screen.getByLabelText('Speed').props.value).toBe('fast');
});
