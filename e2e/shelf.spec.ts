import { readFile } from 'node:fs/promises';
import sharp from 'sharp';
import { appFor, expect, test } from './app';
import { addEarths, openBench, tubeButton, tubes } from './bench-actions';
import { choose, finding, isReady, isSaved } from './page-actions';

const app = appFor('empty');

test('the shelf goes to a table and back, and what it was is a click away', async ({ page }) => {
  await openBench(page, app.url);
  await addEarths(page);
  await isSaved(page);
  // Taken off, a tube lies in the bin, and comes back as it was.
  await tubeButton(page, /^Bone black/).click();
  await page.getByLabel('Opacity, by its label').selectOption('semi-opaque');
  await page.getByRole('button', { name: 'Take off the shelf' }).click();
  await expect(tubes(page)).toHaveCount(6);
  await page.getByText('Bin', { exact: true }).click();
  await page.getByRole('button', { name: 'Put Bone black back on the shelf' }).click();
  await expect(tubes(page)).toHaveCount(7);
  await expect(page.getByText('Bin', { exact: true })).toHaveCount(0);
  await page.getByText('As a table').click();
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Export CSV' }).click(),
  ]);
  const table = (await readFile(await file.path())).toString();
  expect(table).toContain('Ultramarine blue,,,PB29,1,,on the palette,');
  expect(table).toContain('Bone black,,,PBk9,1,semi-opaque,on the palette,');
  const give = (text: string) =>
    page
      .getByLabel('Import CSV')
      .setInputFiles({ name: 'tubes.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });
  await give('Dear painter');
  await expect(page.getByText(/No table of tubes/)).toBeVisible();
  await expect(tubes(page)).toHaveCount(7);
  await give('name,pigments,where\nLake,PR83,kept off it\nOdd,PX1,\n');
  await expect(tubes(page)).toHaveCount(8);
  await expect(page.getByText('Line 3 was left out: no pigment is known as “PX1”.')).toBeVisible();
  await expect(finding(page)).toHaveText('Seven tubes on the palette and one kept off it.');
  await isSaved(page);
  await page.getByRole('button', { name: 'History' }).click();
  const history = page.getByRole('dialog');
  await expect(history).toContainText('Begun, empty.');
  await history.getByRole('button', { name: 'Look at it' }).click();
  await history.getByRole('button', { name: /back to this|restore|go back/i }).click();
  await expect(finding(page)).toHaveText('The shelf is empty.');
  await page.getByRole('button', { name: 'Undo', exact: true }).first().click();
  await expect(tubes(page)).toHaveCount(8);
});

test('a photographed card is read by its paper, put right by a touch, and the tube is fitted to it', async ({
  page,
}) => {
  await openBench(page, app.url);
  await addEarths(page);
  await tubeButton(page, /^Ultramarine/).click();
  await page.getByText('Card', { exact: true }).click();
  // Paper, mass tone and tint on a table, in a warm light.
  const patch = (left: number, background: string) => ({
    input: { create: { width: 120, height: 140, channels: 3 as const, background } },
    left,
    top: 60,
  });
  const card = await sharp({
    create: { width: 600, height: 260, channels: 3, background: '#5c5248' },
  })
    .composite([patch(50, '#f0dcc0'), patch(235, '#1e1850'), patch(420, '#7e8ab4')])
    .png()
    .toBuffer();
  const photograph = page.getByLabel('Photograph of a card');
  await photograph.setInputFiles({
    name: 'letter.jpg',
    mimeType: 'image/jpeg',
    buffer: Buffer.from('Dear painter'),
  });
  await expect(page.getByText(/no picture that the browser can open/)).toBeVisible();
  await photograph.setInputFiles({ name: 'card.png', mimeType: 'image/png', buffer: card });
  for (const role of ['paper', 'massTone', 'tint'])
    await expect(page.getByTestId(`patch-${role}`)).toBeVisible();
  await expect(page.getByText('The light is taken away by the paper.')).toBeVisible();
  const tint = page.getByLabel('Tint', { exact: true });
  const read = await tint.inputValue();
  expect(read).toMatch(/^#[0-9a-f]{6}$/);
  // What is in the warm light a grey blue is a blue by its paper.
  expect(parseInt(read.slice(5), 16)).toBeGreaterThan(0xc0);

  // A touch takes another place, and back.
  await choose(page, 'A touch takes', 'tint');
  const photo = page.getByRole('img', { name: /^The picture of a card/ });
  const box = (await photo.boundingBox())!;
  await photo.click({ position: { x: box.width * 0.5, y: box.height * 0.5 } });
  await expect(tint).not.toHaveValue(read);
  await photo.click({ position: { x: box.width * 0.8, y: box.height * 0.5 } });
  await expect(tint).toHaveValue(read);

  await page.getByRole('button', { name: 'Fit the tube to it' }).click();
  await expect(page.getByTestId('card-outcome')).toContainText(/absorbs .* sure to about \d+ %/);
  await isSaved(page);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByTestId('card-outcome')).toHaveCount(0);
  await page.getByRole('button', { name: 'Redo' }).click();
  await expect(page.getByTestId('card-outcome')).toBeVisible();
});

