import type { Page } from '@playwright/test';
import { appFor, expect, test } from './app';
import {
  finding,
  isSaved,
  libraryNames,
  libraryRows,
  openDrawers,
  reload,
  setSlider,
} from './page-actions';

const app = appFor('demo');

const rows = libraryRows;
const names = libraryNames;
const toDrawers = (page: Page, query = '') => openDrawers(page, app.url, query);

test('libraries are asked for by words, family, value and nearness, and the address comes back to it', async ({
  page,
}) => {
  await toDrawers(page);
  const all = await names(page).count();
  await expect(finding(page)).toHaveText(/^13 libraries with \d+ swatches\.$/);
  await page.getByRole('searchbox').first().fill('DOOR lamp');
  await expect(names(page)).toHaveText(['Wet dusk, lamps lit']);
  await expect(rows(page).first()).toContainText('One answers: door lamplight');
  await page.getByRole('searchbox').first().fill('Pellwin');
  await expect(names(page)).toHaveText(['Three inks and the paper']);
  await page.getByRole('button', { name: 'Show all' }).click();
  await expect(names(page)).toHaveCount(all);

  await page.getByRole('button', { name: 'Ask by colour' }).click();
  const violet = page.getByRole('button', { name: /^violet: \d+$/ });
  await expect(violet).toHaveAccessibleName(/[1-9]/);
  await violet.click();
  await expect(violet).toHaveAttribute('aria-pressed', 'true');
  await expect(finding(page)).toHaveText(/have violet\.$/);
  await expect(page).toHaveURL(/family=violet/);
  const answering = await rows(page)
    .getByText(/^(One|Two|Three|Four|Five|Six) answers?:/)
    .count();
  expect(answering).toBe(await rows(page).count());
  await reload(page);
  await expect(finding(page)).toHaveText(/have violet\.$/);
  await violet.click();

  await page.getByRole('textbox', { name: 'Colour to be near, as hex' }).fill('#253354');
  await expect(names(page).first()).toHaveText(/Dusk blues|Wet dusk, lamps lit/);
  const near = await rows(page)
    .getByText(/answers?:/)
    .allInnerTexts();
  await setSlider(page, 'How near, in CIEDE2000', 12);
  const now = () =>
    rows(page)
      .getByText(/answers?:/)
      .allInnerTexts();
  await expect.poll(async () => (await now()).join().length).toBeGreaterThan(near.join().length);
  await page.getByRole('button', { name: /^value 9/ }).click();
  await expect(page.getByText(/Nothing answers to all of that/)).toBeVisible();
});

test('a search needs no network, and says when the server is gone', async ({ page }) => {
  await toDrawers(page);
  const search = page.getByRole('searchbox').first();
  await page.evaluate(() => window.dispatchEvent(new Event('offline')));
  await search.fill('DOOR lamp');
  await expect(names(page)).toHaveText(['Wet dusk, lamps lit']);
  await expect(finding(page)).toHaveText(/“DOOR lamp”\.$/);

  await app.stop('SIGKILL');
  await search.fill('Pellwin');
  await expect(page.getByText(/Bold Prism does not answer/)).toBeVisible();
  // What is shown still says what it answers.
  await expect(finding(page)).toHaveText(/“DOOR lamp”\.$/);
  await expect(names(page)).toHaveText(['Wet dusk, lamps lit']);
  await app.start();
  await search.fill('Pellwin inks');
  await search.fill('Pellwin');
  await expect(names(page)).toHaveText(['Three inks and the paper']);
});

test('a search is kept under a name, asked again, forgotten, and taken back', async ({ page }) => {
  await toDrawers(page);
  const places = page.getByRole('navigation', { name: 'Where they lie' });
  await places.getByRole('button', { name: 'Warm darks', exact: true }).click();
  await expect(finding(page)).toHaveText(/that value and a warm colour/);
  await page.getByRole('searchbox').first().fill('lamp');
  await page.getByRole('button', { name: 'Keep this search' }).click();
  await page.getByRole('textbox', { name: 'Name' }).fill('Lamps in the dark');
  await page.keyboard.press('Enter');
  const kept = places.getByRole('button', { name: 'Lamps in the dark', exact: true });
  await expect(kept).toBeVisible();
  await page.getByRole('button', { name: 'Show all' }).click();
  await kept.click();
  await expect(page.getByRole('searchbox').first()).toHaveValue('lamp');
  await page.getByRole('button', { name: 'Forget the search Lamps in the dark' }).click();
  await expect(kept).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo', exact: true }).first().click();
  await expect(kept).toBeVisible();
});

