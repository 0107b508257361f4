import type { Page } from '@playwright/test';
import { readFile } from 'node:fs/promises';
import sharp from 'sharp';
import { appFor, expect, test } from './app';
import {
  choose,
  isSaved,
  onStage,
  openStudy,
  pixelAt,
  reload,
  setSlider,
  toStep,
  toTab,
  tray,
} from './page-actions';
import { violationsOf } from './violations';

const app = appFor('demo');
const finding = (page: Page) => page.getByTestId('finding');
const rows = (page: Page) =>
  page.getByRole('listitem').filter({ hasText: /(slight|clear|strong)? ?shift, / });
const spreadAt = async (page: Page, x: number, y: number) => {
  const pixel = await pixelAt(page, ...(await onStage(page, x, y)));
  return Math.max(...pixel) - Math.min(...pixel);
};
const ON_A_ROW = [1100, 420] as const;
const isOnRow = (page: Page) =>
  page.evaluate(
    ([x, y]) => Boolean(document.elementFromPoint(x, y)?.closest('button[aria-pressed]')),
    ON_A_ROW,
  );

test('a fog: what is hidden is listed, shown, mapped and taken as pairs', async ({ page }) => {
  await openStudy(page, app.url, 'Fog at the passing loop');
  // A pointer at rest where a row will be.
  await page.mouse.move(...ON_A_ROW);
  await page.keyboard.press('h');
  await expect(page).toHaveURL(/step=hidden/);
  await expect(finding(page)).toContainText(/^(Six|Seven|Eight|Nine) quiet colours/);
  await expect(rows(page).filter({ hasText: 'Blue across the middle' })).toHaveCount(1);
  await expect(
    rows(page)
      .filter({ hasText: /upper edge/ })
      .first(),
  ).toBeVisible();

  // Pushed, the sky has colour; as it came, hardly any. The row beneath the pointer isn't pointed at.
  await expect.poll(() => isOnRow(page)).toBe(true);
  await expect.poll(() => spreadAt(page, 0.62, 0.45)).toBeGreaterThan(44);
  await choose(page, 'Seen as', 'plain');
  await expect.poll(() => spreadAt(page, 0.62, 0.45)).toBeLessThan(25);

  // Pointed at, the place of one stays and the rest steps back.
  const ground = await onStage(page, 0.3, 0.85);
  const before = await pixelAt(page, ...ground);
  await page.getByRole('button', { name: /^Blue across the middle/ }).hover();
  await expect.poll(() => pixelAt(page, ...ground)).not.toEqual(before);
  await page.mouse.move(640, 20);
  await expect.poll(() => pixelAt(page, ...ground)).toEqual(before);

  const there = await tray(page).count();
  await page.getByRole('button', { name: 'Add blue across the middle, strengthened' }).click();
  await expect(tray(page)).toHaveCount(there + 1);
  await page.keyboard.press('Control+z');
  const listed = await rows(page).count();
  await page.getByRole('button', { name: 'Add all as pairs' }).click();
  await expect(tray(page)).toHaveCount(there + 2 * listed);
  await page.keyboard.press('Control+z');
  await expect(tray(page)).toHaveCount(there);
  // Some of them, as they are.
  for (const n of [0, 2]) await rows(page).nth(n).getByRole('checkbox').check();
  await page.getByRole('button', { name: 'Add two as they are' }).click();
  await expect(tray(page)).toHaveCount(there + 2);
  await expect(page.getByRole('button', { name: 'Add all strengthened' })).toBeVisible();
  await page.keyboard.press('Control+z');

  await choose(page, 'Seen as', 'map');
  await expect(page).toHaveURL(/lens=map/);
  // Flat: two places of one region are the same to the last digit.
  const two = () =>
    Promise.all(
      [0.6, 0.64].map(async (x) => String(await pixelAt(page, ...(await onStage(page, x, 0.45))))),
    );
  await expect.poll(async () => new Set(await two()).size).toBe(1);
  await page.getByRole('button', { name: 'Map or list to print …' }).click();
  await expect(page.getByRole('img', { name: /^Map of \d+ hidden colours/ })).toBeVisible();
  const [sheet] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save PNG' }).click(),
  ]);
  expect(sheet.suggestedFilename()).toBe('Fog at the passing loop, hidden colours.png');
  await choose(page, 'What is printed', 'the list');
  await expect(page.getByRole('img', { name: /^List of \d+ hidden colours/ })).toBeVisible();
  await page.keyboard.press('Escape');
  expect(await violationsOf(page)).toEqual([]);
});

