import { expect, test, appFor } from './app';
import { isSaved, openStudy } from './page-actions';

const app = appFor('demo');

test('the demo starts again, and one’s own work stays', async ({ page }) => {
  await openStudy(page, app.url, 'Lower station, rain at dusk');
  await page.getByText('About the picture').click();
  await page.getByRole('textbox', { name: 'Title' }).fill('Scribbled over');
  await isSaved(page);
  await page.getByRole('button', { name: 'Save to Drawers' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('textbox', { name: 'Name' }).fill('My own dusk');
  await dialog.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText('is in the Drawers.')).toBeVisible();

  await page.goto(app.url);
  await page.getByRole('button', { name: 'More for Ticket hall at noon' }).click();
  await page.getByRole('menuitem', { name: 'Delete' }).click();
  await expect(page.getByRole('heading', { name: 'Ticket hall at noon' })).toHaveCount(0);

  await page.getByRole('button', { name: 'Start the demo again' }).click();
  await page.getByRole('button', { name: 'Not now' }).click();
  await expect(page.getByRole('heading', { name: 'Scribbled over' })).toBeVisible();
  await page.getByRole('button', { name: 'Start the demo again' }).click();
  await page.getByRole('button', { name: 'Start again', exact: true }).click();
  await expect(page.getByRole('progressbar', { name: 'Starting the demo again' })).toBeVisible();
  await expect(page.getByText('The demo is as it was at first.')).toBeVisible({ timeout: 60_000 });
  await expect(page.getByRole('heading', { name: 'Lower station, rain at dusk' })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Ticket hall at noon' })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Scribbled over' })).toHaveCount(0);
  await page.getByRole('link', { name: 'Drawers' }).click();
  await expect(page.getByTestId('finding')).toContainText('libraries');
  await page
    .getByRole('searchbox', { name: 'Search libraries and swatches' })
    .first()
    .fill('my own');
  await expect(page.getByRole('heading', { name: 'My own dusk' })).toBeVisible();
});
