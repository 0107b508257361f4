import { appFor, expect, test } from './app';
import { isReady } from './page-actions';

const app = appFor('many', 'reads');

test('two thousand libraries scroll from end to end with a few of them drawn, and answer as one types', async ({
  page,
}) => {
  await page.goto(`${app.url}/drawers`);
  await isReady(page);
  await expect(page.getByTestId('finding')).toHaveText('2000 libraries with 20000 swatches.');
  const list = page.getByRole('list', { name: 'Libraries' });
  const drawn = () => list.getByRole('listitem').count();
  await expect(list.getByRole('listitem').first()).toBeVisible();

  // Scrolling is smooth because few rows stand in the page at any time.
  await page.mouse.move(700, 500);
  for (let turn = 0; turn < 60; turn++) {
    await page.mouse.wheel(0, 400);
    if (turn % 10 === 0) expect(await drawn()).toBeLessThan(40);
  }
  await expect.poll(() => page.evaluate(() => window.scrollY)).toBeGreaterThan(20_000);
  expect(await drawn()).toBeLessThan(40);
  await expect(list.getByRole('heading').first()).toBeVisible();

  await page.evaluate(() => window.scrollTo(0, document.documentElement.scrollHeight));
  await expect(list.locator('[aria-posinset="2000"]').getByRole('heading')).toBeVisible();

  await page.getByRole('searchbox').first().fill('harbour snow');
  await expect(page.getByTestId('finding')).toHaveText(/“harbour snow”\.$/);
  await page.getByRole('searchbox').first().fill('harbour');
  await expect(page.getByTestId('finding')).toHaveText(/^\d+ libraries have “harbour”\.$/);
  await expect(list.getByRole('heading').first()).toContainText('Harbour');
});

test('five thousand studies hang on the Wall page by page, with a few of them drawn', async ({
  page,
}) => {
  const html = await (await page.request.get(app.url)).body();
  expect(html.length).toBeLessThan(1_000_000);
  await page.goto(app.url);
  await isReady(page);
  const rows = page.getByRole('list', { name: 'Rows of studies' });
  const drawn = () => rows.getByRole('heading').count();
  await expect(rows.getByRole('heading').first()).toBeVisible();
  expect(await drawn()).toBeLessThan(120);
  await page.evaluate(() => window.scrollTo(0, document.documentElement.scrollHeight / 2));
  await expect(rows.getByRole('heading', { name: /^Study 2[45]\d\d$/ }).first()).toBeVisible();
  await page.evaluate(() => window.scrollTo(0, document.documentElement.scrollHeight));
  await expect(rows.getByRole('heading', { name: 'Study 0', exact: true })).toBeVisible();
  expect(await drawn()).toBeLessThan(120);
  expect(await page.evaluate(() => document.querySelectorAll('*').length)).toBeLessThan(6000);

  await page.getByRole('searchbox', { name: 'Search the studies' }).fill('Study 4999');
  await expect(page.getByRole('heading', { name: 'Study 4999', exact: true })).toBeVisible();
  await expect(rows).toHaveCount(0);
  await expect(page.getByRole('status')).toHaveText('1 of 5000');

  await page.getByRole('button', { name: 'More for Study 4999' }).click();
  await page.getByRole('menuitem', { name: 'Compare with …' }).click();
  const search = page.getByRole('searchbox', { name: 'Search the other studies' });
  await search.fill('none of them');
  await expect(page.getByText('No other study answers to that.')).toBeVisible();
  await search.fill('');
  await expect(page.getByText(/^And \d+ more: search for one\.$/)).toBeVisible();
  await expect(search).toBeFocused();
  await search.fill('Study 17 ');
  await page.getByRole('link', { name: 'Study 17', exact: true }).click();
  await expect(page).toHaveURL(/\/compare\?one=/);
});
