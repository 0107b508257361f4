import path from 'node:path';
import type { Page } from '@playwright/test';
import { root } from '../scripts/lib.mjs';
import { appFor, expect, test } from './app';
import { finding, isSaved, openStudy, toStep } from './page-actions';

const app = appFor('demo');
const photograph = (name: string) => path.join(root, 'demo/studies', name);
const time = (page: Page) => page.getByTestId('time-left');
const stage = (page: Page) => page.getByTestId('stage-name');
const press = (page: Page, name: string) => page.getByRole('button', { name, exact: true }).click();

/** From the Desk to the easel: an hour in paint, with its six stages as they come. */
async function toEasel(page: Page): Promise<void> {
  await openStudy(page, app.url, 'Ticket hall at noon');
  await toStep(page, 'Check');
  await press(page, 'Session …');
  await page.getByLabel('Title').fill('The hall, an hour');
  await page.getByLabel('Minutes').fill('60');
  await page.getByLabel('What is allowed, a line each').fill('three tubes and white');
  await page.getByRole('button', { name: 'To the easel' }).click();
  await expect(page).toHaveURL(/easel\/[0-9a-f-]{36}/);
  await expect(stage(page)).toHaveText('Sketch');
  await expect(time(page)).toHaveText('6:00');
}

/** Minutes and seconds that the clock shows, as seconds. */
const seconds = async (page: Page): Promise<number> => {
  const [minutes, rest] = (await time(page).innerText()).split(':').map(Number);
  return minutes * 60 + rest;
};

test('an hour at the easel loses no second and no snapshot to a pause, a reload and a killed server', async ({
  page,
}) => {
  test.setTimeout(300_000);
  await page.clock.install({ time: new Date('2026-11-02T09:00:00Z') });
  await toEasel(page);
  await press(page, 'Begin');
  await expect(page.getByRole('button', { name: 'Pause' })).toBeVisible();
  await page.clock.fastForward('04:00');
  await expect.poll(() => seconds(page)).toBeLessThanOrEqual(120);
  // The next stage begins by itself.
  await page.clock.fastForward('03:00');
  await expect(stage(page)).toHaveText('Big shapes');
  const left = await seconds(page);
  expect(left).toBeGreaterThan(10 * 60);
  expect(left).toBeLessThanOrEqual(11 * 60);

  await press(page, 'Pause');
  const paused = await seconds(page);
  await page.clock.fastForward('20:00');
  await page.reload();
  await expect(page.getByText('paused')).toBeVisible();
  expect(await seconds(page)).toBe(paused);
  await press(page, 'Go on');
  await page.getByRole('button', { name: /5 more minutes/ }).click();
  await expect.poll(() => seconds(page)).toBeGreaterThan(paused + 290);
  await isSaved(page);

  // The server is gone: what is pressed, noted and photographed is kept in the browser.
  await app.stop('SIGKILL');
  await page.getByRole('button', { name: 'Next stage' }).click();
  await expect(stage(page)).toHaveText('Values');
  await press(page, 'too light');
  await page.getByLabel('From a file …').setInputFiles(photograph('sitting-02-1.jpg'));
  await expect(page.getByAltText('Snapshot: Values, waiting for the server')).toBeVisible();
  await page.clock.fastForward('01:00');
  const before = await seconds(page);
  await app.start();
  await page.reload();
  await expect(stage(page)).toHaveText('Values');
  expect(before - (await seconds(page))).toBeLessThan(60);
  await expect(page.getByText('noted: too light')).toBeVisible();
  await page.clock.fastForward('00:10');
  await expect(page.getByAltText('Snapshot: Values', { exact: true })).toBeVisible();
  await isSaved(page);

  const id = page.url().split('/').at(-1)!;
  const kept = await (await page.request.get(`${app.url}/api/sessions/${id}`)).json();
  expect(kept.content.snapshots).toHaveLength(1);
  expect(kept.content.notes.map(({ words }: { words: string }) => words)).toEqual(['too light']);
  expect(kept.content.clock.map(({ is }: { is: string }) => is)).toEqual([
    'start',
    'pause',
    'resume',
    'more',
    'next',
  ]);
  const shot = kept.content.snapshots[0].id as string;
  const picture = await page.request.get(`${app.url}/api/sessions/${id}/snapshots/${shot}/working`);
  expect(picture.headers()['content-type']).toBe('image/png');

  await press(page, 'Finish');
  await expect(page.getByRole('heading', { name: /painted/ })).toBeVisible();
  await page.getByRole('radio', { name: 'kept', exact: true }).click();
  await isSaved(page);
  // Undone and done again, as everything.
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('radio', { name: 'not said' })).toBeChecked();
});