test('libraries go in folders by drag and by menu, are favoured, and put in an order of one’s own', async ({
  page,
}) => {
  await toDrawers(page);
  const places = page.getByRole('navigation', { name: 'Where they lie' });
  await places.getByRole('button', { name: 'New folder' }).click();
  await page.getByRole('textbox', { name: 'Name of the new folder' }).fill('For the fair');
  await page.keyboard.press('Enter');
  const folder = places.getByRole('button', { name: /^For the fair \d+$/ });
  await expect(folder).toContainText('0');

  const dragTo = async (name: string, target: { x: number; y: number }) => {
    const grip = await page.getByRole('button', { name: `Drag ${name}` }).boundingBox();
    if (!grip) throw new Error(`no handle for ${name}`);
    await page.mouse.move(grip.x + grip.width / 2, grip.y + grip.height / 2);
    await page.mouse.down();
    await page.mouse.move(grip.x + 30, grip.y + 20, { steps: 4 });
    await page.mouse.move(target.x, target.y, { steps: 8 });
    await page.mouse.up();
  };
  const box = await folder.boundingBox();
  if (!box) throw new Error('no folder');
  await dragTo('Dusk blues', { x: box.x + 40, y: box.y + 20 });
  await expect(folder).toContainText('1');
  await page.getByRole('button', { name: 'More for Warm blacks' }).click();
  await page.getByRole('menuitem', { name: 'Put in a folder …' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'For the fair' }).click();
  await expect(folder).toContainText('2');
  await folder.click();
  await expect(names(page)).toHaveText(['Dusk blues', 'Warm blacks']);
  await page.getByRole('button', { name: 'Undo', exact: true }).first().click();
  await expect(names(page)).toHaveText(['Dusk blues']);

  await places.getByRole('button', { name: /^All libraries/ }).click();
  await page.getByRole('button', { name: 'Favourite: Dusk blues' }).click();
  await places.getByRole('button', { name: 'Favourites' }).click();
  await expect(names(page).filter({ hasText: 'Dusk blues' })).toBeVisible();
  await expect(finding(page)).toHaveText('Three favourites.');

  await places.getByRole('button', { name: /^All libraries/ }).click();
  await page.getByLabel('Order').selectOption('own');
  await expect(page).toHaveURL(/sort=own/);
  await expect.poll(() => names(page).count()).toBeGreaterThan(4);
  const before = await names(page).allInnerTexts();
  const first = await rows(page).first().boundingBox();
  if (!first) throw new Error('no row');
  await dragTo(before[2], { x: first.x + 200, y: first.y + 30 });
  await expect(names(page).first()).toHaveText(before[2]);
  await reload(page);
  await expect(names(page).first()).toHaveText(before[2]);

  await page.getByRole('button', { name: 'More for the folder For the fair' }).click();
  await page.getByRole('menuitem', { name: 'Take the folder away' }).click();
  await expect(folder).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo', exact: true }).first().click();
  await expect(folder).toContainText('1');
});

test('two libraries are compared and merged, and the merging is undone', async ({ page }) => {
  await toDrawers(page);
  await page.getByLabel('Choose Wet dusk, lamps lit').check();
  await page.getByLabel('Choose Dusk blues').check();
  const chosen = page.getByRole('region', { name: 'Chosen libraries' });
  await chosen.getByRole('button', { name: 'Compare' }).click();
  await expect(finding(page)).toHaveText(
    'The two share four swatches. Six are only in the first, none only in the second.',
  );
  await expect(page.getByRole('region', { name: 'Shared' }).getByRole('listitem')).toHaveCount(4);

  await toDrawers(page);
  const all = await names(page).count();
  await page.getByLabel('Choose Wet dusk, lamps lit').check();
  await page.getByLabel('Choose Dusk blues').check();
  await chosen.getByRole('button', { name: 'Merge' }).click();
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByTestId('merge-finding')).toHaveText(
    /^Four swatches .* Together they make ten swatches\.$/,
  );
  await dialog.getByRole('radio', { name: 'keep both' }).click();
  await expect(dialog.getByTestId('merge-finding')).toHaveText(/make 14 swatches\.$/);
  await dialog.getByRole('radio', { name: 'keep the first' }).click();
  await dialog.getByRole('textbox', { name: 'Name' }).fill('All of the dusk');
  await dialog.getByLabel('Put the two into the bin').check();
  await dialog.getByRole('button', { name: 'Merge' }).click();
  await expect(names(page).first()).toHaveText('All of the dusk');
  await expect(names(page).filter({ hasText: /^Dusk blues$/ })).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo', exact: true }).first().click();
  await expect(names(page).filter({ hasText: /^Dusk blues$/ })).toHaveCount(1);
  await expect(names(page)).toHaveCount(all);
});

