/** @jest-environment jsdom */
import { listenForClicks, type Press, unlessTwice } from './clicker';

const pressed: Press[] = [];
let stop: () => void = () => {};
beforeEach(() => {
  pressed.length = 0;
  stop = listenForClicks(window, (press) => pressed.push(press));
});
afterEach(() => stop());

const press = (key: string, more: KeyboardEventInit = {}, on: EventTarget = document.body) => {
  const event = new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true, ...more });
  on.dispatchEvent(event);
  return event.defaultPrevented;
};

test('a clicker, the arrows and the keys of a headset say met, missed and again; nothing else says anything', () => {
  for (const key of ['PageDown', 'ArrowRight', 'MediaTrackNext', 'AudioVolumeUp']) press(key);
  for (const key of ['PageUp', 'ArrowLeft', 'MediaTrackPrevious', 'AudioVolumeDown']) press(key);
  for (const key of ['b', '.', 'MediaPlayPause']) press(key);
  for (const key of ['Enter', ' ', 'm', 'Tab', 'Escape', 'Home']) expect(press(key)).toBe(false);
  expect(pressed).toEqual([
    ...Array.from({ length: 4 }, () => 'met'),
    ...Array.from({ length: 4 }, () => 'missed'),
    ...Array.from({ length: 3 }, () => 'again'),
  ]);
});

test('a key that is held, typed, or means something where it is pressed counts no rep', () => {
  press('PageDown', { repeat: true });
  for (const more of [{ altKey: true }, { ctrlKey: true }, { metaKey: true }]) press('ArrowLeft', more);
  document.body.innerHTML = '<textarea></textarea><input><div role="radio"><b></b></div><button></button>';
  for (const where of ['textarea', 'input', 'b'])
    expect(press('ArrowRight', {}, document.querySelector(where)!)).toBe(false);
  expect(pressed).toEqual([]);
  // A button that has the focus from the tap before is no reason not to.
  expect(press('PageDown', {}, document.querySelector('button')!)).toBe(true);
  expect(pressed).toEqual(['met']);
  stop();
  press('PageDown');
  expect(pressed).toEqual(['met']);
});

test('a finger that presses twice counts once, whatever it presses; two reps that follow count twice', () => {
  let [ms, count] = [0, 0];
  const act = unlessTwice(
    () => {
      count += 1;
    },
    () => ms,
  );
  act('met');
  ms = 150;
  act('missed');
  expect(count).toBe(1);
  ms = 700;
  act('met');
  expect(count).toBe(2);
});
