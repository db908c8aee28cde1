import { expect, test } from './field';
import { bringIn, fileOf } from './recorder-files';

/** A recorder's file brought in: understood, put right, kept as a recipe, and made an entry whose debrief knows the flight. */

test('a flight is drawn and searched without signal, and one tap makes an entry whose debrief is answered by it', async ({
  trainer,
  page,
  context,
  browser,
  baseURL,
}) => {
  const pilot = await trainer.addPilot('Wyn Harker');
  await trainer.carriesAll();
  await page.goto('/flights/file');
  await context.setOffline(true);
  await bringIn(page, fileOf('fell-box'));
  await expect(page.getByText(/Places ± .* 10 lines a second/)).toBeVisible();
  await expect(page.getByRole('img', { name: /The flight from above/ })).toBeVisible();
  await expect(page.getByText(/Swung to and fro/)).toBeVisible();
  // What no header said was found by how columns hang together.
  await page.getByRole('button', { name: 'What its 15 columns were taken for' }).click();
  await expect(page.getByText(/Speed over the ground, km\/h, by how it fits the rest/)).toBeVisible();
  await page.getByRole('button', { name: /^Log: Swung to and fro/ }).click();
  await expect(page.getByRole('heading', { name: 'Who was flying?' })).toBeVisible();
  await trainer.findPilot(pilot);
  await page.getByRole('button', { name: pilot }).click();
  await page.getByRole('button', { name: 'Near-miss', exact: true }).click();
  await page.getByRole('button', { name: /^Stick handling/ }).click();
  await page.getByRole('button', { name: /^Over-control/ }).click();
  await expect(page.getByLabel(/What happened/)).toHaveValue(/Swung to and fro at 0:\d\d of fell-box\.csv\./);
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('button', { name: /^Confirm: / })).toBeVisible();
  await context.setOffline(false);
  await trainer.sent();
  // The file came to the school once there was signal, and is looked at from another phone.
  await expect
    .poll(async () => {
      const kept = (await (await page.request.get('/api/flight-files')).json()) as {
        files: { name: string }[];
      };
      return kept.files.map(({ name }) => name);
    })
    .toContain('fell-box.csv');
  const phone = await browser.newContext({ baseURL: baseURL!, storageState: await context.storageState() });
  const there = await phone.newPage();
  await there.goto(page.url());
  await expect(there.getByText(/^0:\d\d of fell-box\.csv: \d+ answers of the debrief\.$/)).toBeVisible();
  await there.getByRole('link', { name: 'Look at the flight' }).click();
  await expect(there.getByText(/Places ± .* 10 lines a second/)).toBeVisible();
  await there.getByRole('button', { name: 'Take its answers anew' }).click();
  await expect(there.getByText(/answers of the debrief/)).toBeVisible();
  await phone.close();
  await page.getByRole('link', { name: /^Debrief/ }).click();
  await page.getByRole('button', { name: 'I cannot say yet' }).click();
  await page.getByRole('button', { name: 'None of these' }).click();
  await expect(page.getByText(/From fell-box\.csv where nobody told it/)).toBeAttached();
  await expect(page.getByRole('button', { name: /^Phase .*from the flight, 0:\d\d/ })).toBeAttached();
});

test('a column is put right by picking, kept as a recipe, and the next file is read by it', async ({
  trainer,
  page,
}) => {
  await trainer.today();
  await page.goto('/flights/file');
  const { buffer, ...about } = fileOf('fell-box', 0);
  // Names that say nothing at all.
  const [header, ...lines] = buffer.toString().split('\n');
  const nameless = header!.replace('height [ft]', 'quux').replace('mode', 'what');
  const file = { ...about, buffer: Buffer.from([nameless, ...lines].join('\n')) };
  await bringIn(page, file);
  await expect(page.getByText(/no heights/)).toBeVisible();
  await page.getByRole('button', { name: /columns were taken for$/ }).click();
  await page.getByRole('button', { name: /^Columns not used/ }).click();
  await page.getByRole('button', { name: /^quux/ }).click();
  await page.getByLabel(/^What “quux” is: find by name/).fill('Height');
  await page.getByRole('radio', { name: 'Height' }).click();
  await expect(page.getByText(/as high as/)).toBeVisible();
  await page.getByRole('radio', { name: 'ft', exact: true }).click();
  await expect(page.getByText(/as high as 6/)).toBeVisible();
  await page.getByLabel('Name of the recorder').fill('Fell box, old');
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(page.getByText('Kept as Fell box, old.')).toBeVisible();
  await page.reload();
  await bringIn(page, file);
  await expect(page.getByText('Read as Fell box, old.')).toBeVisible();
  await expect(page.getByText(/as high as 6/)).toBeVisible();
});

test('a flight leaves as GeoJSON with what happened in it, and its minutes go into what was flown', async ({
  trainer,
  page,
}) => {
  await trainer.today();
  await page.goto('/flights/file');
  await bringIn(page, fileOf('cairn-watch'));
  await expect(page.getByText(/Swung to and fro|Took off/).first()).toBeVisible();
  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'GeoJSON, with what happened' }).click();
  const chunks: Buffer[] = [];
  for await (const chunk of await (await saved).createReadStream()) chunks.push(chunk as Buffer);
  const { features } = JSON.parse(Buffer.concat(chunks).toString()) as { features: { properties: object }[] };
  expect(features.slice(1).map(({ properties }) => properties)).toContainEqual(
    expect.objectContaining({ event: 'take-off' }),
  );
  // And on one sheet of paper.
  const pdf = (await page.pdf({ format: 'A4' })).toString('latin1');
  expect(pdf.match(/\/Type\s*\/Page[^s]/g)).toHaveLength(1);
  await page.getByRole('button', { name: 'Add to what was flown' }).click();
  await expect(page.getByRole('heading', { name: 'Add a flight' })).toBeVisible();
  await expect(page.getByLabel('Minutes in the air')).toHaveValue('1');
  await expect(page.getByLabel('Day', { exact: true })).toHaveValue('2026-05-09');
});

test('GPX, ULog and a file that is none are told apart by what is in them', async ({ trainer, page }) => {
  await trainer.today();
  await page.goto('/flights/file');
  for (const [recorder, name] of [
    ['cairn-watch', 'flight.csv'],
    ['ridge-core', 'flight.txt'],
  ] as const) {
    await bringIn(page, { ...fileOf(recorder, 0), name });
    await expect(page.getByText(/as high as 6/)).toBeVisible();
  }
  const noise = Buffer.from(Array.from({ length: 40_000 }, (_, i) => (i * 7919) % 251));
  await bringIn(page, { name: 'flight.gpx', mimeType: 'application/gpx+xml', buffer: noise });
  await expect(page.getByText(/give CSV, GPX, GeoJSON or ULog/)).toBeVisible();
  await bringIn(page, { name: 'a.csv', mimeType: 'text/csv', buffer: Buffer.from('one,two\nthree,four\n') });
  await expect(page.getByText(/no line of figures/)).toBeVisible();
});
