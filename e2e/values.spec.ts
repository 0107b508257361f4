import type { Page } from '@playwright/test';
import { readFile } from 'node:fs/promises';
import sharp from 'sharp';
import { appFor, expect, test } from './app';
import {
  choose,
  deskIsSet,
  drop,
  grasp,
  isSaved,
  onStage,
  openStudy,
  pixelAt,
  reload,
  setSlider,
  toStep,
  toTab,
} from './page-actions';

const app = appFor('demo');
const HALL = 'Ticket hall at noon';
const STATION = 'Lower station, rain at dusk';

const finding = (page: Page) => page.getByTestId('finding');

/** Presses at one place, goes over some others and lets go; places in fractions of the stage. */
async function dragOver(page: Page, places: readonly [number, number][]): Promise<void> {
  const [first, ...rest] = places;
  const [x, y] = await onStage(page, ...first);
  await page.mouse.move(x, y);
  await page.mouse.down();
  for (const place of rest) {
    const [toX, toY] = await onStage(page, ...place);
    await page.mouse.move(toX, toY, { steps: 6 });
  }
  await page.mouse.up();
}

test('thresholds are dragged on the histogram, and the picture follows', async ({ page }) => {
  await openStudy(page, app.url, HALL);
  await toStep(page, 'Values');
  await choose(page, 'Seen as', 'zones');
  const shares = async () => (await page.locator('tbody td:nth-child(3)').allInnerTexts()).join();
  await expect.poll(shares).not.toBe('');
  const before = await shares();
  // A place of the wall, in the middle zone till the threshold is dragged past it.
  const [x, y] = await onStage(page, 0.3, 0.17);
  await expect.poll(async () => (await pixelAt(page, x, y))[0]).toBeGreaterThan(100);
  const [grey] = await pixelAt(page, x, y);

  const threshold = page.getByRole('slider', { name: 'Threshold 1 of 2' });
  const held = await grasp(page, threshold);
  await page.mouse.move(held.x + 60, held.y, { steps: 12 });
  // Still held: the picture is there already.
  await expect.poll(async () => (await pixelAt(page, x, y))[0]).not.toBe(grey);
  await page.mouse.up();
  await expect(page.getByRole('radio', { name: 'by hand' })).toHaveAttribute('data-state', 'on');
  await expect.poll(shares).not.toBe(before);

  // It stops at its neighbour, and keys move it as well.
  await threshold.focus();
  for (let i = 0; i < 60; i++) await threshold.press('ArrowRight');
  const at = async (n: number) =>
    Number(
      await page.getByRole('slider', { name: `Threshold ${n} of 2` }).getAttribute('aria-valuenow'),
    );
  expect(await at(1)).toBeLessThan(await at(2));

  await setSlider(page, 'How many', 1);
  await expect(page.getByRole('slider', { name: 'Threshold 3 of 3' })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('slider', { name: 'Threshold 2 of 2' })).toBeVisible();
  await choose(page, 'Breaks', 'natural');
  await expect.poll(shares).toBe(before);
});

test('zones are shown as greys, mean colours or outlines, with their masses', async ({ page }) => {
  await openStudy(page, app.url, HALL);
  await toStep(page, 'Values');
  await choose(page, 'Seen as', 'zones');
  const [x, y] = await onStage(page, 0.5, 0.06);
  const neutral = async () => {
    const [r, g, b] = await pixelAt(page, x, y);
    return Math.max(r, g, b) - Math.min(r, g, b);
  };
  await expect.poll(neutral).toBe(0);
  await choose(page, 'Zones as', 'colours');
  await expect(page).toHaveURL(/as=colours/);
  await expect.poll(neutral).toBeGreaterThan(5);
  await choose(page, 'Zones as', 'outlines');
  await expect(page).toHaveURL(/as=outlines/);
  const masses = page.locator('tbody td:nth-child(4)');
  await expect(masses.first()).not.toHaveText('…');
  expect(Number(await masses.first().innerText())).toBeGreaterThan(0);
});

