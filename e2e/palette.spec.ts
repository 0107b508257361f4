import type { Locator, Page } from '@playwright/test';
import { spawnSync } from 'node:child_process';
import { root } from '../scripts/lib.mjs';
import { appFor, expect, test } from './app';
import {
  choose,
  deskIsSet,
  dropPicture,
  finding,
  hexes,
  isSaved,
  labels,
  onStage,
  openStudy,
  picturePath,
  pixelAt,
  reload,
  setSlider,
  toStep,
  toTab,
  tray,
} from './page-actions';
import { violationsOf } from './violations';

const app = appFor('demo');
const panel = (page: Page): Locator => page.getByRole('complementary', { name: 'Findings' });

test('extraction: the suggested count, a lean, a loop on the picture; the same as on the command line', async ({
  page,
}) => {
  await page.goto(app.url);
  await page.getByRole('button', { name: 'More for Enamel tile for the endpapers' }).click();
  await page.getByRole('menuitem', { name: 'Delete' }).click();
  await dropPicture(page, 'enamel-tile.webp');
  await page.getByRole('button', { name: /Begin a new study/ }).click();
  await page.waitForURL(/desk/);
  await deskIsSet(page);
  await toStep(page, 'Palette');

  const { stdout } = spawnSync(
    process.execPath,
    [
      'node_modules/tsx/dist/cli.mjs',
      'cli/prism.ts',
      'palette',
      picturePath('enamel-tile.webp'),
      '--count',
      '6',
      '--lean',
      'strong',
    ],
    { cwd: root, encoding: 'utf8', timeout: 60_000 },
  );
  const printed = (JSON.parse(stdout) as { swatches: { hex: string; name: string }[] }).swatches;
  await page.getByLabel('What extraction looks at').selectOption('strong');
  await page.getByRole('button', { name: /^6 colours: / }).click();
  await expect(tray(page)).toHaveCount(6);
  const rgb = ({ hex }: { hex: string }) =>
    `rgb(${[1, 3, 5].map((i) => parseInt(hex.slice(i, i + 2), 16)).join(', ')})`;
  await expect.poll(() => hexes(page)).toEqual(printed.map(rgb));

  const strong = await labels(page);
  await page.getByRole('button', { name: 'Within a loop' }).click();
  const [x, y] = await onStage(page, 0.42, 0.42);
  await page.mouse.move(x, y);
  await page.mouse.down();
  for (const [dx, dy] of [
    [60, 0],
    [60, 60],
    [0, 60],
    [0, 5],
  ])
    await page.mouse.move(x + dx, y + dy, { steps: 4 });
  await page.mouse.up();
  await expect(page.getByRole('button', { name: 'All of it' })).toBeVisible();
  await page.getByRole('button', { name: 'Extract again' }).click();
  await expect.poll(() => labels(page)).not.toEqual(strong);
  await page.getByRole('button', { name: 'All of it' }).click();
  await expect.poll(() => hexes(page)).toEqual(printed.map(rgb));
});