test('the bell is laid down beforehand for every stage, so that it rings while the page sleeps', async ({
  page,
}) => {
  await page.addInitScript(() => {
    const rung: number[] = [];
    const { start, stop } = OscillatorNode.prototype;
    let taken = 0;
    OscillatorNode.prototype.start = function (when = 0) {
      rung.push(Math.round(when - this.context.currentTime));
      return start.call(this, when);
    };
    OscillatorNode.prototype.stop = function (when) {
      if (when === undefined) taken++;
      return stop.call(this, when);
    };
    Object.assign(window, {
      bells: () => [...new Set(rung)],
      taken: () => taken,
      forget: () => void (rung.length = taken = 0),
    });
  });
  const bells = () => page.evaluate(() => (window as unknown as { bells: () => number[] }).bells());
  await toEasel(page);
  await press(page, 'Begin');
  // At the end of each stage, in seconds from now: 6, 12, 15, 12, 9 and 6 minutes.
  await expect.poll(async () => (await bells()).filter((at) => at > 300).length).toBeGreaterThan(5);
  const laid = await bells();
  for (const minutes of [6, 18, 33, 45, 54, 60])
    expect(laid.some((at) => Math.abs(at - minutes * 60) <= 5)).toBe(true);
  await page.evaluate(() => (window as unknown as { forget: () => void }).forget());
  await press(page, 'Bell on');
  await expect
    .poll(() => page.evaluate(() => (window as unknown as { taken: () => number }).taken()))
    .toBeGreaterThan(5);
  expect(await bells()).toEqual([]);
  await press(page, 'Bell off');
  await expect.poll(async () => (await bells()).length).toBeGreaterThan(5);
});

test('a snapshot by the camera, keys, and letters that are read from three metres', async ({
  page,
}) => {
  await page.setViewportSize({ width: 820, height: 1180 });
  await toEasel(page);
  await page.keyboard.press(' ');
  await expect(page.getByRole('button', { name: 'Pause' })).toBeVisible();
  await page.keyboard.press('n');
  await expect(stage(page)).toHaveText('Big shapes');
  await expect(page.getByTestId('stage-picture')).toBeVisible();
  const capitals = await stage(page).evaluate((heading) => {
    const pen = document.createElement('canvas').getContext('2d')!;
    const { fontWeight, fontSize, fontFamily } = getComputedStyle(heading);
    pen.font = `${fontWeight} ${fontSize} ${fontFamily}`;
    return pen.measureText('H').actualBoundingBoxAscent;
  });
  expect(capitals).toBeGreaterThanOrEqual(68);
  const figures = (await time(page).boundingBox())!;
  expect(figures.height).toBeGreaterThan(100);

  await page.getByRole('button', { name: 'Photograph it' }).click();
  await page.getByRole('button', { name: 'Take it' }).click();
  const shot = page.getByAltText('Snapshot: Big shapes', { exact: true });
  await expect(shot).toBeVisible();
  await expect
    .poll(() => shot.evaluate((image: HTMLImageElement) => image.naturalWidth))
    .toBeGreaterThan(0);
  await page.getByRole('button', { name: 'Remove the snapshot: Big shapes' }).click();
  await expect(shot).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(shot).toBeVisible();
  await page.getByLabel('From a file …').setInputFiles({
    name: 'notes.jpg',
    mimeType: 'image/jpeg',
    buffer: Buffer.from('no picture'),
  });
  await expect(page.getByText(/not a picture that can be read/)).toBeVisible();
  await expect(page.getByRole('list', { name: 'Snapshots' }).getByRole('img')).toHaveCount(1);
  await page.getByRole('link', { name: 'Back to the Desk' }).click();
  await expect(finding(page)).toBeVisible();
});
