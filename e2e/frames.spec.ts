import type { Locator, Page } from '@playwright/test';
import { appFor, expect, test } from './app';
import { choose, openStudy, toStep } from './page-actions';

const app = appFor('demo');
const MIN_RATE = 30;
const TRIES = 3;
const SECONDS = 1.5;

/** Frames a second that the page draws while a handle is dragged to and fro. */
async function framesWhileDragging(page: Page, handle: Locator, reach: number): Promise<number> {
  const box = (await handle.boundingBox())!;
  const x = box.x + box.width / 2;
  const y = box.y + Math.min(8, box.height / 2);
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.evaluate(() => {
    const counter = { frames: 0, start: performance.now() };
    Object.assign(window, { counter });
    const count = () => {
      counter.frames++;
      requestAnimationFrame(count);
    };
    requestAnimationFrame(count);
  });
  const until = Date.now() + SECONDS * 1000;
  for (let i = 1; Date.now() < until; i++) {
    await page.mouse.move(x + Math.sin(i / 6) * reach, y);
    await page.waitForTimeout(8);
  }
  const rate = await page.evaluate(() => {
    const { counter } = window as unknown as { counter: { frames: number; start: number } };
    return counter.frames / ((performance.now() - counter.start) / 1000);
  });
  await page.mouse.move(x, y);
  await page.mouse.up();
  return rate;
}

test('zones, thresholds and squint keep 30 frames a second while they are dragged', async ({
  page,
}) => {
  await openStudy(page, app.url, 'Ticket hall at noon');
  await toStep(page, 'Values');
  const rows = page.locator('tbody tr');
  await expect(rows.first()).toBeVisible();
  const slider = (name: string) => page.getByRole('slider', { name, exact: true });
  for (const [lens, name, reach] of [
    ['zones', 'How many', 60],
    ['zones', 'Threshold 1 of 2', 40],
    ['squint', 'Squint', 60],
  ] as const) {
    await choose(page, 'Seen as', lens);
    if (name.startsWith('Threshold')) {
      await page.reload();
      await expect(slider(name)).toBeVisible();
    }
    await page.waitForTimeout(500);
    // The machine may be busy with something else: the best of three counts.
    const rates: number[] = [];
    while (rates.length < TRIES && Math.max(0, ...rates) < MIN_RATE)
      rates.push(await framesWhileDragging(page, slider(name), reach));
    console.log(`${name}: ${rates.map((rate) => rate.toFixed(0)).join(', ')} frames a second`);
    expect(Math.max(...rates)).toBeGreaterThanOrEqual(MIN_RATE);
  }
});
