import { readFile } from 'node:fs/promises';
import path from 'node:path';
import sharp from 'sharp';
import type { Page } from '@playwright/test';
import { readDrawing } from '../src/core/pattern/read-drawing';
import { recoloured } from '../src/core/pattern/recolour';
import { unzipped } from '../src/server/files/zips';
import { root } from '../scripts/lib.mjs';
import { HOSTILE } from '../src/server/testing/some-pattern';
import { appFor, expect, test } from './app';
import { choose, finding, isReady, isSaved, pixelAt, reload, undo } from './page-actions';

const app = appFor('demo');
const pattern = (name: string) => path.join(root, 'demo/patterns', name);
const duplicates = (page: Page) =>
  page.getByRole('list', { name: 'Near-duplicates' }).getByRole('button');
const block = (page: Page, n: number) =>
  page.getByRole('group', { name: 'Palette', exact: true }).getByRole('button').nth(n);
const row = (page: Page) => page.getByRole('list', { name: 'Colourways in a row' });
const look = (page: Page, name: string) => choose(page, 'How it is looked at', name);
const tab = (page: Page, name: string) => choose(page, 'Part of the work', name);

async function isDrawn(page: Page): Promise<void> {
  const drawing = page.getByTestId('drawing');
  await expect(drawing).toBeVisible();
  await drawing.evaluate((image: HTMLImageElement) => image.decode());
}

async function open(page: Page, title: string): Promise<void> {
  await page.goto(`${app.url}/colourways`);
  await page.getByRole('link', { name: new RegExp(title) }).click();
  await isReady(page);
  await isDrawn(page);
}

/** A place of the drawing, in shares of its sides, on the page. */
async function onDrawing(page: Page, x: number, y: number): Promise<[number, number]> {
  const box = (await page.getByTestId('drawing').boundingBox())!;
  return [box.x + x * box.width, box.y + y * box.height];
}

const hexAt = async (page: Page, x: number, y: number) => {
  const [r, g, b] = await pixelAt(page, ...(await onDrawing(page, x, y)));
  return `#${[r, g, b].map((channel) => channel.toString(16).padStart(2, '0')).join('')}`;
};

const hexOfBlock = async (page: Page, n: number) => {
  const [, r, g, b] = /rgb\((\d+), (\d+), (\d+)\)/.exec(
    await block(page, n).evaluate(
      (element) => getComputedStyle(element.firstElementChild as Element).backgroundColor,
    ),
  )!;
  return `#${[r, g, b].map((channel) => Number(channel).toString(16).padStart(2, '0')).join('')}`;
};

test('a drawing is cleaned up, coloured, kept, compared and sent out, by mouse', async ({
  page,
}) => {
  await page.goto(`${app.url}/colourways`);
  await isReady(page);
  await page.getByLabel('Import a pattern').setInputFiles(pattern('enamel-tile.svg'));
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
  const own = await readFile(pattern('enamel-tile.svg'), 'utf8');
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

async function downloadedBytes(page: Page, button: string): Promise<Buffer> {
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: button }).click(),
  ]);
  return readFile(await file.path());
}

/** Shapes, each painted in another way, side by side: places are the middles of squares of 20 in a row. */
const SHAPES: readonly ((colour: string) => string)[] = [
  (colour) => `<rect width="20" height="20" fill="${colour}"/>`,
  (colour) => `<path d="M0 0h20v20H0z" style="fill: ${colour}; stroke: none"/>`,
  (colour) => `<style>.own{fill:${colour}}</style><rect class="own" width="20" height="20"/>`,
  (colour) =>
    `<style>#in rect{fill:${colour}!important}</style><g id="in"><rect width="20" height="20" fill="#000001"/></g>`,
  (colour) => `<g color="${colour}"><rect width="20" height="20" fill="currentColor"/></g>`,
  (colour) =>
    `<linearGradient id="flat"><stop stop-color="${colour}"/><stop offset="1" style="stop-color:${colour}"/></linearGradient><rect width="20" height="20" fill="url(#flat)"/>`,
  (colour) =>
    `<pattern id="dots" width="20" height="20" patternUnits="userSpaceOnUse"><rect width="20" height="20" fill="${colour}"/></pattern><rect width="20" height="20" fill="url(#dots)"/>`,
  (colour) =>
    `<symbol id="part"><rect width="20" height="20" fill="${colour}"/></symbol><use href="#part" width="20" height="20"/>`,
  (colour) => `<path d="M0 10H20" stroke="${colour}" stroke-width="20"/>`,
  (colour) => `<g fill="${colour}"><g><rect width="20" height="20"/></g></g>`,
];
const hexOf = (n: number, start: number) =>
  `#${[n * 23 + start, n * 57 + start * 2, n * 101 + start * 3]
    .map((channel) => (20 + (channel % 220)).toString(16).padStart(2, '0'))
    .join('')}`;