test('light and shadow: put right by brush and lasso, undone, and kept', async ({ page }) => {
  await openStudy(page, app.url, STATION);
  await toStep(page, 'Values');
  await toTab(page, 'light');
  await expect(finding(page)).toContainText(/The light takes \d+.%/);
  const share = async () =>
    Number(/takes (\d+)/.exec((await finding(page).innerText()).trim())?.[1] ?? NaN);
  const measured = await share();

  await page.keyboard.press('a');
  await expect(page.getByRole('button', { name: 'Lasso' })).toHaveAttribute('aria-pressed', 'true');
  await choose(page, 'Gives to the', 'light');
  await dragOver(page, [
    [0.1, 0.05],
    [0.9, 0.05],
    [0.9, 0.35],
    [0.1, 0.35],
  ]);
  await expect.poll(share).toBeGreaterThan(measured + 10);
  const looped = await share();
  await expect(page.getByText(/corrected$/)).toBeVisible();

  await page.keyboard.press('b');
  await page.keyboard.press('x');
  await setSlider(page, 'Brush', 20);
  await dragOver(page, [
    [0.15, 0.2],
    [0.85, 0.2],
  ]);
  await expect.poll(share).toBeLessThan(looped);
  const brushed = await share();
  // Without a mouse: the brush is put down where the keys have moved.
  await page.getByTestId('stage').focus();
  await page.keyboard.press('Enter');

  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(share).toBe(brushed);
  await isSaved(page);
  // Another step puts the brush down.
  await page.keyboard.press('l');
  await page.keyboard.press('v');
  await expect(page.getByRole('button', { name: 'Brush' })).toHaveAttribute(
    'aria-pressed',
    'false',
  );
  await reload(page);
  await deskIsSet(page);
  await expect.poll(share).toBe(brushed);
  await page.getByRole('button', { name: 'Back to the split as measured' }).click();
  await expect.poll(share).toBe(measured);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(share).toBe(brushed);
  await page.getByRole('button', { name: 'Back to the split as measured' }).click();

  // Pointing at a family dims the other.
  await page.getByRole('button', { name: 'Look', exact: true }).last().click();
  await choose(page, 'Seen as', 'picture');
  const [x, y] = await onStage(page, 0.8, 0.88);
  const clear = await pixelAt(page, x, y);
  await page.getByRole('button', { name: /^Light:/ }).hover();
  await expect.poll(() => pixelAt(page, x, y)).not.toEqual(clear);
});

test('parting: two places, two zones, and what merges in grey', async ({ page }) => {
  await openStudy(page, app.url, STATION);
  await toStep(page, 'Values');
  await toTab(page, 'separation');
  await expect(finding(page)).toContainText(/of neighbours merges? in black and white/);

  // The lit window and the wall beside it.
  for (const [x, y] of [
    [0.4, 0.5],
    [0.4, 0.62],
  ]) {
    const at = await onStage(page, x, y);
    await page.mouse.click(...at);
  }
  const separation = page.getByTestId('separation');
  await expect(separation).toContainText(/They part by \d\.\d steps, in grey as well/);
  await expect(page).toHaveURL(/place=.*place=/);
  await reload(page);
  await expect(separation).toContainText('in grey as well');
  await page.getByRole('button', { name: 'Two other places' }).click();
  await expect(page.getByText('Touch two places in the picture')).toBeVisible();

  await choose(page, 'Between', 'zones');
  await page.getByRole('button', { name: /^light/ }).click();
  await page.getByRole('button', { name: /^half-light/ }).click();
  await expect(separation).toContainText(/They part by/);

  const [x, y] = await onStage(page, 0.2, 0.1);
  const clear = await pixelAt(page, x, y);
  await page
    .getByRole('button', { name: /of a step$/ })
    .first()
    .hover();
  await expect.poll(() => pixelAt(page, x, y)).not.toEqual(clear);
  await choose(page, 'Seen as', 'what merges');
  await expect(page).toHaveURL(/lens=merging/);
});