test('a swatch says what it is, where it was taken, where else it is, and what is near', async ({
  page,
  context,
}) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write']);
  await toDrawers(page);
  await page.getByRole('link', { name: /^Wet dusk, lamps lit/ }).click();
  await page.getByRole('button', { name: 'Figures and note of navy' }).click();
  await expect(page).toHaveURL(/swatch=/);
  await page.getByText('Figures', { exact: true }).click();
  await page.getByRole('button', { name: /^Copy hex/ }).click();
  expect(await page.evaluate(() => navigator.clipboard.readText())).toBe('#253354');
  for (const term of ['OKLCH', 'sRGB', 'L*a*b*', 'Munsell value', 'share'])
    await expect(page.getByRole('button', { name: `Copy ${term}` })).toBeVisible();
  const elsewhere = page.getByRole('region', { name: 'Where else it is used' });
  await expect(elsewhere.getByRole('link', { name: /Lower station, rain at dusk/ })).toBeVisible();
  await expect(elsewhere.getByRole('link', { name: /Dusk blues/ })).toBeVisible();
  await expect(page.getByRole('img', { name: /The picture of Lower station/ })).toBeVisible();

  await page.getByRole('textbox', { name: 'Other names' }).fill('ink of dusk, bleu de nuit');
  await page.getByLabel('What it is for').selectOption('main');
  await page.getByRole('textbox', { name: 'Note on navy' }).fill('thin, over a dry ground');
  await isSaved(page);
  await reload(page);
  await expect(page.getByRole('textbox', { name: 'Other names' })).toHaveValue(
    'ink of dusk, bleu de nuit',
  );
  await expect(page.getByLabel('What it is for')).toHaveValue('main');

  const near = page.getByRole('list', { name: 'Neighbours' }).getByRole('link').first();
  await near.click();
  await expect(page).toHaveURL(/swatch=/);
  await toDrawers(page, '?text=bleu%20nuit');
  await expect(rows(page).first()).toContainText('One answers: navy');
});

test('a library is split, put in order, and taken back to what it was', async ({ page }) => {
  await toDrawers(page);
  await page.getByRole('link', { name: /^Slate and evening/ }).click();
  const swatches = page.getByLabel('Name of the swatch');
  await expect(swatches.first()).toBeVisible();
  const before = await swatches.count();
  const [first] = await Promise.all([swatches.first().inputValue()]);
  await page
    .getByRole('checkbox', { name: /^Choose / })
    .nth(0)
    .check();
  await page
    .getByRole('checkbox', { name: /^Choose / })
    .nth(1)
    .check();
  await page.getByRole('button', { name: 'Split off into a library' }).click();
  await expect(swatches).toHaveCount(before - 2);
  await page.getByLabel('Put the swatches in order').selectOption('by name');
  const sorted = await swatches.evaluateAll((fields) =>
    fields.map((field) => (field as HTMLInputElement).value),
  );
  expect(sorted).toEqual(
    [...sorted].sort((a, b) => a.localeCompare(b, undefined, { numeric: true })),
  );
  await isSaved(page);

  await page.getByRole('button', { name: 'History' }).click();
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByRole('listitem').first()).toContainText('taken out');
  await dialog.getByRole('button', { name: 'Look at it' }).last().click();
  await dialog.getByRole('button', { name: 'Go back to this' }).click();
  await expect(swatches).toHaveCount(before);
  await expect(swatches.first()).toHaveValue(first);
  await isSaved(page);
  await toDrawers(page, '?text=slate%20evening%20part');
  await expect(names(page)).toHaveText(['Slate and evening, part']);
});

test('what is put into the bin lies there, comes out again, or goes for good', async ({ page }) => {
  await toDrawers(page);
  for (const name of ['Roof darks', 'Conductor greys']) {
    await page.getByRole('searchbox').first().fill(name);
    await expect(names(page)).toHaveText([name]);
    await page.getByRole('button', { name: `More for ${name}` }).click();
    await page.getByRole('menuitem', { name: 'Into the bin' }).click();
    await expect(names(page)).toHaveCount(0);
  }
  await page.getByRole('link', { name: /^Bin/ }).click();
  const binned = page.getByRole('main').getByRole('heading', { level: 2 });
  const ours = binned.filter({ hasText: /^(Roof darks|Conductor greys)$/ });
  await expect(ours).toHaveCount(2);
  await expect(page.getByRole('main')).toContainText('30 days left');
  await page.getByRole('button', { name: 'Take Roof darks out of the bin' }).click();
  await expect(ours).toHaveCount(1);
  await page.getByRole('button', { name: 'Throw Conductor greys away for good' }).click();
  await page.getByRole('button', { name: 'Yes, for good' }).click();
  await expect(ours).toHaveCount(0);
  await toDrawers(page, '?text=roof');
  await expect(names(page)).toHaveText(['Roof darks']);
});
