import { readFile } from 'node:fs/promises';
import type { Download, Page } from '@playwright/test';
import { appFor, expect, test } from './app';
import {
  deskIsSet,
  drop,
  isSaved,
  labels,
  openDrawers,
  openStudy,
  reload,
  toStep,
  tray,
} from './page-actions';

const app = appFor('demo');
const kept = async (file: Download) => (await readFile(await file.path())).toString();
const openDusk = (page: Page) => openStudy(page, app.url, 'Lower station, rain at dusk');
const recipe = (page: Page) => page.getByRole('region', { name: 'Its recipe' });

test('a recipe stands beside its swatch, says whose tubes, is forgotten and kept anew', async ({
  page,
}) => {
  await openDusk(page);
  const all = await labels(page);
  expect(all.every((label) => label.endsWith(', with its recipe'))).toBe(true);
  await toStep(page, 'Palette');
  await tray(page).nth(1).click();
  await expect(recipe(page)).toContainText('(tubes of Orla Venn-Tarrick)');
  await page.getByRole('button', { name: /^Forget the recipe of/ }).click();
  await expect(recipe(page)).toHaveCount(0);
  await expect(tray(page).nth(1)).not.toHaveAccessibleName(/with its recipe/);
  await page.keyboard.press('Control+z');
  await expect(recipe(page)).toBeVisible();

  // Another route is kept in its place.
  await toStep(page, 'Mix');
  const details = page.getByTestId('recipe');
  await expect(details.getByTestId('kept-recipe')).toBeVisible();
  const before = await details.getByTestId('kept-recipe').innerText();
  await details.getByRole('list', { name: 'Other routes' }).getByRole('button').first().click();
  await details.getByRole('button', { name: 'Keep with the swatch' }).click();
  await expect(details.getByTestId('kept-recipe')).not.toHaveText(before);
  await isSaved(page);
  const now = await details.getByTestId('kept-recipe').innerText();
  await reload(page);
  await deskIsSet(page);
  await tray(page).nth(1).click();
  await expect(details.getByTestId('kept-recipe')).toHaveText(now);
  // All at once, the first recipe of each.
  await page.getByRole('button', { name: 'Keep all with their swatches' }).click();
  await expect(page.getByText(/The recipes go along with the palette/)).toBeVisible();
  await expect(details.getByTestId('kept-recipe')).toHaveText(before);
});

test('a pile is varied by a speck, and muted at its own value', async ({ page }) => {
  await openDusk(page);
  await toStep(page, 'Mix');
  await page.getByRole('list', { name: 'Recipes' }).getByRole('button', { name: /navy/ }).click();
  const details = page.getByTestId('recipe');
  await details.getByText('pile and speck').click();
  const variations = details.getByRole('list', { name: 'Variations' }).getByRole('listitem');
  await expect(variations.filter({ hasText: /^lighter\./ })).toContainText(
    /to ten of the pile: it gets .*lighter/,
  );
  await expect(variations.filter({ hasText: /^duller, by an earth\./ })).toContainText(
    /(First bring .* to the pile’s value|is at the pile’s value already).* it gets .*duller/,
  );
});

test('recipes go along into a library, its page, our own file and back', async ({ page }) => {
  await openDrawers(page, app.url);
  await page.getByRole('link', { name: /^Wet dusk, lamps lit/ }).click();
  await expect(tray(page).first()).toHaveAccessibleName(/with its recipe/);
  await tray(page).first().click();
  const words = (await recipe(page).locator('p').first().innerText()).split(' (')[0];
  await page.getByRole('button', { name: 'Export, print or share' }).click();
  const dialog = page.getByRole('dialog');
  const [given] = await Promise.all([
    page.waitForEvent('download'),
    dialog.getByRole('button', { name: 'Keep the page' }).click(),
  ]);
  const html = await kept(given);
  expect(html).toContain(words);
  expect(html).toContain('tubes of Orla Venn-Tarrick');
  expect(html).toContain('Oily rags');
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    dialog.getByRole('button', { name: 'Bold Prism library' }).click(),
  ]);
  const own = await kept(file);
  await page.keyboard.press('Escape');
  await openDrawers(page, app.url);
  await drop(page, 'again.prism.json', Buffer.from(own.replace('Wet dusk, lamps lit', 'Again')));
  await dialog.getByRole('button', { name: /^Import/ }).click();
  await expect(dialog).toHaveCount(0);
  await page.getByRole('link', { name: /^Again/ }).click();
  await tray(page).first().click();
  await expect(recipe(page)).toContainText(words);
});