test('form: how masses turn, and what lies below them in the wet', async ({ page }) => {
  await openStudy(page, app.url, STATION);
  await toStep(page, 'Values');
  await toTab(page, 'form');
  await expect(finding(page)).toContainText(/grows lighter toward the bottom\./);
  await expect(finding(page)).toContainText(/has its likeness below it, darker by .* and duller/);
  await expect(page.getByRole('button', { name: /^Dark grey at the bottom grows/ })).toContainText(
    'varied',
  );

  // Pointed at, a window and its likeness stay clear and the sky steps back.
  const [x, y] = await onStage(page, 0.2, 0.1);
  const clear = await pixelAt(page, x, y);
  await page.getByRole('button', { name: /^Peach on the right has its likeness/ }).hover();
  await expect.poll(() => pixelAt(page, x, y)).not.toEqual(clear);
  await choose(page, 'Seen as', 'edges');
  await expect(page).toHaveURL(/tab=form.*lens=edges/);
});

test('depth: a first guess, put right by touch and by keys, undone, and kept', async ({ page }) => {
  await openStudy(page, app.url, HALL);
  await toStep(page, 'Values');
  await toTab(page, 'depth');
  await expect(finding(page)).toContainText(/^What lies far/);
  await expect(page.getByText('a first guess')).toBeVisible();
  const guessed = await finding(page).innerText();
  const sky = page.getByRole('row', { name: /^sky/ });
  await expect(sky).toContainText('nothing');

  // The guess is drawn as haze: the wall above fades, and is clear once it is said to be near.
  const [x, y] = await onStage(page, 0.2, 0.12);
  await choose(page, 'Seen as', 'picture');
  await expect(page).toHaveURL(/lens=picture/);
  const clear = await pixelAt(page, x, y);
  await choose(page, 'Seen as', 'haze');
  await expect.poll(() => pixelAt(page, x, y)).not.toEqual(clear);
  await page.mouse.click(x, y);
  await expect(page.getByText('one mark')).toBeVisible();
  await page.mouse.move(5, 5);
  await expect.poll(() => pixelAt(page, x, y)).toEqual(clear);
  await expect(finding(page)).not.toHaveText(guessed);

  // By keys: the place that is read is taken with Enter.
  await choose(page, 'A touch in the picture says', 'sky');
  await page.getByTestId('stage').focus();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Enter');
  await expect(page.getByText('two marks')).toBeVisible();
  await expect(sky).not.toContainText('nothing');
  await isSaved(page);
  await reload(page);
  await deskIsSet(page);
  await expect(page.getByText('two marks')).toBeVisible();
  await expect(page.getByRole('radio', { name: 'sky' })).toBeChecked();

  await page.getByRole('button', { name: 'Back to the first guess' }).click();
  await expect(finding(page)).toHaveText(guessed);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(sky).not.toContainText('nothing');
});

test('depth: where a picture is transparent nothing is marked, and it says so', async ({
  page,
}) => {
  const half = await sharp({
    create: { width: 600, height: 400, channels: 4, background: { r: 0, g: 0, b: 0, alpha: 0 } },
  })
    .composite([
      {
        input: { create: { width: 300, height: 400, channels: 4, background: '#7d6a58' } },
        left: 0,
        top: 0,
      },
    ])
    .png()
    .toBuffer();
  await page.goto(app.url);
  await drop(page, 'half.png', half, 'image/png');
  await page.waitForURL(/desk/);
  await deskIsSet(page);
  await toStep(page, 'Values');
  await toTab(page, 'depth');
  await expect(page.getByText('a first guess')).toBeVisible();
  await page.mouse.click(...(await onStage(page, 0.8, 0.5)));
  await expect(page.getByText('There is no picture at this place.')).toBeVisible();
  await expect(page.getByText('a first guess')).toBeVisible();
  await page.mouse.click(...(await onStage(page, 0.25, 0.5)));
  await expect(page.getByText('one mark')).toBeVisible();
});

