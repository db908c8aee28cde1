import { expect, type Page, test } from './field';

/** While it is flown the field is the display, and the craft is heard. */

const field = (page: Page) => page.getByRole('img', { name: 'The field from where the pilot stands' });

test('the field fills the display as long as it is flown, and the way out is one touch or one key', async ({
  trainer,
  page,
}) => {
  await trainer.today();
  await page.goto('/drills/tail-in-hover/practice');
  const start = page.getByRole('button', { name: 'Start' });
  await start.click({ timeout: 20_000 });
  const isWhole = async () => {
    const { width, height } = (await field(page).boundingBox())!;
    const size = page.viewportSize()!;
    return width > size.width * 0.95 && height > size.height * 0.95;
  };
  await expect.poll(isWhole).toBe(true);
  // Both thumbs and what is done in flight lie over it, within the display and clear of each other.
  const over = [
    page.getByRole('img', { name: /^Left stick/ }),
    page.getByRole('img', { name: /^Right stick/ }),
    page.getByRole('button', { name: 'Again' }),
    page.getByRole('button', { name: 'Smaller' }),
  ];
  const boxes = await Promise.all(over.map(async (each) => (await each.boundingBox())!));
  for (const [i, one] of boxes.entries()) {
    expect([one.x >= 0, one.x + one.width <= 390, one.y + one.height <= 844]).toEqual([true, true, true]);
    for (const other of boxes.slice(i + 1))
      expect(
        one.x + one.width <= other.x ||
          other.x + other.width <= one.x ||
          one.y + one.height <= other.y ||
          other.y + other.height <= one.y,
      ).toBe(true);
  }
  await page.keyboard.press('Escape');
  await expect.poll(isWhole).toBe(false);
  await expect(start).toBeHidden();
  await page.getByRole('button', { name: 'Fill the display' }).click();
  await expect.poll(isWhole).toBe(true);
});

test('its rotors are heard while it flies, and with the sound off nothing is', async ({ trainer, page }) => {
  await page.addInitScript(() => {
    const connect = AudioNode.prototype.connect as (this: AudioNode, to: AudioNode) => AudioNode;
    // Whatever goes to the loudspeaker is measured on its way.
    AudioNode.prototype.connect = function (this: AudioNode, to: AudioNode) {
      if (to instanceof AudioDestinationNode) {
        const ear = this.context.createAnalyser();
        connect.call(this, ear);
        Object.assign(globalThis, { ear });
      }
      return connect.call(this, to);
    } as typeof AudioNode.prototype.connect;
  });
  const loudness = () =>
    page.evaluate(() => {
      const { ear } = globalThis as unknown as { ear?: AnalyserNode };
      if (!ear || ear.context.state === 'closed') return 0;
      const wave = new Float32Array(ear.fftSize);
      ear.getFloatTimeDomainData(wave);
      return Math.sqrt(wave.reduce((sum, value) => sum + value * value, 0) / wave.length);
    });
  await trainer.today();
  await page.goto('/drills/tail-in-hover/practice');
  await page.getByRole('button', { name: 'Start' }).click({ timeout: 20_000 });
  await expect.poll(loudness, { timeout: 20_000 }).toBeGreaterThan(0.001);
  await page.getByRole('button', { name: 'Settings' }).click();
  await page.getByRole('radio', { name: 'Off', exact: true }).first().click();
  await expect.poll(loudness, { timeout: 20_000 }).toBe(0);
});
