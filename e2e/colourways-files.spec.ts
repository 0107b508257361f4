import { readFile } from 'node:fs/promises';
import sharp from 'sharp';
import { readDrawing } from '../src/core/pattern/read-drawing';
import { recoloured } from '../src/core/pattern/recolour';
import { HOSTILE } from '../src/server/testing/some-pattern';
import { appFor, expect, test } from './app';
import { downloadedBytes, isDrawn, openPattern, patternFile, row, tab } from './colourways-actions';
import { choose, finding, isReady, isSaved, undo } from './page-actions';

const app = appFor('demo');

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

test('lines are filled, a flat picture is traced, and what can’t be is refused in a sentence', async ({
  page,
}) => {
  await page.goto(`${app.url}/colourways`);
  await isReady(page);
  await page.getByLabel('Import a pattern').setInputFiles(patternFile('station-glass.svg'));
  await tab(page, 'lines');
  await expect(finding(page)).toHaveText(/drawing of lines: its panes can be filled/);
  await page.getByRole('button', { name: 'Find and fill the panes' }).click();
  await expect(finding(page)).toHaveText(/^\d+ panes filled; \w+ gaps? in the lines/);
  await expect(page.getByTitle('bridged').first()).toBeVisible();
  await undo(page).click();
  await expect(finding(page)).toHaveText(/drawing of lines/);

  await page.goto(`${app.url}/colourways`);
  await isReady(page);
  const unsoftened = (await readFile(patternFile('ticket-paper.svg'), 'utf8')).replace(
    '<svg ',
    '<svg shape-rendering="crispEdges" ',
  );
  const flat = await sharp(Buffer.from(unsoftened)).png().toBuffer();
  await page
    .getByLabel('Import a pattern')
    .setInputFiles({ name: 'flat cloth.png', mimeType: 'image/png', buffer: flat });
  await expect(page.getByRole('heading', { name: 'flat cloth' })).toBeVisible();
  await tab(page, 'export');
  await expect(page.getByLabel('PNG: pixels along the longer side')).toHaveValue('240');
  // The tile in its own colours and size is the picture, to the last pixel.
  await row(page)
    .getByRole('button', { name: /as it was drawn/ })
    .click();
  const [tile, was] = await Promise.all(
    [await downloadedBytes(page, 'Save PNG tile'), flat].map((one) =>
      sharp(one).ensureAlpha().raw().toBuffer(),
    ),
  );
  expect(tile.equals(was)).toBe(true);
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

test('two windows merge, and a killed server loses nothing', async ({ page, context }) => {
  await openPattern(page, app.url, 'Window of the upper');
  const other = await context.newPage();
  await openPattern(other, app.url, 'Window of the upper');
  const kept = await row(page).getByRole('button').count();
  const keep = async (window: typeof page, name: string) => {
    await window.getByRole('button', { name: 'Keep this colourway' }).click();
    await window.getByRole('dialog').getByLabel('Name').fill(name);
    await window.getByRole('dialog').getByRole('button', { name: 'Keep' }).click();
  };
  await keep(page, 'Of one window');
  await isSaved(page);
  await keep(other, 'Of the other');
  await isSaved(other);
  await expect(row(other).getByRole('button')).toHaveCount(kept + 2);

  // What one window fills the other is shown too, whose page knew nothing of that drawing.
  await tab(page, 'lines');
  await expect(finding(page)).toHaveText(/one gap in the lines was bridged/);
  // Bridging nothing, the two panes along the open cable are one.
  await page.getByRole('slider', { name: 'Gaps up to' }).press('Home');
  await page.getByRole('button', { name: 'Fill the panes again' }).click();
  await expect(finding(page)).toHaveText(/the lines closed them all/);
  await isSaved(page);
  await keep(other, 'After the panes');
  await isSaved(other);
  await tab(other, 'lines');
  await expect(finding(other)).toHaveText(/the lines closed them all/);
  await isDrawn(other);

  await app.stop('SIGKILL');
  await choose(other, 'Part of the work', 'colours');
  await keep(other, 'While it was down');
  await expect(other.getByTestId('save-state')).not.toHaveText('saved');
  await app.start();
  await isSaved(other);
  await other.reload();
  await isDrawn(other);
  await expect(row(other).getByRole('button', { name: /While it was down/ })).toBeVisible();
});