test('each shape has the colour that was wanted, by two renderers, however it is painted', async ({
  page,
}) => {
  const squares = SHAPES.map(
    (shape, n) => `<g transform="translate(${20 * n} 0)">${shape(hexOf(n, 7))}</g>`,
  );
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${20 * SHAPES.length}" height="20">${squares.join('')}</svg>`;
  const wanted = SHAPES.map((_, n) => hexOf(n, 91));
  const other = recoloured(readDrawing(svg), new Map(wanted.map((hex, n) => [hexOf(n, 7), hex])));
  await page.setContent(
    `<body style="margin:0"><img style="display:block" src="data:image/svg+xml;base64,${Buffer.from(other).toString('base64')}"></body>`,
  );
  const shown = await page.locator('img').screenshot();
  for (const image of [sharp(shown), sharp(Buffer.from(other))]) {
    const { data, info } = await image.removeAlpha().raw().toBuffer({ resolveWithObject: true });
    const found = wanted.map((_, n) =>
      [0, 1, 2].map((k) => data[3 * (10 * info.width + 20 * n + 10) + k]),
    );
    wanted.forEach((hex, n) => {
      const channels = [1, 3, 5].map((at) => parseInt(hex.slice(at, at + 2), 16));
      channels.forEach((channel, k) =>
        expect(Math.abs(found[n][k] - channel), `shape ${n}`).toBeLessThanOrEqual(1),
      );
    });
  }
});

test('a colourway is made by keys alone', async ({ page }) => {
  await open(page, 'Ticket paper');
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
  await open(page, 'Seat cloth');
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

test('lines are filled, a flat picture is traced, and what can’t be is refused in a sentence', async ({
  page,
}) => {
  await page.goto(`${app.url}/colourways`);
  await isReady(page);
  await page.getByLabel('Import a pattern').setInputFiles(pattern('station-glass.svg'));
  await tab(page, 'lines');
  await expect(finding(page)).toHaveText(/drawing of lines: its panes can be filled/);
  await page.getByRole('button', { name: 'Find and fill the panes' }).click();
  await expect(finding(page)).toHaveText(/^\d+ panes filled; \w+ gaps? in the lines/);
  await expect(page.getByTitle('bridged').first()).toBeVisible();
  await undo(page).click();
  await expect(finding(page)).toHaveText(/drawing of lines/);

  await page.goto(`${app.url}/colourways`);
  await isReady(page);
  const flat = await sharp(pattern('seat-cloth.svg'))
    .resize(160)
    .png({ palette: true, colours: 6, dither: 0 })
    .toBuffer();
  await page
    .getByLabel('Import a pattern')
    .setInputFiles({ name: 'flat cloth.png', mimeType: 'image/png', buffer: flat });
  await expect(page.getByRole('heading', { name: 'flat cloth' })).toBeVisible();
  await tab(page, 'export');
  await expect(page.getByLabel('PNG: pixels along the longer side')).toHaveValue('160');
  const back = page.waitForEvent('download');
  await page.getByRole('button', { name: 'The picture as it came' }).click();
  expect(await readFile(await (await back).path())).toEqual(flat);

  await page.goto(`${app.url}/colourways`);
  await isReady(page);
  const patterns = page.getByRole('list', { name: 'Patterns' }).getByRole('listitem');
  const many = await patterns.count();
  await page
    .getByLabel('Import a pattern')
    .setInputFiles({ name: 'a.svg', mimeType: 'image/svg+xml', buffer: Buffer.from('<svg><g>') });
  await expect(page.getByText(/this is not XML/i).first()).toBeVisible();
  await expect(patterns).toHaveCount(many);
  await page.getByRole('button', { name: 'Delete flat cloth' }).click();
  await expect(patterns).toHaveCount(many - 1);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(patterns).toHaveCount(many);
});

test('a hostile drawing runs nothing and fetches nothing', async ({ page }) => {
  const fetched: string[] = [];
  page.on('request', (request) => {
    if (!request.url().startsWith(app.url) && !/^(?:blob|data):/.test(request.url()))
      fetched.push(request.url());
  });
  await page.goto(`${app.url}/colourways`);
  await isReady(page);
  await page.getByLabel('Import a pattern').setInputFiles({
    name: 'hostile.svg',
    mimeType: 'image/svg+xml',
    buffer: Buffer.from(HOSTILE),
  });
  await isDrawn(page);
  await tab(page, 'export');
  await expect(page.getByText('the element script')).toBeVisible();
  const svg = (await downloadedBytes(page, 'Save SVG')).toString();
  expect(svg).not.toMatch(/script|foreignObject|127\.0\.0\.1|javascript|onload/i);
  // On a page of its own it has no more rights.
  const source = await page.evaluate(async () => {
    const id = location.pathname.split('/').pop();
    const { content } = (await (await fetch(`/api/patterns/${id}`)).json()) as {
      content: { drawing: string };
    };
    return `/api/patterns/${id}/drawings/${content.drawing}`;
  });
  await page.goto(app.url + source);
  expect(await page.evaluate(() => 'ran' in window)).toBe(false);
  expect(fetched).toEqual([]);
});
