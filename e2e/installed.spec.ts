import { expect, test } from './field';
import { bringIn, fileOf } from './recorder-files';

/** What only an installed app is asked. */

test('a log that another program shares is read on the phone; several come to the day', async ({
  trainer,
  page,
}) => {
  await trainer.today();
  await trainer.carriesAll();
  await page.reload();
  const share = async (files: readonly { name: string; buffer: Buffer }[]) => {
    const given = files.map(({ name, buffer }) => ({ name, text: buffer.toString('latin1') }));
    // The system sends a form, as the manifest says.
    await page.evaluate(async (all) => {
      const manifest = (await (await fetch('/skelby.webmanifest')).json()) as {
        share_target: {
          action: string;
          method: string;
          enctype: string;
          params: { files: { name: string }[] };
        };
      };
      const { action, method, enctype, params } = manifest.share_target;
      const form = Object.assign(document.createElement('form'), { action, method, enctype });
      const input = Object.assign(document.createElement('input'), {
        ...{ type: 'file', multiple: true, name: params.files[0]!.name },
      });
      const carried = new DataTransfer();
      for (const { name, text } of all)
        carried.items.add(new File([Uint8Array.from(text, (letter) => letter.charCodeAt(0))], name));
      input.files = carried.files;
      form.append(input);
      document.body.append(form);
      form.submit();
    }, given);
  };
  const sent: string[] = [];
  page.on('request', (request) => {
    if (request.method() === 'POST' && !request.isNavigationRequest()) sent.push(request.url());
  });
  const file = fileOf('fell-box');
  await share([file]);
  await expect(page.getByRole('img', { name: /^From 0:00 to/ })).toBeVisible({ timeout: 30_000 });
  await expect(page.getByText(file.name, { exact: true }).first()).toBeVisible();
  expect(new URL(page.url()).search).toBe('');
  // Taken out of where it waited: a reload begins anew.
  await page.reload();
  await expect(page.getByText('What the craft has written down')).toBeVisible();
  await share([0, 1].map((lesson) => ({ ...fileOf('scree-card', lesson), name: `shared-${lesson}.csv` })));
  await expect(page.getByText(/shared-0\.csv/).first()).toBeVisible({ timeout: 30_000 });
  await expect(page.getByText(/shared-1\.csv/).first()).toBeVisible({ timeout: 30_000 });
  expect(sent).toEqual([]);
});

test('what waits on the phone stands on the icon, and goes from it once it is sent', async ({
  trainer,
  page,
  context,
}) => {
  await page.addInitScript(() => {
    const badges: number[] = [];
    Object.assign(window, { badges });
    Object.defineProperty(navigator, 'setAppBadge', {
      value: (count: number) => {
        badges.push(count);
        return Promise.resolve();
      },
    });
  });
  const badge = () => page.evaluate(() => (window as unknown as { badges: number[] }).badges.at(-1));
  const pilot = await trainer.addPilot('Signe Broch', '6');
  await trainer.today();
  await trainer.carriesAll();
  await context.setOffline(true);
  await trainer.log(pilot, 'Near-miss', 'Stick handling', 'Over-control');
  await expect.poll(badge).toBe(1);
  await context.setOffline(false);
  await trainer.sent();
  await expect.poll(badge).toBe(0);
});

test('a flight file that the school does not take says why, and is sent once more or let go', async ({
  trainer,
  page,
}) => {
  const pilot = await trainer.addPilot('Aske Venn', '6');
  await trainer.today();
  let full = true;
  const sent: string[] = [];
  await page.route('**/api/flight-files/**', async (route) => {
    if (route.request().method() !== 'PUT' || !full) {
      await route.continue();
      return;
    }
    sent.push(route.request().url());
    const detail = 'The flight files of this school take all the room there is: let old ones go first.';
    await route.fulfill({
      ...{ status: 413, contentType: 'application/problem+json' },
      body: JSON.stringify({ title: 'No room', status: 413, detail }),
    });
  });
  await page.goto('/flights/file');
  await bringIn(page, fileOf('cairn-watch'));
  await page.getByRole('radio', { name: 'To the school' }).click();
  await page.getByRole('button', { name: 'Add to what was flown' }).click();
  await expect(page.getByRole('heading', { name: 'Add a flight' })).toBeVisible();
  const find = page.getByLabel(/^Pilot: find by name/);
  await expect(find.or(page.getByRole('radio', { name: pilot })).first()).toBeVisible();
  if (await find.isVisible()) await find.fill(pilot);
  await page.getByRole('radio', { name: pilot }).click();
  for (const of of ['Craft', 'Site'])
    await page.getByRole('radiogroup', { name: of }).getByRole('radio').first().click();
  await page.getByLabel('Wind, m/s').fill('2');
  await page.getByRole('button', { name: 'Save' }).click();
  const told = page.getByRole('link', { name: '1 flight file not taken' });
  await expect(told).toBeVisible({ timeout: 20_000 });
  await told.click();
  await expect(page.getByText(/take all the room there is: let old ones go first/)).toBeVisible();
  // Refused for good it is not sent again by itself, also after a reload.
  const before = sent.length;
  await page.reload();
  await expect(page.getByText(/take all the room there is/)).toBeVisible();
  expect(sent).toHaveLength(before);
  full = false;
  await page.getByRole('button', { name: /^Send .* once more$/ }).click();
  await expect(page.getByText(/take all the room there is/)).toBeHidden({ timeout: 20_000 });
});
