import { readFile } from 'node:fs/promises';
import sharp from 'sharp';
import type { Page } from '@playwright/test';
import { unzipped } from '../src/server/files/zips';
import { appFor, expect, test } from './app';
import {
  block,
  downloadedBytes,
  duplicates,
  hexAt,
  hexOfBlock,
  isDrawn,
  look,
  onDrawing,
  openPattern,
  patternFile,
  row,
  tab,
} from './colourways-actions';
import { choose, finding, isReady, isSaved, reload, undo } from './page-actions';

const app = appFor('demo');

test('a drawing is cleaned up, coloured, kept, compared and sent out, by mouse', async ({
  page,
}) => {
  await page.goto(`${app.url}/colourways`);
  await isReady(page);
  await page.getByLabel('Import a pattern').setInputFiles(patternFile('enamel-tile.svg'));
  await expect(page).toHaveURL(/colourways\/[0-9a-f-]{36}/);
  await expect(finding(page)).toHaveText(/15 colours, of which nine are near-duplicates/);
  await expect(duplicates(page)).toHaveCount(5);
  await expect(page.getByRole('list', { name: 'Near-duplicates' })).toContainText(
    '#304e8d moves path in cobalt',
  );
  await duplicates(page).first().click();
  await expect(duplicates(page)).toHaveCount(4);
  await undo(page).click();
  await expect(duplicates(page)).toHaveCount(5);
  await page.getByRole('button', { name: 'Merge all 5 groups in the drawing' }).click();
  await expect(finding(page)).toHaveText(/15 colours are six colours now/);

  await tab(page, 'colours');
  await expect(finding(page)).toHaveText(/Whose colours shall it have/);
  await page.getByLabel('Find a library by words').fill('Wet dusk');
  await page.getByRole('button', { name: 'Take all' }).first().click();
  await expect(finding(page)).toHaveText(/^Six colours became \w+ colours/);
  await expect(row(page).getByRole('button', { name: /being tried/ })).toBeVisible();

  // A colour dragged to the middle of the drawing: it has it, whatever else changes.
  await isDrawn(page);
  const wanted = await hexOfBlock(page, 0);
  const from = (await block(page, 0).boundingBox())!;
  const [x, y] = await onDrawing(page, 0.5, 0.66);
  await page.mouse.move(from.x + 4, from.y + 12);
  await page.mouse.down();
  await page.mouse.move(x, y - 20, { steps: 4 });
  await page.mouse.move(x, y, { steps: 2 });
  await page.mouse.up();
  await page.mouse.move(5, 300);
  await expect.poll(() => hexAt(page, 0.5, 0.66)).toBe(wanted);
  await choose(page, 'Colours go', 'by area');
  await expect.poll(() => hexAt(page, 0.5, 0.66)).toBe(wanted);

  // Another dragged onto it in the palette: its shapes have that one.
  const other = await hexOfBlock(page, 5);
  const [a, b] = [(await block(page, 5).boundingBox())!, (await block(page, 0).boundingBox())!];
  await page.mouse.move(a.x + 4, a.y + 12);
  await page.mouse.down();
  await page.mouse.move(b.x + 4, b.y + 10, { steps: 5 });
  await page.mouse.up();
  await expect(block(page, 0)).toHaveAccessibleName(/left out/);
  await page.mouse.move(5, 300);
  await expect.poll(() => hexAt(page, 0.5, 0.66)).toBe(other);
  await undo(page).click();
  await expect.poll(() => hexAt(page, 0.5, 0.66)).toBe(wanted);

  // A block drawn wider by its edge has more room.
  const grip = page.getByTestId('width-grip').nth(2);
  const before = (await block(page, 2).locator('span').first().boundingBox())!.width;
  const edge = (await grip.boundingBox())!;
  await page.mouse.move(edge.x + 3, edge.y + 10);
  await page.mouse.down();
  await page.mouse.move(edge.x + 40, edge.y + 10, { steps: 4 });
  await page.mouse.up();
  await expect
    .poll(async () => (await block(page, 2).locator('span').first().boundingBox())!.width)
    .toBeGreaterThan(before + 5);

  await page.getByRole('button', { name: 'Keep this colourway' }).click();
  await page.getByRole('dialog').getByLabel('Name').fill('Dusk glaze');
  await page.getByRole('dialog').getByRole('button', { name: 'Keep' }).click();
  await expect(row(page).getByRole('button')).toHaveCount(3);
  const kept = await hexAt(page, 0.5, 0.66);

  await look(page, 'wall');
  const wall = page.getByTestId('wall');
  await expect(wall.locator('canvas[data-drawn]')).toHaveCount(41);
  await expect(wall.getByRole('listitem').first()).toContainText('as it was drawn');
  await wall.getByRole('button', { name: 'Dusk glaze, favourite' }).click();
  await wall.getByRole('button', { name: 'Keep by value, greyed', exact: true }).click();
  await choose(page, 'On the wall', 'favourites');
  await expect(wall.locator('canvas')).toHaveCount(2);
  await wall.getByLabel('Compare as it was drawn').check();
  await wall.getByLabel('Compare Dusk glaze').check();
  await page.getByRole('button', { name: 'Compare these two' }).click();
  await expect(page.getByTestId('two').getByTestId('drawing')).toHaveCount(2);
  await expect(page.getByLabel('On the right').locator('option:checked')).toHaveText('Dusk glaze');
  await look(page, 'as cloth');
  await choose(page, 'Repeat', 'half-drop');
  await expect(page.getByTestId('cloth')).toHaveAttribute('data-drawn', '');

  // Taken back to its settings from the row.
  await look(page, 'one');
  await row(page)
    .getByRole('button', { name: /Dusk glaze/ })
    .click();
  await expect.poll(() => hexAt(page, 0.5, 0.66)).toBe(kept);
  await page.getByRole('button', { name: 'Go on from this' }).click();
  await tab(page, 'colours');
  await expect(page.getByRole('radio', { name: 'by area' })).toBeChecked();
  await isSaved(page);
  await reload(page);
  await isDrawn(page);
  await expect(row(page).getByRole('button')).toHaveCount(4);

  await row(page)
    .getByRole('button', { name: /Dusk glaze/ })
    .click();
  await tab(page, 'export');
  const svg = await downloadedBytes(page, 'Save SVG');
  const own = await readFile(patternFile('enamel-tile.svg'), 'utf8');
  const blank = (text: string) => text.replace(/#[0-9a-f]{6}/g, '#');
  expect(blank(svg.toString())).toBe(blank(own));
  expect(new Set(svg.toString().match(/#[0-9a-f]{6}/g)).size).toBeLessThanOrEqual(6);
  await page.getByLabel('PNG: pixels along the longer side').fill('240');
  const png = await downloadedBytes(page, 'Save PNG tile');
  // The renderer of the page, and another one: the same colour where nothing is an edge.
  const [inPage, elsewhere] = await Promise.all(
    [sharp(png), sharp(svg).resize(240, 240)].map((one) => one.ensureAlpha().raw().toBuffer()),
  );
  for (const [px, py] of [
    [120, 158],
    [60, 30],
    [120, 90],
    [10, 100],
    [120, 120],
  ]) {
    const at = 4 * (py * 240 + px);
    for (let k = 0; k < 4; k++)
      expect(Math.abs(inPage[at + k] - elsewhere[at + k])).toBeLessThanOrEqual(1);
  }
  const zip = await unzipped(await downloadedBytes(page, 'Everything (zip)'));
  expect(zip.map(({ name }) => name)).toEqual(
    expect.arrayContaining([
      '1 Dusk glaze.svg',
      '1 Dusk glaze.png',
      '1 Dusk glaze.json',
      'colourways.pdf',
    ]),
  );
  expect(Buffer.from(zip.find(({ name }) => name === '1 Dusk glaze.svg')!.bytes)).toEqual(svg);
});

test('a colourway is made by keys alone', async ({ page }) => {
  await openPattern(page, app.url, 'Ticket paper');
  const focused = (name: string | RegExp, role: 'button' | 'slider' | 'checkbox') =>
    page.getByRole(role, { name }).first();
  await block(page, 1).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('group', { name: 'Colour in hand' })).toBeVisible();
  const wanted = await hexOfBlock(page, 1);
  // Onto the paper, by its row.
  const put = page
    .getByRole('list', { name: 'The drawing’s colours' })
    .getByRole('listitem')
    .filter({ hasText: /[5-9]\d %/ })
    .getByRole('button', { name: /^Put the colour in hand on/ });
  await put.focus();
  await page.keyboard.press('Enter');
  await expect.poll(() => hexAt(page, 0.5, 0.0625)).toBe(wanted);
  await focused(/, lighter$/, 'slider').focus();
  await page.keyboard.press('ArrowRight');
  await expect.poll(() => hexAt(page, 0.5, 0.0625)).not.toBe(wanted);
  await page.keyboard.press('Control+z');
  await expect.poll(() => hexAt(page, 0.5, 0.0625)).toBe(wanted);
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toContainText('side by side');
  await page.keyboard.press('Escape');
  await page.keyboard.press('w');
  await expect(page.getByTestId('wall')).toBeVisible();
  await page.keyboard.press('t');
  await expect(page.getByTestId('two')).toBeVisible();
  await page.keyboard.press('c');
  await expect(page.getByTestId('cloth')).toHaveAttribute('data-drawn', '');
  await page.keyboard.press('o');
  const stage = page.getByTestId('drawing-stage');
  const width = async () => (await page.getByTestId('drawing').boundingBox())!.width;
  await stage.focus();
  const fitted = await width();
  await page.keyboard.press('+');
  await expect.poll(width).toBeGreaterThan(fitted * 1.3);
  await page.keyboard.press('0');
  await expect.poll(width).toBeCloseTo(fitted, 0);
});

test('with a finger: a colour in hand is put on the drawing, two fingers zoom', async ({
  browser,
}) => {
  const context = await browser.newContext({
    hasTouch: true,
    viewport: { width: 820, height: 1180 },
  });
  const page = await context.newPage();
  await openPattern(page, app.url, 'Seat cloth');
  await block(page, 2).tap();
  const wanted = await hexOfBlock(page, 2);
  await page.touchscreen.tap(...(await onDrawing(page, 0.5, 0.5)));
  await expect.poll(() => hexAt(page, 0.5, 0.5)).toBe(wanted);
  const before = (await page.getByTestId('drawing').boundingBox())!.width;
  await pinch(page, await onDrawing(page, 0.5, 0.5));
  await expect
    .poll(async () => (await page.getByTestId('drawing').boundingBox())!.width)
    .toBeGreaterThan(before * 1.3);
  await context.close();
});

/** Two fingers apart, about a place. */
async function pinch(page: Page, [x, y]: [number, number]): Promise<void> {
  const session = await page.context().newCDPSession(page);
  const touch = (type: 'touchStart' | 'touchMove' | 'touchEnd', apart: number) =>
    session.send('Input.dispatchTouchEvent', {
      type,
      touchPoints:
        type === 'touchEnd'
          ? []
          : [
              { x: x - apart, y, id: 1 },
              { x: x + apart, y, id: 2 },
            ],
    });
  await touch('touchStart', 30);
  for (const apart of [40, 55, 70, 90]) await touch('touchMove', apart);
  await touch('touchEnd', 90);
}
