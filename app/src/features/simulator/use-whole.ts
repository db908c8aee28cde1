import { type RefObject, useCallback, useEffect, useLayoutEffect, useState } from 'react';

/** Whether a browser can lift a part of the page above all the rest of it. */
const canLift = (): boolean => typeof HTMLElement !== 'undefined' && 'showPopover' in HTMLElement.prototype;
const isTouched = (): boolean => window.matchMedia('(pointer: coarse)').matches;

/**
 * A phone gives its whole display, lying, where it can: what refuses (a browser within another app, a tablet that is
 * locked upright) leaves the flight in the page's own display.
 */
async function takeDisplay(isOver: () => boolean): Promise<void> {
  try {
    await document.documentElement.requestFullscreen();
    // Asked for, and given only when the flight was over.
    if (isOver()) {
      await giveDisplayBack();
      return;
    }
    await (screen.orientation as ScreenOrientation & { lock?: (to: string) => Promise<void> }).lock?.(
      'landscape',
    );
  } catch (error) {
    if (!(error instanceof TypeError || error instanceof DOMException)) throw error;
  }
}

async function giveDisplayBack(): Promise<void> {
  if (document.fullscreenElement) await document.exitFullscreen();
}

/**
 * The flight fills the display while it is flown: above everything, whatever the page around it does with its layers.
 * @param box what is lifted
 */
export function useWhole(box: RefObject<HTMLElement | null>, isFlying: boolean) {
  const [isLeft, setLeft] = useState(false);
  const isWhole = isFlying && !isLeft && canLift();
  useLayoutEffect(() => {
    const part = box.current;
    if (!isWhole || !part) return undefined;
    part.setAttribute('popover', 'manual');
    part.showPopover();
    return () => {
      part.removeAttribute('popover');
    };
  }, [box, isWhole]);
  useEffect(() => {
    if (!isWhole) return undefined;
    let over = false;
    if (isTouched()) void takeDisplay(() => over);
    return () => {
      over = true;
      void giveDisplayBack();
    };
  }, [isWhole]);
  useEffect(() => {
    if (!isFlying) setLeft(false);
  }, [isFlying]);
  const leave = useCallback(() => setLeft(true), []);
  useEffect(() => {
    if (!isWhole) return undefined;
    const onKey = ({ key }: KeyboardEvent) => {
      if (key === 'Escape') leave();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [isWhole, leave]);
  return { isWhole, leave, fill: () => setLeft(false) };
}
