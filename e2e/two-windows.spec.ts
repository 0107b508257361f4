import type { Page } from '@playwright/test';
import { expect, test, appFor } from './app';
import {
  deskIsSet,
  isReady,
  isSaved,
  onStage,
  openStudy,
  reload,
  toStep,
  tray,
} from './page-actions';

const app = appFor('demo');
const TITLE = 'Lower station, rain at dusk';

async function about(page: Page): Promise<void> {
  await toStep(page, 'Look');
  if (!(await page.getByRole('textbox', { name: 'Maker' }).isVisible()))
    await page.getByText('About the picture').click();
}

test('two windows on one study lose nothing of either', async ({ page, context }) => {
  const other = await context.newPage();
  await openStudy(page, app.url, TITLE);
  await openStudy(other, app.url, TITLE);
  await about(page);
  await about(other);

  // Both at once, before either knows of the other.
  await Promise.all([
    page.getByRole('textbox', { name: 'Maker' }).fill('O. Venn-Tarrick'),
    other.getByRole('textbox', { name: 'Right to use it' }).fill('lent for study'),
  ]);
  await isSaved(page);
  await isSaved(other);
  for (const one of [page, other]) {
    await expect(one.getByRole('textbox', { name: 'Maker' })).toHaveValue('O. Venn-Tarrick');
    await expect(one.getByRole('textbox', { name: 'Right to use it' })).toHaveValue(
      'lent for study',
    );
  }

  // A pick in one and a deletion in the other.
  await toStep(page, 'Palette');
  await toStep(other, 'Palette');
  const before = await tray(page).count();
  const label = (await tray(other).first().getAttribute('aria-label')) ?? '';
  const gone = label.replace(/^1, (.*, value [\d.]+), .*$/, '$1');
  await Promise.all([
    page.mouse.click(...(await onStage(page, 0.3, 0.2))),
    tray(other).first().press('Delete'),
  ]);
  // The first was deleted there, one was added here; both windows show both, with the same shares.
  const names = (one: Page) =>
    tray(one).evaluateAll((all) => all.map((block) => block.getAttribute('aria-label')));
  await expect
    .poll(async () => (await names(page)).filter((name) => name?.includes(gone)))
    .toEqual([]);
  for (const one of [page, other]) await expect(tray(one)).toHaveCount(before);
  await isSaved(page);
  await isSaved(other);
  // Read together: a window says saved before it has measured what the other added.
  await expect
    .poll(async () => {
      const [own, others] = await Promise.all([names(page), names(other)]);
      return own.filter((name, i) => name !== others[i] || !/\d %/.test(name ?? ''));
    })
    .toEqual([]);
  await expect(page.getByText(/in another window/)).toHaveCount(0);
});

test('the same field changed in both: one stands, the other is offered', async ({
  page,
  context,
}) => {
  await openStudy(page, app.url, 'Fog at the passing loop');
  // The other window is of another browser, so that only the server tells.
  const far = await (await context.browser())?.newContext();
  if (!far) throw new Error('no second browser');
  const other = await far.newPage();
  await openStudy(other, app.url, 'Fog at the passing loop');
  await about(page);
  await about(other);
  await page.getByRole('textbox', { name: 'Source' }).fill('seen in the hall');
  await isSaved(page);
  await other.getByRole('textbox', { name: 'Source' }).fill('seen in the stairway');
  await expect(other.getByText(/Changed here and in another window: source/)).toBeVisible();
  await expect(other.getByRole('textbox', { name: 'Source' })).toHaveValue('seen in the stairway');
  await other.getByRole('button', { name: 'Use theirs' }).click();
  await expect(other.getByRole('textbox', { name: 'Source' })).toHaveValue('seen in the hall');
  await isSaved(other);
  await reload(page);
  await deskIsSet(page);
  await about(page);
  await expect(page.getByRole('textbox', { name: 'Source' })).toHaveValue('seen in the hall');
  await far.close();
});

test('two windows on one library lose nothing of either', async ({ page, context }) => {
  const other = await context.newPage();
  for (const one of [page, other]) {
    await one.goto(`${app.url}/drawers`);
    await isReady(one);
    await one.getByRole('link', { name: /Wet dusk, lamps lit/ }).click();
    await expect(one.getByRole('textbox', { name: 'Note' })).toBeVisible();
  }
  await Promise.all([
    page.getByRole('textbox', { name: 'Note' }).fill('mine'),
    other.getByLabel('Name of the swatch').first().fill('theirs'),
  ]);
  for (const one of [page, other]) {
    await isSaved(one);
    await expect(one.getByRole('textbox', { name: 'Note' })).toHaveValue('mine');
    await expect(one.getByLabel('Name of the swatch').first()).toHaveValue('theirs');
  }
});
