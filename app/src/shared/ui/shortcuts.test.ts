/** @jest-environment jsdom */
import { listenForShortcuts, SHORTCUTS } from './shortcuts';

test('each key leads where it says, with Alt and Shift held and not without', () => {
  const gone: unknown[] = [];
  const stop = listenForShortcuts(window, (href) => gone.push(href));
  const press = (code: string, more: KeyboardEventInit = { altKey: true, shiftKey: true }) =>
    window.dispatchEvent(new KeyboardEvent('keydown', { code, cancelable: true, ...more }));
  for (const { key } of SHORTCUTS) press(`Key${key}`);
  expect(gone).toEqual(SHORTCUTS.map(({ href }) => href));
  press('KeyT', {});
  press('KeyT', { altKey: true });
  press('KeyT', { altKey: true, shiftKey: true, ctrlKey: true });
  press('KeyZ');
  stop();
  press('KeyT');
  expect(gone).toHaveLength(SHORTCUTS.length);
  expect(new Set(SHORTCUTS.map(({ key }) => key)).size).toBe(SHORTCUTS.length);
});
