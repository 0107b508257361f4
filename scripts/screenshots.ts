// `npm run screenshots`: retakes the pictures of docs/screenshots from freshly seeded demo data.
import { chromium, type Page } from '@playwright/test';
import { mkdir, mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { answering, build, root, runNode, serve } from './lib.mjs';

const PORT = 4472;
const url = `http://127.0.0.1:${PORT}`;
const folder = path.join(root, 'docs/screenshots');

interface Shot {
  name: string;
  take: (page: Page) => Promise<unknown>;
}

const openStudy = async (page: Page, title: string, query: string) => {
  await page.goto(url);
  const href = await page.getByRole('link', { name: `Open ${title}` }).getAttribute('href');
  await page.goto(`${url}${href}?${query}`);
  await page.locator('[data-drawn="true"]').waitFor();
};
const pointAt = async (page: Page, x: number, y: number) => {
  const box = await page.getByTestId('stage').boundingBox();
  if (box) await page.mouse.move(box.x + x * box.width, box.y + y * box.height);
};

const openCheck = async (page: Page) => {
  await page.goto(url);
  const link = page.getByRole('link', { name: 'Open Winch room by lamplight' });
  await page.goto(`${url}${await link.getAttribute('href')}?step=check`);
  await page.locator('[data-testid="check-stage"][data-state="done"]').waitFor();
};

const SHOTS: Shot[] = [
  { name: 'wall', take: (page) => page.goto(url) },
  {
    name: 'compare',
    take: async (page) => {
      await page.goto(url);
      await page.getByRole('button', { name: 'More for Ticket hall at noon' }).click();
      await page.getByRole('menuitem', { name: 'Compare with …' }).click();
      await page
        .getByRole('dialog')
        .getByRole('link', { name: /Lower station/ })
        .click();
      await page.waitForURL(/compare/);
    },
  },
  {
    name: 'desk-look',
    take: async (page) => {
      await openStudy(page, 'Ticket hall at noon', 'step=look');
      await page.getByText('About the picture').click();
      await pointAt(page, 0.45, 0.75);
    },
  },
  {
    name: 'desk-values',
    take: async (page) => {
      await openStudy(page, 'Ticket hall at noon', 'step=values&lens=zones&wipe=0.42');
      await pointAt(page, 0.62, 0.5);
    },
  },
  {
    name: 'desk-mix',
    take: async (page) => {
      await openStudy(page, 'Lower station, rain at dusk', 'step=mix');
      await page.getByRole('button', { name: /^middle brown/ }).click();
      await page.getByTestId('recipe').waitFor();
      await page.mouse.move(5, 5);
    },
  },
  {
    name: 'desk-check',
    take: async (page) => {
      await openCheck(page);
      await page.mouse.move(1100, 470);
    },
  },
  {
    name: 'easel',
    take: async (page) => {
      await page.clock.install({ time: new Date('2026-11-16T09:00:00Z') });
      await openCheck(page);
      await page.getByRole('button', { name: 'Session …' }).click();
      await page.getByRole('button', { name: 'To the easel' }).click();
      await page.getByRole('button', { name: 'Begin', exact: true }).click();
      await page.getByRole('button', { name: 'Pause' }).waitFor();
      await page.clock.fastForward('21:40');
      await page.getByRole('button', { name: 'edges' }).click();
      await page.getByTestId('stage-picture').waitFor();
      await page.mouse.move(5, 300);
    },
  },
  {
    name: 'log',
    take: async (page) => {
      await page.goto(`${url}/log?tab=mistakes`);
      await page.getByTestId('mistake-plot').waitFor();
    },
  },
  {
    name: 'practice',
    take: async (page) => {
      await page.goto(`${url}/practice`);
      await page.getByTestId('weeks-plot').locator('canvas').waitFor();
    },
  },
  {
    name: 'practice-round',
    take: async (page) => {
      await page.goto(url);
      const link = page.getByRole('link', { name: 'Open Ticket hall at noon' });
      const study = (await link.getAttribute('href'))!.split('/').pop();
      await page.evaluate(() =>
        localStorage.setItem(
          'bold-prism:screen',
          JSON.stringify({ at: Date.now(), room: 'dim', darkest: 1.5, lightest: 9.2 }),
        ),
      );
      const fetched = page.waitForResponse(/working/);
      await page.goto(`${url}/practice?seed=5&study=${study}`);
      await fetched;
      await page.waitForLoadState('networkidle');
      await page.getByRole('button', { name: 'Begin, 5 minutes' }).click();
      const ring = page.getByTestId('ring');
      const isAsked = async () =>
        (await ring.count()) > 0 &&
        (await page.getByTestId('finding').innerText()).startsWith('How light');
      for (let i = 0; i < 200 && !(await isAsked()); i++) {
        // Whatever answers this question: a choice by its key, a value, an order or a match as it stands.
        for (const key of ['1', 'a', '5', 'Enter', 'Enter', 'Enter']) {
          if ((await page.getByTestId('outcome').count()) > 0) break;
          await page.keyboard.press(key);
        }
        await page.keyboard.press('Enter');
      }
      await ring.waitFor();
    },
  },
  {
    name: 'bench',
    take: async (page) => {
      await page.goto(`${url}/bench?order=by+hue`);
      await page.getByRole('button', { name: /^Ultramarine/ }).click();
      await page.evaluate(() => window.scrollTo(0, 0));
    },
  },
  {
    name: 'desk-colours',
    take: (page) => openStudy(page, 'Ticket hall at noon', 'step=colours'),
  },
  {
    name: 'desk-hidden',
    take: (page) => openStudy(page, 'Fog at the passing loop', 'step=hidden&wipe=0.33'),
  },
  {
    name: 'desk-palette',
    take: async (page) => {
      await openStudy(page, 'Lower station, rain at dusk', 'step=palette');
      await pointAt(page, 0.49, 0.5);
    },
  },
  {
    name: 'desk-use',
    take: async (page) => {
      await openStudy(page, 'Slate terrace, evening', 'step=use&wipe=0.35');
      await page.getByText(/^Values hold/).waitFor();
      await page.waitForTimeout(4000);
    },
  },
  {
    name: 'series',
    take: async (page) => {
      await page.goto(`${url}/series`);
      for (const title of ['Lower station', 'Slate terrace, evening', 'Winch room'])
        await page
          .getByLabel(new RegExp(`^${title}`))
          .first()
          .check();
    },
  },
  { name: 'drawers', take: (page) => page.goto(`${url}/drawers`) },
  {
    name: 'colourways',
    take: async (page) => {
      await page.goto(`${url}/colourways`);
      await page.getByRole('link', { name: /^Seat cloth/ }).click();
      await page.getByRole('radio', { name: 'wall', exact: true }).click();
      await page.locator('[data-testid="wall"] canvas[data-drawn]').nth(30).waitFor();
    },
  },
  {
    name: 'library',
    take: async (page) => {
      await page.goto(`${url}/drawers`);
      await page.getByRole('link', { name: /^Endpapers, from one red/ }).click();
      await page
        .getByTestId('tray')
        .getByRole('button', { name: /slate for type/ })
        .click();
      await page.getByTestId('change').waitFor();
    },
  },
];

if (build() !== 0) process.exit(1);
const data = await mkdtemp(path.join(tmpdir(), 'bold-prism-shots-'));
if (runNode('tsx/dist/cli.mjs', ['demo/seed.ts'], { PRISM_DATA: data }) !== 0) process.exit(1);
await mkdir(folder, { recursive: true });
const child = serve({ port: PORT, data, stdio: 'ignore' });
const browser = await chromium.launch({
  executablePath: process.env.PRISM_CHROMIUM ?? '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
});
try {
  await answering(url, child);
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  const wanted = process.argv.slice(2);
  for (const { name, take } of SHOTS) {
    if (wanted.length > 0 && !wanted.includes(name)) continue;
    await take(page);
    await page.waitForLoadState('networkidle');
    // What is still being read says so with an ellipsis.
    await page.waitForFunction(
      () => !document.querySelector('[data-testid="finding"]')?.textContent?.includes('…'),
    );
    await page.waitForTimeout(800);
    await page.screenshot({ path: path.join(folder, `${name}.png`) });
    console.log(name);
  }
} finally {
  await browser.close();
  child.kill('SIGTERM');
  await new Promise((resolve) => child.once('exit', resolve));
  await rm(data, { recursive: true, force: true });
}