test('picks: a near-duplicate is asked about, an average gives way to its colours', async ({
  page,
}) => {
  await openStudy(page, app.url, 'Ticket hall at noon');
  await toStep(page, 'Palette');
  const before = await tray(page).count();
  const [x, y] = await onStage(page, 0.6, 0.82);
  await page.mouse.click(x, y);
  await expect(tray(page)).toHaveCount(before + 1);
  await page.mouse.click(x + 1, y);
  await expect(page.getByText(/^This is \d\.\d from “.*”: both are kept\.$/).first()).toBeVisible();
  await expect(tray(page)).toHaveCount(before + 2);
  await page.getByRole('button', { name: 'Merge', exact: true }).last().click();
  await expect(tray(page)).toHaveCount(before + 1);
  await page.keyboard.press('Control+z');
  await expect(tray(page)).toHaveCount(before + 2);

  await panel(page).getByRole('slider', { name: 'Radius' }).focus();
  for (let i = 0; i < 25; i++) await page.keyboard.press('ArrowRight');
  await page.mouse.click(...(await onStage(page, 0.55, 0.75)));
  await expect(tray(page)).toHaveCount(before + 3);
  const parts = await page.getByText('The area is made of').locator('..').getByRole('img').count();
  expect(parts).toBeGreaterThan(1);
  await page.getByRole('button', { name: 'Put these in its place' }).click();
  await expect(tray(page)).toHaveCount(before + 2 + parts);

  // From what is laid over it: quiet colours pushed up are stronger than the camera saw them.
  await page.keyboard.press('Escape');
  await choose(page, 'Pick from', 'strengthened');
  await expect(page).toHaveURL(/from=pushed/);
  const [wallX, wallY] = await onStage(page, 0.4, 0.4);
  const pushed = () => pixelAt(page, wallX, wallY);
  const spread = async () => Math.max(...(await pushed())) - Math.min(...(await pushed()));
  const gentle = await spread();
  await page.getByRole('button', { name: 'Change', exact: true }).click();
  await setSlider(page, 'Strengthen all', 60);
  await expect.poll(spread).toBeGreaterThan(gentle);
  await toStep(page, 'Palette');
  await expect(
    page.getByText('Strengthened: hues parted 50 %, all strengthened 60 %.'),
  ).toBeVisible();
  await page.mouse.click(wallX, wallY);
  await expect(page.getByLabel('Note')).toHaveValue(
    'As strengthened: hues parted 50 %, all strengthened 60 %.',
  );

  // What makes a place, and undone: nothing is chosen that is not there.
  await page.keyboard.press('Escape');
  const standing = await tray(page).count();
  await choose(page, 'A pick is', 'what makes it');
  await page.mouse.click(...(await onStage(page, 0.55, 0.75)));
  await expect(panel(page).getByRole('heading', { name: / swatches$/ })).toBeVisible();
  expect(await tray(page).count()).toBeGreaterThan(standing + 1);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(tray(page)).toHaveCount(standing);
  await expect(panel(page).getByRole('heading', { name: / swatches$/ })).toHaveCount(0);
});

test('pruning: how many they really are, merged and taken apart; the tray by keys', async ({
  page,
}) => {
  await openStudy(page, app.url, 'Fog at the passing loop');
  await toStep(page, 'Palette');
  await toTab(page, 'merge near-duplicates');
  await setSlider(page, 'As near as', 8);
  await expect(finding(page)).toContainText(/^Eight colours are really (three|four|five)\.$/);
  const before = await labels(page);
  await page.getByRole('button', { name: 'Merge all of them' }).click();
  await expect(tray(page)).not.toHaveCount(before.length);
  const merged = await tray(page).count();
  await page.keyboard.press('Control+z');
  await expect(tray(page)).toHaveCount(before.length);

  // Several at once, by keys: Shift with Enter adds, M merges; what was merged is taken apart.
  await tray(page).nth(0).click();
  await tray(page).nth(1).press('Shift+Enter');
  await expect(panel(page).getByRole('heading', { name: 'Two swatches' })).toBeVisible();
  await tray(page).nth(1).press('m');
  await expect(tray(page)).toHaveCount(before.length - 1);
  await tray(page).nth(0).click();
  await page.getByRole('button', { name: 'Take apart' }).click();
  await expect.poll(() => labels(page)).toEqual(before);
  expect(merged).toBeLessThan(before.length);

  await page.getByRole('button', { name: 'Order' }).click();
  await page.getByRole('menuitem', { name: 'By share' }).click();
  await expect.poll(() => labels(page)).not.toEqual(before);
  await page.getByRole('button', { name: 'Order' }).click();
  await page.getByRole('menuitem', { name: 'By value' }).click();
  await toTab(page, 'pick');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'darkest dark' }).click();
  await page.getByRole('button', { name: 'paper white' }).click();
  await expect(tray(page).first()).toHaveAttribute('aria-label', /darkest dark.*, dark$/);
  await expect(tray(page).last()).toHaveAttribute('aria-label', /paper white.*, light$/);
  await isSaved(page);
  await reload(page);
  await expect(tray(page)).toHaveCount(before.length + 2);
});

