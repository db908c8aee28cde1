/** What the keys of a keyboard do on things that say what they are: W3C, ARIA Authoring Practices Guide, "Radio Group" and "Checkbox". */

const STEPS: Readonly<Record<string, 1 | -1>> = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 };

/** The radio buttons among which this one is chosen, those left out that are barred. */
function radiosWith(radio: HTMLElement): {
  readonly radios: readonly HTMLElement[];
  readonly chooses: boolean;
} {
  const group = radio.closest<HTMLElement>('[role="radiogroup"], [role="group"]');
  const all = group ? [...group.querySelectorAll<HTMLElement>('[role="radio"]')] : [radio];
  return {
    radios: all.filter(
      (each) => each.dataset['of'] === radio.dataset['of'] && each.getAttribute('aria-disabled') !== 'true',
    ),
    chooses: group?.dataset['acts'] !== 'true',
  };
}

/** What a key without others was pressed on, where it is something to choose or tick. */
function chosenByKeys({
  target,
  defaultPrevented,
  altKey,
  ctrlKey,
  metaKey,
}: KeyboardEvent): HTMLElement | null {
  if (defaultPrevented || altKey || ctrlKey || metaKey || !(target instanceof HTMLElement)) return null;
  return ['radio', 'checkbox', 'switch'].includes(target.getAttribute('role') ?? '') ? target : null;
}

/** Space chooses and ticks; arrows go from one radio button to the next and choose it, unless choosing does something at once. */
function press(event: KeyboardEvent): void {
  const target = chosenByKeys(event);
  if (!target) return;
  if (event.key === ' ') {
    event.preventDefault();
    if (!event.repeat) target.click();
    return;
  }
  const step = STEPS[event.key];
  if (target.getAttribute('role') !== 'radio' || step === undefined) return;
  event.preventDefault();
  const { radios, chooses } = radiosWith(target);
  const next = radios[(radios.indexOf(target) + step + radios.length) % radios.length];
  next?.focus();
  if (chooses) next?.click();
}

/** Browsers show what has the focus as come to by keys once any key is down; this tells what was. */
let isByKeys = false;
let cameTo: EventTarget | null = null;
const tabbed = ({ key }: KeyboardEvent) => {
  if (key === 'Tab') isByKeys = true;
};
const pointed = () => {
  [isByKeys, cameTo] = [false, null];
};
const came = ({ target }: FocusEvent) => {
  cameTo = isByKeys ? target : null;
};

/** Whether somebody came by keys to something to choose, and goes on there. */
export const isChoosing = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement && target === cameTo && target.getAttribute('role') === 'radio';

/** @returns stops it */
export function listenForKeysOfRoles(): () => void {
  const first = { capture: true };
  document.addEventListener('keydown', tabbed, first);
  document.addEventListener('pointerdown', pointed, first);
  document.addEventListener('focusin', came, first);
  document.addEventListener('keydown', press);
  return () => {
    document.removeEventListener('keydown', tabbed, first);
    document.removeEventListener('pointerdown', pointed, first);
    document.removeEventListener('focusin', came, first);
    document.removeEventListener('keydown', press);
  };
}

/** Of a group whose choices do something at once: arrows only go from one to the next. */
export const ACTS_AT_ONCE: object = { dataSet: { acts: 'true' } };
/** Of radio buttons that share a group with others. */
export const radioOf = (name: string): object => ({ dataSet: { of: name } });

/** One stop for the whole group: the chosen one, or the first. */
export const stopOf = (nth: number, chosen: number): 0 | -1 => (nth === Math.max(0, chosen) ? 0 : -1);
