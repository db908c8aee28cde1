import { rmSync } from 'node:fs';
import path from 'node:path';
import { chromium, type Page } from '@playwright/test';
import { pressAsAHand } from './as-a-hand';
import { MADE_UP_RECORDERS } from '../core/src/recorded-flight/stand-ins/recorders';
import { writtenBy } from '../core/src/recorded-flight/stand-ins/write';
import { chanceOf, recordStory } from '../core/src/second-model/flights';
import { LESSONS } from '../core/src/second-model/lessons';
import { loadDemo } from '../server/src/demo/load';
import { DEMO_TRAINERS } from '../server/src/demo/school';
import { buildApp } from '../tools/build-app';
import { freePort, startCluster } from '../tools/cluster';
import { ensureDatabase, withDatabase } from '../tools/database';
import { needChromium } from '../tools/needs';
import { ROOT, throwawayFolder } from '../tools/places';
import { CannotGoOn, say } from '../tools/say';
import { startServer } from '../tools/server-process';

const FOLDER = path.join(ROOT, 'docs', 'screenshots');
const PHONE = { width: 390, height: 844 };
const DESK = { width: 1280, height: 800 };

interface Picture {
  readonly name: string;
  readonly size?: typeof PHONE;
  readonly dark?: true;
  readonly open: (page: Page) => Promise<void>;
}

const weakness = (name: RegExp) => async (page: Page) => {
  await page.goto('/');
  await page.getByRole('link', { name }).first().click();
  await page.getByRole('img', { name: /test rep|: Passed/ }).waitFor();
};

const logTo =
  (...taps: readonly RegExp[]) =>
  async (page: Page) => {
    await page.goto('/log/pilot');
    for (const name of taps) await page.getByRole('button', { name }).first().click();
  };

const LOGGING = [/^Davit Orrel/, /^Crash/, /^Orientation/, /^Nose-in reversal/] as const;

/** A debrief with some answers told, by their questions; what is asked next is in the picture. */
const debrief = (told: Readonly<Record<string, string>>) => async (page: Page) => {
  await page.goto('/');
  await page
    .getByRole('link', { name: /Davit Orrel.*Near-miss/ })
    .first()
    .click();
  await page.getByRole('link', { name: 'Debrief', exact: true }).click();
  await page.getByRole('button', { name: 'I cannot say yet' }).click();
  await page.getByRole('button', { name: 'None of these' }).click();
  for (const [ask, answer] of Object.entries(told)) {
    await page.getByRole('button', { name: 'Something else was told' }).click();
    await page
      .getByRole('button', { name: new RegExp(`${ask}$`) })
      .first()
      .click();
    await page
      .getByRole('group', { name: new RegExp(`^${ask}$`) })
      .getByRole('button', { name: answer, exact: true })
      .click();
  }
};
const NOSE_IN = { 'What was being flown\\?': 'Landing', 'Where were eyes and mind\\?': 'Somebody talked' };

/** A session for two, laid out. */
const session = async (page: Page) => {
  await page.goto('/session');
  for (const name of ['Davit Orrel', 'Cai Penhallis']) await page.getByRole('checkbox', { name }).click();
  await page.getByText(/The best there is/).waitFor();
};

/** A made-up recorder's file, with what happened in it. */
const flightFile = async (page: Page) => {
  const recorder = MADE_UP_RECORDERS[0]!;
  const { log } = recordStory(LESSONS[0]!(0).story, { hz: 100, wanderM: 0, leavesOut: [] }, 5);
  await page.goto('/flights/file');
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Pick a file' }).click();
  const buffer = Buffer.from(writtenBy(recorder, log, chanceOf(40).normal));
  await (await chooser).setFiles({ name: 'fell-box.csv', mimeType: 'text/csv', buffer });
  await page.getByRole('img', { name: /The flight from above/ }).waitFor();
};