test('a finger chooses several in the tray; a series says what strays', async ({ browser }) => {
  const context = await browser.newContext({
    hasTouch: true,
    viewport: { width: 1024, height: 768 },
  });
  const page = await context.newPage();
  await openStudy(page, app.url, 'Slate terrace, evening');
  await toStep(page, 'Palette');
  const before = await tray(page).count();
  await page.getByRole('button', { name: 'Several' }).tap();
  await tray(page).nth(0).tap();
  await tray(page).nth(1).tap();
  await tray(page).nth(2).tap();
  await expect(panel(page).getByRole('heading', { name: 'Three swatches' })).toBeVisible();
  await panel(page).getByRole('button', { name: 'Merge' }).tap();
  await expect(tray(page)).toHaveCount(before - 2);
  await page.getByRole('button', { name: 'Undo', exact: true }).first().tap();
  await expect(tray(page)).toHaveCount(before);

  await page.goto(app.url);
  await page.getByRole('link', { name: 'Series' }).tap();
  await expect(finding(page)).toHaveText(/Choose two or more/);
  for (const title of ['Slate terrace, evening', 'Talloch, the last season'])
    await page
      .getByLabel(new RegExp(`^${title}`))
      .first()
      .check();
  await expect(finding(page)).toHaveText(/^These two palettes .* \(\d+ of 100\)/);
  await expect(page.getByText(/has nothing near it/).first()).toBeVisible();
  await reload(page);
  await expect(page.getByRole('listitem').getByRole('heading')).toHaveCount(2);
  expect(await violationsOf(page)).toEqual([]);
  await context.close();
});

test('ends stand beside the count, the slider says what is new, and leans are chosen side by side', async ({
  page,
}) => {
  await openStudy(page, app.url, 'Ticket hall at noon');
  await toStep(page, 'Palette');
  await page.getByRole('button', { name: /^6 colours: / }).click();
  await expect(page.getByRole('button', { name: /^6 colours: / })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  await expect(page.getByRole('button', { name: 'Extract again' })).toBeEnabled();
  const six = await tray(page).count();
  expect(six).toBeGreaterThanOrEqual(6);
  const ends = page.getByRole('button', { name: /^(true black|darkest dark)$/ });
  await expect(ends).toHaveCount(2);
  for (const end of await ends.all()) await end.click();
  await expect(tray(page)).toHaveCount(six + 2);
  // White on white is seen by its outline.
  await page.getByRole('button', { name: 'true white', exact: true }).click();
  const white = tray(page).filter({ has: page.locator('[style*="rgb(255, 255, 255)"]') });
  await expect(white).toHaveCount(1);
  expect(
    await white.evaluate((block) => {
      const { borderTopWidth, width } = getComputedStyle(block.firstElementChild as Element);
      return parseFloat(borderTopWidth) > 0 && parseFloat(width) >= 16;
    }),
  ).toBe(true);
  await page.getByRole('button', { name: 'Extract again' }).click();
  await expect(page.getByRole('button', { name: 'Extract again' })).toBeEnabled();
  await expect(tray(page)).toHaveCount(six + 3);
  await page.getByRole('button', { name: 'true white', exact: true }).click();
  await expect(tray(page)).toHaveCount(six + 2);

  await page.getByRole('button', { name: 'Leans side by side' }).click();
  const leans = page.getByRole('list', { name: 'Leans' }).getByRole('button');
  await expect(leans).toHaveCount(7);
  await expect(leans.nth(0)).toHaveAttribute('aria-pressed', 'true');
  const before = await hexes(page);
  await leans.filter({ hasText: 'the strong' }).click();
  await expect(page.getByLabel('What extraction looks at')).toHaveValue('strong');
  await expect.poll(() => hexes(page)).not.toEqual(before);
  await expect(tray(page)).toHaveCount(six + 2);
});