test('focus: ranked places with their reason, quiet ones, edges and weight', async ({ page }) => {
  await openStudy(page, app.url, STATION);
  await toStep(page, 'Values');
  await toTab(page, 'focus');
  await expect(finding(page)).toContainText(/Contrast is strongest .*, by (value|hue|chroma):/);
  const places = page.getByRole('button', { name: /^\d By (value|hue|chroma)/ });
  expect(await places.count()).toBeGreaterThan(2);
  const [x, y] = await onStage(page, 0.2, 0.9);
  const clear = await pixelAt(page, x, y);
  await places.first().hover();
  await expect.poll(() => pixelAt(page, x, y)).not.toEqual(clear);
  await page.mouse.move(640, 20);
  await expect.poll(() => pixelAt(page, x, y)).toEqual(clear);
  await choose(page, 'Seen as', 'busy and quiet');
  await expect.poll(() => pixelAt(page, x, y)).not.toEqual(clear);
  const shares = await page.locator('dl dd').allInnerTexts();
  const whole = shares.slice(-3).reduce((sum, text) => sum + parseFloat(text), 0);
  expect(Math.abs(whole - 100)).toBeLessThanOrEqual(1);
  await expect(page.getByRole('button', { name: /^The weight balances/ })).toBeVisible();
});

test('two greys side by side, with the colours that part them', async ({ page }) => {
  await openStudy(page, app.url, HALL);
  await toStep(page, 'Values');
  await toTab(page, 'greys');
  const view = page.getByTestId('two-greys');
  await expect(view).toHaveAttribute('data-drawn', 'true');
  await expect(finding(page)).toContainText(/By misleading grey \d+.% of it/);
  await expect(view.getByText('misleading grey')).toBeVisible();
  const box = (await view.boundingBox())!;
  // A place of the blue tiles: the same in both pictures, lighter by brightness.
  await page.mouse.move(box.x + box.width * 0.12, box.y + box.height * 0.5);
  await expect(page.getByTestId('reading-line')).toContainText(/blue/i);
  await page.getByRole('button', { name: /^Blue/ }).click();
  await expect(page.getByRole('button', { name: /^Blue/ })).toHaveAttribute('aria-pressed', 'true');
});

test('a value plan is taken away as PDF, PNG and SVG', async ({ page }) => {
  await openStudy(page, app.url, HALL);
  await toStep(page, 'Values');
  await page.getByRole('button', { name: 'Value plan to print' }).click();
  const preview = page.getByAltText(/^Value plan in/);
  await expect(preview).toBeVisible();
  const values = page.getByRole('dialog').getByRole('slider', { name: 'Values' });
  for (let i = 0; i < 2; i++) await values.press('ArrowRight');
  await expect(page.getByAltText('Value plan in 5 values')).toBeVisible();
  await choose(page, 'Grid', 'thirds');
  await choose(page, 'Paper', 'A3');

  const saved = async (button: string) => {
    const waiting = page.waitForEvent('download');
    await page.getByRole('button', { name: button }).click();
    const download = await waiting;
    return { name: download.suggestedFilename(), bytes: await readFile(await download.path()) };
  };
  const pdf = await saved('Save PDF');
  expect(pdf.name).toBe('Ticket hall at noon, 5 values.pdf');
  expect(pdf.bytes.subarray(0, 5).toString()).toBe('%PDF-');
  // A3 standing, in points.
  expect(pdf.bytes.toString('latin1')).toMatch(/MediaBox \[0 0 841\.8\d* 1190\.5\d*\]/);
  const svg = await saved('Save SVG');
  expect(svg.name).toBe('Ticket hall at noon, 5 values.svg');
  const text = svg.bytes.toString('utf8');
  expect(text.match(/<path /g)).toHaveLength(5);
  expect(text).toContain('width="297mm" height="420mm"');
  const png = await saved('Save PNG');
  expect(png.name).toBe('Ticket hall at noon, 5 values.png');
  const { width, height } = await sharp(png.bytes).metadata();
  expect([width, height]).toEqual([Math.round((297 / 25.4) * 200), Math.round((420 / 25.4) * 200)]);
  const { entropy } = await sharp(png.bytes).stats();
  expect(entropy).toBeGreaterThan(0.5);
});
