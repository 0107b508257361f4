import { runNode } from '../scripts/lib.mjs';
import { appFor, expect, test } from './app';
import { isReady } from './page-actions';

const app = appFor('empty');

test.beforeAll(async () => {
  test.setTimeout(240_000);
  await app.stop('SIGTERM');
  const code = runNode('tsx/dist/cli.mjs', ['e2e/fill-many.ts'], { PRISM_DATA: app.data });
  expect(code).toBe(0);
  await app.start();
});

test('two thousand libraries scroll smoothly from end to end, and answer as one types', async ({
  page,
}) => {
  await page.goto(`${app.url}/drawers`);
  await isReady(page);
  await expect(page.getByTestId('finding')).toHaveText('2000 libraries with 20000 swatches.');
  const list = page.getByRole('list', { name: 'Libraries' });
  await expect(list.getByRole('listitem').first()).toBeVisible();

  // How long each frame takes while the wheel turns through a good part of the list.
  await page.evaluate(() => {
    const frames: number[] = [];
    Object.assign(window, { frames });
    let last = performance.now();
    const step = (now: number) => {
      frames.push(now - last);
      last = now;
      requestAnimationFrame(step);
    };
    requestAnimationFrame(step);
  });
  await page.mouse.move(700, 500);
  for (let turn = 0; turn < 60; turn++) {
    await page.mouse.wheel(0, 400);
    await page.waitForTimeout(16);
  }
  const frames = await page.evaluate(() =>
    [...(window as unknown as { frames: number[] }).frames].sort((a, b) => a - b),
  );
  const at = (share: number) => frames[Math.floor(frames.length * share)];
  console.log(
    `frames while scrolling: ${frames.length}, median ${at(0.5).toFixed(0)} ms, 95th percentile ${at(0.95).toFixed(0)} ms`,
  );
  expect(at(0.5)).toBeLessThan(34);
  expect(at(0.95)).toBeLessThan(120);
  expect(await list.getByRole('listitem').count()).toBeLessThan(40);
  expect(await page.evaluate(() => window.scrollY)).toBeGreaterThan(20_000);
  await expect(list.getByRole('heading').first()).toBeVisible();

  await page.evaluate(() => window.scrollTo(0, document.documentElement.scrollHeight));
  await expect(list.locator('[aria-posinset="2000"]').getByRole('heading')).toBeVisible();

  const begun = Date.now();
  await page.getByRole('searchbox').first().fill('harbour snow');
  await expect(page.getByTestId('finding')).toHaveText(/“harbour snow”\.$/);
  expect(Date.now() - begun).toBeLessThan(3000);
  await page.getByRole('searchbox').first().fill('harbour');
  await expect(page.getByTestId('finding')).toHaveText(/^\d+ libraries have “harbour”\.$/);
  await expect(list.getByRole('heading').first()).toContainText('Harbour');
});
