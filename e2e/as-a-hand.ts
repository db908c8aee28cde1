import type { Locator, Page } from '@playwright/test';

/** Nobody means two taps that come sooner. */
export const AS_FAST_AS_A_HAND_MS = 400;

/**
 * Every press waits as long as a hand takes from one place to the next: two on the same spot, one upon the other, are taken
 * for a bounce of the thumb.
 */
export function pressAsAHand(page: Page): void {
  const locators = Object.getPrototypeOf(page.locator('body')) as Locator & { isPaced?: true };
  if (locators.isPaced) return;
  locators.isPaced = true;
  let lastMs = 0;
  const press = locators.click;
  locators.click = async function click(this: Locator, ...how: Parameters<Locator['click']>) {
    const restMs = AS_FAST_AS_A_HAND_MS - (performance.now() - lastMs);
    if (restMs > 0)
      await new Promise((resolve) => {
        setTimeout(resolve, restMs);
      });
    await press.apply(this, how);
    lastMs = performance.now();
  };
}