test('two windows on one shelf lose nothing of either', async ({ page, context }) => {
  const other = await context.newPage();
  await openBench(page, app.url);
  await addEarths(page);
  await isSaved(page);
  await other.goto(`${app.url}/bench`);
  await isReady(other);
  await expect(tubes(other)).toHaveCount(7);
  await Promise.all([
    page.getByLabel('Where Bone black is').selectOption('off'),
    other.getByLabel('Where Red oxide is').selectOption('wish'),
  ]);
  for (const one of [page, other]) {
    await isSaved(one);
    await expect(finding(one)).toHaveText(
      'Five tubes on the palette, one kept off it and one wished for.',
    );
  }
  // Taken off in one window, and back again.
  await tubeButton(other, /^Red oxide/).click();
  await other.getByRole('button', { name: 'Take off the shelf' }).click();
  await expect(tubes(page)).toHaveCount(6);
  await other.getByText('is in the bin of the shelf').waitFor();
  await other.getByRole('button', { name: 'Undo' }).last().click();
  await expect(tubes(page)).toHaveCount(7);
});

test('what is done while the server is gone is saved when it is back', async ({ page }) => {
  await openBench(page, app.url);
  await addEarths(page);
  await isSaved(page);
  await app.stop('SIGKILL');
  await page.getByLabel('Where Raw umber is').selectOption('off');
  await expect(page.getByTestId('save-state')).toHaveText('waiting for the server');
  await app.start();
  await isSaved(page);
  await page.reload();
  await expect(finding(page)).toHaveText('Six tubes on the palette and one kept off it.');
});

test('with a finger on a phone: tubes are put off and mixed', async ({ browser }) => {
  const context = await browser.newContext({
    hasTouch: true,
    viewport: { width: 390, height: 844 },
  });
  const page = await context.newPage();
  await page.goto(`${app.url}/bench`);
  await isReady(page);
  await page.getByRole('button', { name: 'Add the set Three primaries and white' }).tap();
  await expect(tubes(page)).toHaveCount(4);
  await tubeButton(page, /^Quinacridone magenta/).tap();
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Quinacridone magenta');
  await page.getByRole('radio', { name: 'mixing room' }).tap();
  for (const label of ['Titanium white', 'Quinacridone magenta'])
    await page.getByLabel('Add a tube to the pile').selectOption({ label });
  const slider = page.getByRole('slider', { name: 'Parts of Titanium white' });
  const before = await slider.getAttribute('aria-valuetext');
  const track = (await slider.locator('xpath=../..').boundingBox())!;
  await page.touchscreen.tap(track.x + track.width * 0.9, track.y + track.height / 2);
  await expect(slider).not.toHaveAttribute('aria-valuetext', before ?? '');
  await expect(finding(page)).toContainText('red-violet');
  await context.close();
});
