import { expect, test, appFor } from './app';
import { isReady, isSaved, reload } from './page-actions';

const app = appFor('demo');

test('the Wall: search, rename, delete and undo', async ({ page }) => {
  await page.goto(app.url);
  await isReady(page);
  const cards = page.getByRole('main').getByRole('listitem');
  await expect(cards.first()).toBeVisible();
  const all = await cards.count();
  await page.getByRole('searchbox').fill('FOG');
  await expect(cards).toHaveCount(1);
  await page.getByRole('searchbox').fill('no such thing');
  await expect(page.getByText('No study answers to that.')).toBeVisible();
  await page.getByRole('searchbox').fill('');
  await expect(cards).toHaveCount(all);

  await page.getByRole('button', { name: 'More for Fog at the passing loop' }).click();
  await page.getByRole('menuitem', { name: 'Rename' }).click();
  const long = `Fog ${'over and over '.repeat(12)}`.trim();
  await page.getByRole('textbox', { name: 'Title' }).fill(long);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: long })).toBeVisible();
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(1280);

  await page.getByRole('button', { name: `More for ${long}` }).click();
  await page.getByRole('menuitem', { name: 'Delete' }).click();
  await expect(cards).toHaveCount(all - 1);
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(page.getByRole('heading', { name: long })).toBeVisible();
  await reload(page);
  await expect(page.getByRole('heading', { name: long })).toBeVisible();
});

test('a menu that is opened at once on a slow machine stays open', async ({ page }) => {
  const client = await page.context().newCDPSession(page);
  await client.send('Emulation.setCPUThrottlingRate', { rate: 8 });
  await page.goto(app.url);
  await page.getByRole('button', { name: 'More for Ticket hall at noon' }).click();
  await expect(page.getByRole('menuitem', { name: 'Delete' })).toBeVisible();
  // The wall is measured and its rows are made meanwhile.
  await page.waitForFunction(() => document.querySelector('main li.basis-full') !== null);
  await page.getByRole('menuitem', { name: 'Print a sheet …' }).click();
  await expect(page.getByRole('dialog')).toBeVisible();
});

test('a library: rename, edit and delete swatches, undo and redo, kept over a reload', async ({
  page,
}) => {
  await page.goto(`${app.url}/drawers`);
  await page.getByRole('link', { name: /Ticket hall, tile and sun/ }).click();
  const names = page.getByLabel('Name of the swatch');
  await expect(names.first()).toBeVisible();
  const count = await names.count();
  const first = await names.first().inputValue();
  await names.first().fill('ink of the clock');
  await page.getByRole('textbox', { name: 'Name', exact: true }).fill('Noon tiles');
  await page.getByRole('button', { name: 'Delete suitcase yellow' }).click();
  await expect(names).toHaveCount(count - 1);
  await page.getByRole('button', { name: 'Undo', exact: true }).last().click();
  await expect(names).toHaveCount(count);
  await isSaved(page);
  await reload(page);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Noon tiles');
  await expect(names.first()).toHaveValue('ink of the clock');
  await expect(names).toHaveCount(count);

  await names.first().fill(first);
  await page.locator('main').click({ position: { x: 5, y: 5 } });
  await page.keyboard.press('Control+z');
  await expect(names.first()).toHaveValue('ink of the clock');
  await page.keyboard.press('Control+Shift+z');
  await expect(names.first()).toHaveValue(first);

  await page.getByRole('textbox', { name: 'Name', exact: true }).fill('');
  await expect(page.getByText(/A library needs a name/)).toBeVisible();
  await reload(page);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Noon tiles');
});

test('what is not there has a page that says so', async ({ page }) => {
  for (const path of ['/desk/none', '/drawers/00000000-0000-4000-8000-000000000000', '/nowhere']) {
    const answer = await page.goto(app.url + path);
    expect(answer?.status()).toBe(404);
    await expect(page.getByRole('heading', { name: 'There is nothing here.' })).toBeVisible();
  }
});
