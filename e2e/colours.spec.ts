import type { Page } from '@playwright/test';
import { oklabFromBytes } from '@/core/colour/hex';
import { valueOfOklab } from '@/core/colour/value';
import { appFor, expect, test } from './app';
import { choose, onStage, openStudy, pixelAt, reload, toStep, toTab } from './page-actions';

const app = appFor('demo', 'reads');
const finding = (page: Page) => page.getByTestId('finding');

test('hues: what it is in, the tide and the key; a family dims the rest, on three wheels', async ({
  page,
}) => {
  await openStudy(page, app.url, 'Lower station, rain at dusk');
  await page.keyboard.press('k');
  await expect(page).toHaveURL(/step=colours/);
  await expect(finding(page)).toContainText(/It is in blue \d+.%.* The key is blue/);
  await expect(page.getByRole('img', { name: /^Hues in light and shadow/ })).toBeVisible();

  // A lit window goes when only blue stays.
  const [x, y] = await onStage(page, 0.4, 0.5);
  const lit = await pixelAt(page, x, y);
  await page.getByRole('button', { name: /^Blue \d+/ }).hover();
  await expect.poll(() => pixelAt(page, x, y)).not.toEqual(lit);
  await page.mouse.move(640, 20);
  await expect.poll(() => pixelAt(page, x, y)).toEqual(lit);

  await page.getByText('Families', { exact: true }).click();
  const family = (name: string) => page.getByRole('cell', { name, exact: true });
  await expect(family('blue-green')).toBeVisible();
  await choose(page, 'Wheel', 'screen');
  await expect(family('cyan')).toBeVisible();
  await choose(page, 'Wheel', 'painters');
  await expect(family('blue-green')).toBeVisible();
});

test('warmth: light against shadow, pairs, one of one’s own, and a map of one value', async ({
  page,
}) => {
  await openStudy(page, app.url, 'Lower station, rain at dusk');
  await toStep(page, 'Colours');
  await toTab(page, 'warmth');
  await expect(finding(page)).toContainText(
    /The light is warmer than the shadow, by \d\.\d where one colour stands in both/,
  );
  await expect(
    page.getByRole('button', { name: /(warmer|cooler) \d\.\d$|alike$/ }).first(),
  ).toBeVisible();
  const [x, y] = await onStage(page, 0.77, 0.5);
  const [x2, y2] = await onStage(page, 0.2, 0.2);
  const valueAt = async (px: number, py: number) => {
    const [r, g, b] = await pixelAt(page, px, py);
    return valueOfOklab(oklabFromBytes([r, g, b]));
  };
  await page.getByRole('button', { name: /^Map of temperature/ }).click();
  await expect.poll(() => valueAt(x, y)).toBeCloseTo(6.5, 0);
  await expect.poll(() => valueAt(x2, y2)).toBeCloseTo(6.5, 0);
  await expect(page).toHaveURL(/warmth=map/);
  await reload(page);
  await expect(page.getByRole('button', { name: 'Back to the picture' })).toBeVisible();
  await expect.poll(() => valueAt(x2, y2)).toBeCloseTo(6.5, 0);
  await page.getByRole('button', { name: 'Back to the picture' }).click();
  await expect.poll(() => valueAt(x2, y2)).toBeLessThan(5);

  await page.getByRole('button', { name: 'A pair of your own …' }).click();
  const own = page.getByTestId('own-pair');
  await expect(own).toContainText('Touch one colour where it is lit');
  await page.mouse.click(x, y);
  await expect(own).toContainText('other side of the light');
  await page.mouse.click(x2, y2);
  await expect(own).toContainText(/Brought to one value, the lighter is warmer by \d\.\d/);
  await expect(page).toHaveURL(/of-pair=.*of-pair=/);
  await reload(page);
  await expect(own).toContainText(/Brought to one value/);
  await page.getByRole('button', { name: 'Leave the pair' }).click();
  await expect(own).toHaveCount(0);
});

test('intensity and harmony: shares, accents, ranked schemes and what falls outside', async ({
  page,
}) => {
  await openStudy(page, app.url, 'Ticket hall at noon');
  await toStep(page, 'Colours');
  await toTab(page, 'intensity');
  await expect(finding(page)).toContainText(/greyed or neutral/);
  const words = page.getByRole('button', {
    name: /^(Neutral|Greyed|Dull|Moderate|Strong|Vivid)\s*(under )?\d/,
  });
  await expect(words).toHaveCount(6);
  const shares = (await words.allInnerTexts()).map((text) =>
    Number(/(\d+).%/.exec(text)?.[1] ?? NaN),
  );
  expect(Math.abs(shares.reduce((a, b) => a + b, 0) - 100)).toBeLessThan(4);

  await toTab(page, 'harmony');
  await expect(finding(page)).toContainText(/No scheme stands out: .* fit it about as well/);
  const complement = page.getByRole('button', { name: /^complement/ });
  await complement.click();
  await expect(complement).toHaveAttribute('aria-pressed', 'true');
  await expect(page.getByRole('img', { name: /^complement on the wheel/ })).toBeVisible();
});

test('a plain scheme is named, a foggy picture has none to speak of, and greys seem something else', async ({
  page,
}) => {
  await openStudy(page, app.url, 'Slate terrace, evening');
  await toStep(page, 'Colours');
  await toTab(page, 'harmony');
  await expect(finding(page)).toContainText(/nearest to .* of 100/);
  await openStudy(page, app.url, 'Fog at the passing loop');
  await toStep(page, 'Colours');
  await toTab(page, 'harmony');
  await expect(finding(page)).toContainText('no scheme to speak of');
  await openStudy(page, app.url, 'Conductor by the window');
  await toStep(page, 'Colours');
  await toTab(page, 'reads as');
  await expect(finding(page)).toContainText(/reads as .*: an estimate/);
});

test('three questions of a place, with the colours that make it', async ({ page }) => {
  await openStudy(page, app.url, 'Ticket hall at noon');
  await toStep(page, 'Colours');
  await expect(page.getByText('Touch a place in the picture')).toBeVisible();
  const answers = page.getByRole('region', { name: 'Three questions' });
  await page.mouse.click(...(await onStage(page, 0.5, 0.52)));
  await expect(answers).toContainText(/Which family\?\s*blue/i);
  await expect(answers).toContainText(/How light\?\s*\w+/);
  await expect(page).toHaveURL(/asked=/);
  await reload(page);
  await expect(answers).toContainText(/How intense\?/);
  // On the keyboard: the place that the arrows moved to.
  await page.getByTestId('stage').focus();
  for (let i = 0; i < 3; i++) await page.keyboard.press('Shift+ArrowDown');
  await page.keyboard.press('Enter');
  await expect(answers).not.toContainText(/Which family\?\s*blue/i);
  await page.getByRole('button', { name: 'Done with this place' }).click();
  await expect(page.getByText('Touch a place in the picture')).toBeVisible();
});
