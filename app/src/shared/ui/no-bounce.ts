import type { GestureResponderEvent } from 'react-native';

/** A thumb that bounces taps again within so long, ms; whoever means it takes longer. */
const BOUNCE_MS = 350;
/** And so near, px. */
const BOUNCE_PX = 48;

/** Keys and aids that press for somebody never bounce. */
const isPointer = ({ type, detail }: { readonly type?: string; readonly detail?: number }): boolean =>
  !(type ?? '').startsWith('key') && detail !== 0;

let lastMs = -Infinity;

/**
 * What a tap that counts something does, unless it comes so soon after the last one that the thumb bounced: one
 * verdict is one rep.
 */
export const unlessBounced =
  (act: () => void) =>
  (event: GestureResponderEvent): void => {
    const now = event.timeStamp || performance.now();
    const bounced =
      isPointer(event.nativeEvent as { type?: string; detail?: number }) && now - lastMs < BOUNCE_MS;
    lastMs = now;
    if (!bounced) act();
  };

const CONTROLS = [
  ...['a[href]', 'button', 'input', 'select', 'textarea', 'summary'],
  ...['button', 'link', 'radio', 'checkbox', 'switch', 'tab', 'option'].map((role) => `[role="${role}"]`),
].join();

interface Tap {
  readonly atMs: number;
  readonly x: number;
  readonly y: number;
  /** The control that took it, and what it said then: it may say something else a moment later. */
  readonly control: Element;
  readonly said: string;
}

const saidBy = (control: Element): string => control.getAttribute('aria-label') ?? control.textContent ?? '';

/**
 * Keeps a bounce of the thumb from what has come under it meanwhile: a tap so soon after the last one and so near it does
 * nothing when the control there is another one. Taps again on the same control are left alone, as are keys and
 * aids that press for somebody.
 * @returns stops it
 */
export function guardAgainstBounces(page: Window): () => void {
  let taken: Tap | null = null;
  let last: Pick<Tap, 'atMs' | 'x' | 'y'> | null = null;
  const look = (event: MouseEvent) => {
    const control = event.target instanceof Element ? event.target.closest(CONTROLS) : null;
    if (!control || !isPointer(event)) return;
    const tap = { atMs: event.timeStamp, x: event.clientX, y: event.clientY };
    const isNear =
      last !== null &&
      tap.atMs - last.atMs < BOUNCE_MS &&
      Math.hypot(tap.x - last.x, tap.y - last.y) < BOUNCE_PX;
    last = tap;
    if (isNear && taken && (taken.control !== control || taken.said !== saidBy(control))) {
      event.preventDefault();
      event.stopImmediatePropagation();
      return;
    }
    taken = { ...tap, control, said: saidBy(control) };
  };
  page.addEventListener('click', look, { capture: true });
  return () => page.removeEventListener('click', look, { capture: true });
}