const PICTURES: readonly Picture[] = [
  {
    name: 'today',
    open: (page) => page.goto('/').then(() => page.getByRole('heading', { name: 'Drilling' }).waitFor()),
  },
  { name: 'flight-file-wide', size: DESK, open: flightFile },
  { name: 'log-cause', open: logTo(...LOGGING.slice(0, 3)) },
  {
    name: 'occurrence',
    open: (page) =>
      page.goto('/').then(() => page.getByRole('link', { name: /Cai Penhallis.*Crash/ }).click()),
  },
  { name: 'debrief', open: (page) => debrief(NOSE_IN)(page) },
  {
    name: 'debrief-wide',
    size: DESK,
    open: (page) =>
      debrief({
        ...NOSE_IN,
        'Where did the nose point, seen from you\\?': 'Toward the pilot',
        'Your first correction: which way did it go\\?': 'The opposite way',
      })(page),
  },
  {
    name: 'decide',
    open: async (page) => {
      await debrief({
        ...NOSE_IN,
        'Where did the nose point, seen from you\\?': 'Toward the pilot',
        'Your first correction: which way did it go\\?': 'The opposite way',
      })(page);
      await page.getByRole('radio', { name: 'Decide' }).click();
      await page.getByRole('radio', { name: /^Nose-in reversal/ }).click();
      await page.getByRole('radio', { name: 'It was: Small repair' }).click();
      await page.getByRole('radio', { name: 'It could be: Somebody hurt, possibly. Risk high' }).click();
      await page.getByRole('radio', { name: 'First aid' }).scrollIntoViewIfNeeded();
    },
  },
  {
    name: 'course',
    open: async (page) => {
      await page.goto('/course');
      await page.getByRole('link', { name: /^Elin Scarrow/ }).click();
      await page.getByRole('link', { name: /^Go on: / }).waitFor();
    },
  },
  {
    name: 'insight-wide',
    size: DESK,
    open: (page) =>
      page
        .goto('/insights')
        .then(() => page.getByRole('img', { name: /beyond what chance makes/ }).waitFor()),
  },
  {
    name: 'flight-card-wide',
    size: DESK,
    open: async (page) => {
      await page.goto('/sums/card');
      await page.getByRole('radio', { name: 'Tove Lindqvane' }).click();
      await page.getByRole('region', { name: 'Flight card' }).waitFor();
    },
  },
  {
    name: 'school-wide',
    size: DESK,
    open: (page) => page.goto('/school').then(() => page.getByText(/have taught the ranking/).waitFor()),
  },
  { name: 'weakness', open: weakness(/Oska Merrin.*Yaw tumble/) },
  { name: 'weakness-wide', size: DESK, open: weakness(/Oska Merrin.*Yaw tumble/) },
  {
    name: 'counter',
    open: (page) =>
      weakness(/Oska Merrin.*Yaw tumble/)(page).then(async () => {
        await page.getByRole('link', { name: /Power turn Its tests clear/ }).click();
        await page.getByRole('img', { name: /test rep/ }).waitFor();
      }),
  },
  {
    name: 'practice',
    open: async (page) => {
      // Stopped short: a rep that went wrong has more to show than one that did not.
      await page.goto('/drills/brake-to-mark/practice?wind=3');
      await page.getByRole('button', { name: 'Start' }).click({ timeout: 20_000 });
      await page.keyboard.down('ArrowUp');
      await page.waitForTimeout(2_000);
      await page.keyboard.up('ArrowUp');
      await page.getByRole('button', { name: 'Where it went wrong' }).waitFor({ timeout: 60_000 });
      await page.waitForTimeout(1_500);
    },
  },
  {
    name: 'session',
    open: (page) => session(page).then(() => page.getByText(/The best there is/).scrollIntoViewIfNeeded()),
  },
  {
    name: 'runner',
    open: async (page) => {
      await session(page);
      await page.getByRole('button', { name: 'To go or no-go' }).click();
      const boxes = page.getByRole('checkbox', { checked: false });
      await page.getByRole('heading', { name: 'Go or no-go' }).waitFor();
      while ((await boxes.count()) > 0) await boxes.first().click();
      await page.getByRole('button', { name: 'Go', exact: true }).click();
      // Where the first block is a test it is announced before the first attempt.
      const announce = page.getByRole('button', { name: /^Announce [34] tests$/ }).last();
      await page.getByRole('button', { name: 'Met', exact: true }).or(announce).first().waitFor();
      if (await announce.isVisible()) await announce.click();
      for (let i = 0; i < 3; i += 1) {
        await page.getByRole('button', { name: 'Met', exact: true }).click();
        // As fast as a hand: sooner it would be taken for a bounce.
        await page.waitForTimeout(400);
        const asked = page.getByRole('button', { name: 'Flown before: count it' });
        if (await asked.isVisible()) await asked.click();
        await page.waitForTimeout(400);
      }
      await page.getByText(/3 of \d+ · 3 met/).waitFor();
    },
  },
  {
    name: 'drill',
    open: async (page) => {
      await page.goto('/drills/circle-both-ways');
      await page.getByRole('button', { name: 'Play' }).waitFor();
      for (let i = 0; i < 9; i += 1) await page.getByRole('button', { name: 'Step on' }).click();
    },
  },
  {
    name: 'pilot',
    open: (page) => page.goto('/pilots').then(() => page.getByRole('link', { name: /^Nia/ }).click()),
  },
];

/** Takes every picture that the README shows, from the demo data. */
export async function takePictures(): Promise<number> {
  const executablePath = await needChromium();
  await buildApp();
  const folder = throwawayFolder();
  const cluster = await startCluster(folder);
  try {
    await ensureDatabase(cluster.url, 'pictures');
    await withDatabase(cluster.url('pictures'), (db) => loadDemo(db, new Date()));
    const server = await startServer(cluster.appUrl('pictures'), await freePort());
    const browser = await chromium.launch({
      executablePath,
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    });
    try {
      const baseURL = `http://127.0.0.1:${server.port}`;
      for (const picture of PICTURES) {
        const context = await browser.newContext({
          baseURL,
          viewport: picture.size ?? PHONE,
          colorScheme: picture.dark ? 'dark' : 'light',
          locale: 'en-GB',
        });
        const { email, password } = DEMO_TRAINERS[0];
        const answer = await context.request.post('/api/sign-in', {
          data: { email, password },
          headers: { Origin: baseURL },
        });
        if (!answer.ok()) throw new CannotGoOn(`Sign-in answered ${answer.status()}.`);
        const page = await context.newPage();
        pressAsAHand(page);
        await picture.open(page);
        await page.getByText('Loading …').waitFor({ state: 'hidden' });
        await page.evaluate(() => document.fonts.ready);
        await page.waitForTimeout(700);
        await page.screenshot({ path: path.join(FOLDER, `${picture.name}.png`) });
        say(picture.name);
        await context.close();
      }
    } finally {
      await browser.close();
      await server.stop();
    }
  } finally {
    await cluster.stop();
    rmSync(folder, { recursive: true, force: true });
  }
  return 0;
}