test('strengthening: sliders, its bounds and proof, looks that last, families left alone, undone', async ({
  page,
}) => {
  await openStudy(page, app.url, 'Fog at the passing loop');
  await toStep(page, 'Hidden');
  await toTab(page, 'strengthen');
  await expect(page.getByText(/the greys of both differ by 0\.\d\d L\*/)).toBeVisible();
  // A fog is grey nearly all over: even the usual strength leaves it few neutrals, and says so.
  await expect(finding(page)).toContainText(/is still neutral, where it was 9\d.%/);
  await setSlider(page, 'Part the hues', -50);
  await expect(finding(page)).toContainText('stays neutral');
  await setSlider(page, 'Part the hues', 50);
  await setSlider(page, 'Strengthen greys', 60);
  await expect.poll(() => spreadAt(page, 0.62, 0.45)).toBeGreaterThan(60);
  await expect(page.getByText(/\d* ?warnings?$/)).not.toHaveText('no warnings');
  await page.getByLabel('Name of the look').fill('Far too much');
  await page.getByRole('button', { name: 'Keep' }).click();
  await page.getByRole('button', { name: /^To put down/ }).click();
  await expect(page.getByRole('slider', { name: 'Strengthen greys' })).toHaveAttribute(
    'aria-valuenow',
    '0',
  );
  await isSaved(page);
  await reload(page);
  await expect(page.getByRole('button', { name: /^Far too much/ })).toBeVisible();
  await page.getByRole('button', { name: /^Far too much/ }).click();
  await expect.poll(() => spreadAt(page, 0.62, 0.45)).toBeGreaterThan(60);

  await choose(page, 'Seen as', 'greys');
  await expect(page.getByTestId('two-pictures')).toHaveAttribute('data-drawn', 'true');
  await choose(page, 'Seen as', 'stronger');
  await toTab(page, 'leave alone');
  const loud = await spreadAt(page, 0.62, 0.45);
  for (const family of ['blue', 'blue-violet', 'blue-green', 'violet'])
    await page.getByRole('button', { name: family, exact: true }).click();
  await expect(finding(page)).toContainText('as they are');
  await expect.poll(() => spreadAt(page, 0.62, 0.45)).toBeLessThan(loud / 2);
  await page.keyboard.press('b');
  const [x, y] = await onStage(page, 0.4, 0.45);
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + 60, y, { steps: 4 });
  await page.mouse.up();
  await expect(page.getByText('1 drawn')).toBeVisible();
  await page.getByRole('button', { name: 'Leave nothing alone' }).click();
  await expect(finding(page)).toContainText('Nothing is left alone');
  await page.keyboard.press('Control+z');
  await expect(page.getByText('1 drawn')).toBeVisible();
});

test('exported: a PNG of the original’s size; a sheet; an eye test that counts', async ({
  page,
}) => {
  // The browser's own dialog can't be driven: what would be printed is told in the title.
  await page.addInitScript(() => {
    window.print = () => {
      const images = Array.from(document.images).filter((image) => image.naturalWidth > 1000);
      window.top!.document.title = `printed ${images.length} picture`;
    };
  });
  await openStudy(page, app.url, 'Summit in snow glare');
  await toStep(page, 'Hidden');
  await toTab(page, 'strengthen');
  const [file] = await Promise.all([
    page.waitForEvent('download', { timeout: 60_000 }),
    page.getByRole('button', { name: 'Picture as PNG' }).click(),
  ]);
  await page.getByRole('button', { name: 'Picture as PNG' }).click();
  await page.getByRole('button', { name: 'Stop', exact: true }).click();
  await expect(page.getByText('Stopped. Nothing was written.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Picture as PNG' })).toBeVisible();
  const png = await sharp(await readFile(await file.path())).metadata();
  const original = await sharp('demo/pictures/summit.jpg').metadata();
  expect([png.format, png.width, png.height]).toEqual(['png', original.width, original.height]);
  await page.getByRole('button', { name: 'Before and after …' }).click();
  await expect(page.getByRole('img', { name: /^The picture before and after/ })).toBeVisible();
  await page.getByRole('button', { name: 'Print' }).click();
  await expect.poll(() => page.evaluate(() => document.title)).toBe('printed 1 picture');
  await page.keyboard.press('Escape');

  await toTab(page, 'hidden');
  await page.getByRole('button', { name: 'Test my eye' }).click();
  await expect(finding(page)).toContainText(/^Test my eye: what lies /);
  await expect(page).toHaveURL(/lens=picture/);
  await choose(page, 'Family', 'blue');
  await choose(page, 'Intensity', 'greyed');
  await page.getByRole('button', { name: 'Show the reading' }).click();
  await expect(page.getByText(/^As it is: .* Strengthened: /)).toBeVisible();
  await expect(page.getByText(/^Against its surroundings it is /)).toBeVisible();
  await expect(page.getByText(/ so far: /)).toBeVisible();
  await page.getByRole('button', { name: 'Back to the list' }).click();
  await expect(rows(page).first()).toBeVisible();
});
