import { randomUUID } from 'node:crypto';
import { DEMO_TRAINERS } from '../server/src/demo/school';
import { type BrowserContext, expect, type Locator, type Page, test as base } from '@playwright/test';
import { AS_FAST_AS_A_HAND_MS, pressAsAHand } from './as-a-hand';

/** A trainer with a phone: what the browser tests do, in the trade's words. */

/** Presses one of the buttons that count, as a hand would: never so soon that it is taken for a bounce. */
export async function tap(page: Page, name: string): Promise<void> {
  await page.waitForTimeout(AS_FAST_AS_A_HAND_MS);
  await page.getByRole('button', { name, exact: true }).click();
}

/** Counts an attempt that was met; one that comes sooner than it can be flown is said to have been flown before. */
export async function tapMet(page: Page): Promise<void> {
  await tap(page, 'Met');
  await page.waitForTimeout(100);
  const asked = page.getByRole('button', { name: 'Flown before: count it' });
  if (await asked.isVisible()) await tap(page, 'Flown before: count it');
}

const SUFFIX = () => randomUUID().slice(0, 6);

export class Trainer {
  constructor(
    readonly page: Page,
    readonly context: BrowserContext,
  ) {}

  async today(): Promise<void> {
    await this.page.goto('/');
    await expect(this.page.getByRole('heading', { name: 'Today' })).toBeVisible();
  }

  /** Adds a pilot through the form; the name is made unique, so that tests do not meet. */
  async addPilot(name: string, windLimit = '2'): Promise<string> {
    const unique = `${name} ${SUFFIX()}`;
    await this.page.goto('/pilots/new/edit');
    await this.page.getByLabel('Name', { exact: true }).fill(unique);
    await this.page.getByLabel('Wind limit, m/s').fill(windLimit);
    await this.page.getByRole('button', { name: 'Save' }).click();
    await expect(this.page.getByRole('heading', { name: 'Pilots' })).toBeVisible();
    return unique;
  }

  /** From Today to the saved entry, by taps alone; returns how many it took. */
  async log(pilot: string, kind: 'Crash' | 'Near-miss', family: string, cause: string): Promise<number> {
    const taps = [
      this.page.getByRole('link', { name: 'Log a crash or near-miss' }),
      this.page.getByRole('button', { name: pilot }),
      this.page.getByRole('button', { name: kind, exact: true }),
      this.page.getByRole('button', { name: new RegExp(`^${family}`) }),
      this.page.getByRole('button', { name: new RegExp(`^${cause}`) }),
      this.page.getByRole('button', { name: 'Save' }),
    ];
    await taps[0]!.click();
    await expect(this.page.getByRole('heading', { name: 'Who was flying?' })).toBeVisible();
    await this.findPilot(pilot);
    for (const each of taps.slice(1)) await each.click();
    return taps.length;
  }

  /** In a large school the list is cut short, and offers to be searched once it is there. */
  async findPilot(pilot: string): Promise<void> {
    const find = this.page.getByLabel('Find by name');
    const shown = this.page
      .getByRole('button', { name: pilot })
      .or(this.page.getByRole('link', { name: pilot }));
    await expect(find.or(shown).first()).toBeVisible();
    if (await find.isVisible()) await find.fill(pilot);
  }

  async confirm(cause: string): Promise<void> {
    await this.page.getByRole('button', { name: `Confirm: ${cause}` }).click();
    await expect(this.page.getByText('Until cleared')).toBeVisible();
  }

  /** Tells the pilot that test reps follow. */
  async announceTest(): Promise<void> {
    await this.page.getByRole('button', { name: /^Practice ·/ }).click();
    await this.page.getByRole('radio', { name: 'Test' }).click();
    await this.page.getByRole('button', { name: 'Count on' }).click();
  }

  /** Counts reps met, and waits until the phone has sent them. */
  async met(times: number): Promise<void> {
    for (let i = 0; i < times; i += 1) {
      // Tests are announced before the first of them, up to four at once.
      const announce = this.page.getByRole('button', {
        name: new RegExp(`^Announce ${Math.min(4, times - i)} tests?$`),
      });
      if (await announce.isVisible()) await announce.click();
      await tapMet(this.page);
    }
    await this.sent();
  }

  async sent(): Promise<void> {
    await expect.poll(() => this.unsent(), { timeout: 20_000 }).toBe(0);
  }

  /**
   * Waits until the phone has all it takes to work without signal: the app itself, and what there is to read.
   */
  async carriesAll(): Promise<void> {
    await this.page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
    await expect
      .poll(
        () =>
          this.page.evaluate(
            () =>
              new Promise<boolean>((resolve) => {
                const opening = indexedDB.open('skelby-read');
                opening.onsuccess = () => {
                  const database = opening.result;
                  if (!database.objectStoreNames.contains('queries')) {
                    database.close();
                    resolve(false);
                    return;
                  }
                  const read = database.transaction('queries').objectStore('queries').get('read');
                  read.onsuccess = () => {
                    database.close();
                    resolve(typeof read.result === 'string' && read.result.includes('"rule"'));
                  };
                };
              }),
          ),
        { timeout: 20_000 },
      )
      .toBe(true);
  }

  /** How many entries the phone keeps that the server has not taken. */
  unsent(): Promise<number> {
    return this.page.evaluate(
      () =>
        new Promise<number>((resolve, reject) => {
          const opening = indexedDB.open('skelby-outbox');
          opening.onerror = () => reject(new Error('The outbox does not open.'));
          opening.onsuccess = () => {
            const database = opening.result;
            if (!database.objectStoreNames.contains('items')) {
              database.close();
              resolve(0);
              return;
            }
            const all = database.transaction('items').objectStore('items').getAll();
            all.onsuccess = () => {
              database.close();
              resolve(
                (all.result as { sentAt?: number }[]).filter((item) => item.sentAt === undefined).length,
              );
            };
          };
        }),
    );
  }

  /**
   * Lives through this day; it begins at nine. The server is told the hour it is there, so that it does not
   * take the phone's clock for a wrong one.
   */
  async on(day: Date): Promise<void> {
    await this.page.clock.setFixedTime(day);
    await this.page.route('**/api/sync', (route) =>
      route.continue({
        postData: JSON.stringify({
          ...(route.request().postDataJSON() as object),
          sentAt: new Date().toISOString(),
        }),
      }),
    );
  }
}

export const daysAgo = (days: number): Date => {
  const day = new Date();
  day.setDate(day.getDate() - days);
  day.setHours(9, 0, 0, 0);
  return day;
};

export const test = base.extend<{ trainer: Trainer }>({
  trainer: async ({ page, context, baseURL }, use) => {
    pressAsAHand(page);
    const { email, password } = DEMO_TRAINERS[0];
    const answer = await context.request.post('/api/sign-in', {
      data: { email, password },
      headers: { Origin: baseURL! },
    });
    expect(answer.ok()).toBe(true);
    await use(new Trainer(page, context));
  },
});

export { expect, type Locator, type Page };
