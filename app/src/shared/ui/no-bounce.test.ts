/** @jest-environment jsdom */
import { guardAgainstBounces } from './no-bounce';

/** Taps that came through, by the name of the control. */
function page(...names: readonly string[]) {
  document.body.innerHTML = names
    .map((name) => `<div role="button" id="${name}"><i>${name}</i></div>`)
    .join('');
  const through: string[] = [];
  for (const name of names)
    document.getElementById(name)!.addEventListener('click', () => through.push(name));
  const tap = (name: string, atMs: number, { x = 100, y = 700, detail = 1 } = {}) => {
    const event = new MouseEvent('click', {
      bubbles: true,
      cancelable: true,
      clientX: x,
      clientY: y,
      detail,
    });
    Object.defineProperty(event, 'timeStamp', { value: atMs });
    document.getElementById(name)!.firstElementChild!.dispatchEvent(event);
  };
  return { through, tap };
}

let stop: () => void;
beforeEach(() => {
  stop = guardAgainstBounces(window);
});
afterEach(() => stop());

test('what comes under a bouncing thumb is not taken, however often it bounces; a while later it is', () => {
  const { through, tap } = page('Missed', 'Height');
  tap('Missed', 0);
  for (const at of [80, 190, 310, 600]) tap('Height', at);
  expect(through).toEqual(['Missed']);
  tap('Height', 960);
  expect(through).toEqual(['Missed', 'Height']);
});

test('the same control, one further away, and a later tap are taken', () => {
  const { through, tap } = page('Plus', 'Minus');
  tap('Plus', 0);
  tap('Plus', 100);
  tap('Minus', 200, { x: 160 });
  tap('Plus', 560, { x: 160 });
  expect(through).toEqual(['Plus', 'Plus', 'Minus', 'Plus']);
});

test('a control that says something else meanwhile is another one', () => {
  const { through, tap } = page('Start');
  document.getElementById('Start')!.addEventListener('click', (event) => {
    (event.currentTarget as HTMLElement).firstElementChild!.textContent = 'Stop';
  });
  tap('Start', 0);
  tap('Start', 120);
  expect(through).toEqual(['Start']);
});

test('keys and aids that press for somebody are left alone', () => {
  const { through, tap } = page('Missed', 'Height');
  tap('Missed', 0, { detail: 0 });
  tap('Height', 50, { detail: 0 });
  tap('Missed', 90, { detail: 0 });
  expect(through).toEqual(['Missed', 'Height', 'Missed']);
});

test('a tap beside every control is no tap before', () => {
  const { through, tap } = page('Save');
  document.body.click();
  tap('Save', 100);
  expect(through).toEqual(['Save']);
});
