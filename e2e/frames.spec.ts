import type { Locator, Page } from '@playwright/test';
import { appFor, expect, test } from './app';
import { choose, grasp, isReady, openStudy, reload, toStep } from './page-actions';

const app = appFor('demo', 'reads');
const MOVES = 24;

const valueOf = async (slider: Locator) => Number(await slider.getAttribute('aria-valuenow'));

/** Waits until what the page had to do has been done and drawn. */
function nextFrame(page: Page): Promise<void> {
  return page.evaluate(
    () => new Promise((resolve) => requestAnimationFrame(() => setTimeout(resolve))),
  );
}

test('zones, thresholds and squint follow the hand at every move, whatever is still computed', async ({
  page,
}) => {
  await openStudy(page, app.url, 'Ticket hall at noon');
  await toStep(page, 'Values');
  await expect(page.locator('tbody tr').first()).toBeVisible();
  const slider = (name: string) => page.getByRole('slider', { name, exact: true });
  for (const [lens, name, reach] of [
    ['zones', 'How many', 120],
    ['zones', 'Threshold 1 of 2', 80],
    ['squint', 'Squint', 120],
  ] as const) {
    await choose(page, 'Seen as', lens);
    if (name.startsWith('Threshold')) {
      await expect(page).toHaveURL(new RegExp(`lens=${lens}`));
      await reload(page);
      await expect(slider(name)).toBeVisible();
      await isReady(page);
    }
    const handle = slider(name);
    const { x, y } = await grasp(page, handle);
    // To one side and back: at each place the value is at the next frame what it was on the way there.
    const there: number[] = [];
    const back: number[] = [];
    for (let i = 0; i <= MOVES; i++) {
      await page.mouse.move(x + Math.round((reach * Math.min(i, MOVES - i)) / MOVES), y);
      await nextFrame(page);
      const value = await valueOf(handle);
      if (i <= MOVES / 2) there.push(value);
      if (i >= MOVES / 2) back.unshift(value);
    }
    expect(back).toEqual(there);
    expect(new Set(there).size).toBeGreaterThan(1);
    await page.mouse.up();
    await expect(page.getByTestId('stage')).toHaveAttribute('data-drawn', 'true');
  }
});
