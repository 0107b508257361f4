import { readFile } from 'node:fs/promises';
import { expect, test, appFor } from './app';
import {
  deskIsSet,
  drop,
  dropPicture,
  isSaved,
  onStage,
  picturePath,
  setSlider,
  toStep,
  tray,
} from './page-actions';

const app = appFor('empty');

test('the whole way, from a picture to a library and back from its file', async ({ page }) => {
  await page.goto(app.url);
  await expect(page.getByRole('heading', { name: /Drop a picture here/ })).toBeVisible();

  await dropPicture(page, 'lower-station.webp');
  await expect(page).toHaveURL(/\/desk\//);
  await deskIsSet(page);
  const studyUrl = new URL(page.url()).pathname;
  await expect(tray(page)).toHaveCount(8);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('lower station');

  await toStep(page, 'Values');
  await expect(page.getByTestId('finding')).toContainText('A low key of medium range.');
  await expect(page.getByRole('row')).toHaveCount(5);
  await setSlider(page, 'How many', -1);
  await expect(page.getByRole('row')).toHaveCount(4);

  await toStep(page, 'Palette');
  await setSlider(page, 'Colours', -2);
  await expect(tray(page)).toHaveCount(6);
  await expect(page.getByTestId('finding')).toContainText('Six colours');

  await page.mouse.click(...(await onStage(page, 0.77, 0.5)));
  await expect(tray(page)).toHaveCount(7);
  await expect(page.getByText(/^picked, /)).toBeVisible();
  await page.getByRole('textbox', { name: 'Name' }).fill('cabin red');
  await page.getByRole('textbox', { name: 'Note' }).fill('the one accent');
  await isSaved(page);

  await page.getByRole('button', { name: 'Save to Drawers' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('textbox', { name: 'Name' }).fill('Wet dusk “seven” ☂');
  await dialog.getByRole('textbox', { name: /Note/ }).fill('for the evening plates');
  await dialog.getByRole('textbox', { name: /Tags/ }).fill('rain, evening');
  await dialog.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText('is in the Drawers.')).toBeVisible();

  await page.getByRole('link', { name: 'Drawers' }).click();
  await page.getByRole('searchbox').fill('nothing of the kind');
  await expect(page.getByText(/Nothing answers to all of that/)).toBeVisible();
  await page.getByRole('searchbox').fill('SEVEN');
  await page.getByRole('link', { name: /Wet dusk/ }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Wet dusk “seven” ☂');
  await expect(page.getByLabel('Name of the swatch')).toHaveCount(7);
  const libraryId = new URL(page.url()).pathname.split('/').pop() as string;
  const saved = await (await page.request.get(`${app.url}/api/libraries/${libraryId}`)).json();
  expect(saved.swatches.map((swatch: { name: string }) => swatch.name)).toContain('cabin red');

  await page.getByRole('button', { name: 'Export, print or share' }).click();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: /Bold Prism library/ }).click();
  const file = await download;
  expect(file.suggestedFilename()).toBe('Wet dusk “seven” ☂.prism.json');
  const bytes = await readFile(await file.path());

  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Into the bin' }).click();
  await expect(page).toHaveURL(/\/drawers$/);
  await expect(page.getByText('The drawers are empty.')).toBeVisible();
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(page.getByRole('heading', { name: /Wet dusk/ })).toBeVisible();

  await drop(page, 'brought back.prism.json', bytes, 'application/json');
  await page.getByRole('button', { name: 'Import one library' }).click();
  await expect(page.getByRole('heading', { name: /Wet dusk/ })).toHaveCount(2);
  const all = await (await page.request.get(`${app.url}/api/libraries`)).json();
  const back = all.find((one: { id: string }) => one.id !== libraryId);
  const withoutId = ({ id: _, ...rest }: Record<string, unknown>) => rest;
  expect(back.swatches.map(withoutId)).toEqual(saved.swatches.map(withoutId));
  expect([back.name, back.note, back.tags]).toEqual([saved.name, saved.note, saved.tags]);

  // Every swatch leads back to its place in the picture.
  await page.goto(`${app.url}/drawers/${libraryId}`);
  await page.getByRole('link', { name: /To the place of cabin red/ }).click();
  await expect(page).toHaveURL(new RegExp(`${studyUrl}\\?.*at=`));
  await deskIsSet(page);
});

test('the original comes back byte for byte, and the same file is known again', async ({
  page,
}) => {
  await page.goto(app.url);
  await dropPicture(page, 'lower-station.webp');
  await deskIsSet(page);
  await page.goto(app.url);
  await dropPicture(page, 'lower-station.webp');
  const dialog = page.getByRole('dialog', { name: 'You have this picture already' });
  await expect(dialog.getByRole('link', { name: /lower station/ })).toBeVisible();
  await dialog.getByRole('button', { name: 'Begin a new study of it' }).click();
  await deskIsSet(page);
  await page.getByText('About the picture').click();
  const download = page.waitForEvent('download');
  await page.getByRole('link', { name: 'lower-station.webp' }).click();
  const original = await readFile(await (await download).path());
  expect(original.equals(await readFile(picturePath('lower-station.webp')))).toBe(true);
  await page.goto(app.url);
  await expect(page.getByRole('listitem')).toHaveCount(2);
});
