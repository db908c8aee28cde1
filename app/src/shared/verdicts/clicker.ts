/** What a press of a clicker, a key or a headset means while reps are counted. */
export type Press = 'met' | 'missed' | 'again';

/**
 * A clicker for presentations sends page keys, and B or a full stop where it darkens the screen; a camera's remote sends
 * volume. Names by W3C, UI Events KeyboardEvent key Values.
 */
const PRESSES: Readonly<Record<string, Press>> = {
  PageDown: 'met',
  ArrowRight: 'met',
  MediaTrackNext: 'met',
  AudioVolumeUp: 'met',
  PageUp: 'missed',
  ArrowLeft: 'missed',
  MediaTrackPrevious: 'missed',
  AudioVolumeDown: 'missed',
  b: 'again',
  '.': 'again',
  MediaPlayPause: 'again',
};

/** Where these keys do something of their own. */
const OWN_KEYS = [
  'input',
  'textarea',
  'select',
  'video',
  '[contenteditable]',
  '[role=radio]',
  '[role=slider]',
];

/** A finger on a small button presses twice; nobody flies a rep in that time, ms. */
const BOUNCE_MS = 600;

/** Lets a press through unless it comes right after the last one that went through. */
export function unlessTwice(act: (press: Press) => void, now: () => number): (press: Press) => void {
  let last = -Infinity;
  return (press) => {
    if (now() - last < BOUNCE_MS) return;
    last = now();
    act(press);
  };
}

/** @returns stops listening */
export function listenForClicks(page: Window, act: (press: Press) => void): () => void {
  const pressed = (event: KeyboardEvent) => {
    const { key, target, repeat, defaultPrevented, altKey, ctrlKey, metaKey } = event;
    const press = PRESSES[key];
    if (!press || repeat || defaultPrevented || altKey || ctrlKey || metaKey) return;
    if (target instanceof Element && target.closest(OWN_KEYS.join())) return;
    event.preventDefault();
    act(press);
  };
  page.addEventListener('keydown', pressed);
  return () => page.removeEventListener('keydown', pressed);
}
