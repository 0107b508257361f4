import type { Page } from '@playwright/test';
import { expect, test, appFor } from './app';
import { deskIsSet, isSaved, openStudy, reload, toStep } from './page-actions';

const app = appFor('demo');
const TITLE = 'Lower station, rain at dusk';
const state = (page: Page) => page.getByTestId('save-state');
const field = (page: Page, name: string) => page.getByRole('textbox', { name });

async function about(page: Page): Promise<void> {
  await toStep(page, 'Look');
  if (!(await field(page, 'Maker').isVisible())) await page.getByText('About the picture').click();
}

test('two windows that close while the server is gone both come back', async ({
  page,
  context,
}) => {
  const other = await context.newPage();
  for (const one of [page, other]) {
    await openStudy(one, app.url, TITLE);
    await about(one);
  }
  const address = page.url();
  await app.stop('SIGKILL');
  await field(page, 'Maker').fill('O. Venn-Tarrick');
  await field(other, 'Right to use it').fill('lent for study');
  for (const one of [page, other]) await expect(state(one)).toHaveText('waiting for the server');
  const third = await context.newPage();
  await page.close();
  await other.close();
  await app.start();

  await third.goto(address);
  await deskIsSet(third);
  await about(third);
  await expect(field(third, 'Maker')).toHaveValue('O. Venn-Tarrick');
  await expect(field(third, 'Right to use it')).toHaveValue('lent for study');
  await isSaved(third);
  // What was saved is nobody's draft any more: it does not come back over what is done next.
  await field(third, 'Maker').fill('');
  await isSaved(third);
  await reload(third);
  await deskIsSet(third);
  await about(third);
  await expect(field(third, 'Maker')).toHaveValue('');
  await expect(field(third, 'Right to use it')).toHaveValue('lent for study');
});

test('one window’s save leaves the other’s draft', async ({ page, context }) => {
  await openStudy(page, app.url, TITLE);
  await about(page);
  const address = page.url();
  // This window alone is cut off.
  await page.route('**/api/studies/**', (route) => route.abort());
  await field(page, 'Maker').fill('O. Venn-Tarrick');
  await expect(state(page)).toHaveText('waiting for the server');
  const other = await context.newPage();
  await openStudy(other, app.url, TITLE);
  await about(other);
  // It is taken in by the window that reaches the server.
  await expect(field(other, 'Maker')).toHaveValue('O. Venn-Tarrick');
  await field(other, 'Right to use it').fill('lent for study');
  await isSaved(other);
  await field(page, 'Source').fill('a sketchbook');
  await expect(state(page)).toHaveText('waiting for the server');
  await page.close();
  await other.close();
  const third = await context.newPage();
  await third.goto(address);
  await deskIsSet(third);
  await about(third);
  await expect(field(third, 'Maker')).toHaveValue('O. Venn-Tarrick');
  await expect(field(third, 'Right to use it')).toHaveValue('lent for study');
  await expect(field(third, 'Source')).toHaveValue('a sketchbook');
});

test('a browser that stores nothing says so at once, and never calls it saved', async ({
  page,
}) => {
  await page.addInitScript(() => {
    IDBObjectStore.prototype.put = () => {
      throw new DOMException('full', 'QuotaExceededError');
    };
  });
  await openStudy(page, app.url, TITLE);
  await about(page);
  await app.stop('SIGKILL');
  await field(page, 'Maker').fill('O. Venn-Tarrick');
  await expect(page.getByText(/storage is full or closed to us/)).toBeVisible();
  await expect(state(page)).toHaveText('kept in this window alone');
  await app.start();
  await isSaved(page);
});
