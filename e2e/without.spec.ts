import type { Page } from '@playwright/test';
import { expect, test } from './field';

/** What a browser may do without, taken away one by one: the work goes on, and what it was for says so. */

/** Each as a script that runs before any of ours. */
const AWAY: Readonly<Record<string, string>> = {
  'wake lock': 'delete Navigator.prototype.wakeLock',
  vibration: 'delete Navigator.prototype.vibrate',
  share: 'delete Navigator.prototype.share',
  clipboard: "Object.defineProperty(navigator, 'clipboard', { value: undefined })",
  badge: 'delete Navigator.prototype.setAppBadge',
  voice: 'delete window.speechSynthesis',
  'keys of a headset': 'delete Navigator.prototype.mediaSession',
  'full screen': 'delete Element.prototype.requestFullscreen',
  'screen orientation': "Object.defineProperty(screen, 'orientation', { value: undefined })",
  'tilt of the phone': 'delete window.DeviceOrientationEvent; delete window.ondeviceorientation',
  controllers: 'delete Navigator.prototype.getGamepads',
  'service worker': 'delete Navigator.prototype.serviceWorker',
  locks: 'delete Navigator.prototype.locks',
  'talk between tabs': 'delete window.BroadcastChannel',
  'server-sent events': 'delete window.EventSource',
  'asking for room': "Object.defineProperty(navigator, 'storage', { value: undefined })",
  'watching sizes': 'delete window.ResizeObserver; delete window.IntersectionObserver',
  sound: 'delete window.AudioContext',
  'own store': "Object.defineProperty(window, 'indexedDB', { value: undefined })",
  'shelves of texts':
    "for (const shelf of ['localStorage', 'sessionStorage']) Object.defineProperty(window, shelf, { get() { throw new DOMException('denied', 'SecurityError'); } })",
  'pictures in depth': 'HTMLCanvasElement.prototype.getContext = () => null',
  workers: 'delete window.Worker',
};

async function logs(page: Page, pilot: string): Promise<void> {
  await page.goto('/log/pilot');
  const find = page.getByLabel('Find by name');
  const shown = page.getByRole('button', { name: pilot });
  await expect(find.or(shown).first()).toBeVisible();
  if (await find.isVisible()) await find.fill(pilot);
  await shown.click();
  await page.getByRole('button', { name: 'Near-miss', exact: true }).click();
  await page.getByRole('button', { name: /^Stick handling/ }).click();
  await page.getByRole('button', { name: /^Over-control/ }).click();
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('button', { name: /^Confirm: / })).toBeVisible();
}

/** The main screens, each with what shows that it works. */
const SCREENS = [
  ['/', 'Today'],
  ['/session', 'Session'],
  ['/sums?sum=stop', 'Figures'],
  ['/practice?drill=tail-in-hover', 'Simulator'],
] as const;

/** So many to a test. */
const AT_ONCE = 5;
const all = Object.entries(AWAY);
for (let first = 0; first < all.length; first += AT_ONCE) {
  const some = all.slice(first, first + AT_ONCE);
  test(`goes on without: ${some.map(([what]) => what).join(', ')}`, async ({ trainer, context }) => {
    for (const [what, script] of some)
      await test.step(what, async () => {
        const pilot = await trainer.addPilot('Runa Fellgate');
        const bare = await context.newPage();
        const thrown: string[] = [];
        bare.on('pageerror', (error) => thrown.push(error.stack ?? error.message));
        await bare.addInitScript(script);
        for (const [address, heading] of SCREENS) {
          await bare.goto(address);
          await expect(bare.getByRole('heading', { level: 1, name: heading })).toBeVisible();
          await bare.waitForTimeout(400);
          expect([address, await bare.getByRole('heading', { level: 1 }).innerText()]).toEqual([
            address,
            heading,
          ]);
        }
        await logs(bare, pilot);
        // It came to the server: a page that keeps everything sees it.
        await trainer.today();
        await expect(trainer.page.getByText(pilot).first()).toBeVisible();
        expect([what, thrown]).toEqual([what, []]);
        await bare.close();
      });
  });
}
