import type { Page } from '@playwright/test';
import { readFile } from 'node:fs/promises';
import sharp from 'sharp';
import { appFor, expect, test } from './app';
import {
  choose,
  deskIsSet,
  dropPicture,
  finding,
  isReady,
  isSaved,
  reload,
  setSlider,
  toStep,
  toTab,
} from './page-actions';

const app = appFor('empty');

async function openBench(page: Page): Promise<void> {
  await page.goto(`${app.url}/bench`);
  await isReady(page);
}

const tubes = (page: Page) => page.getByRole('list', { name: 'Tubes' }).getByRole('listitem');
const tubeButton = (page: Page, name: RegExp) => tubes(page).getByRole('button', { name });

async function addEarths(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Add the set Earths' }).click();
  await expect(tubes(page)).toHaveCount(7);
}

test('a shelf from nothing to a recipe, a tried mixture and a corrected recipe', async ({
  page,
}) => {
  test.setTimeout(180_000);
  await openBench(page);
  await expect(finding(page)).toHaveText('The shelf is empty.');
  await addEarths(page);
  await expect(finding(page)).toHaveText('Seven tubes on the palette.');

  // Kept off the palette, undone, found by words, and kept over a reload.
  await page.getByLabel('Where Bone black is').selectOption('off');
  await expect(finding(page)).toHaveText('Six tubes on the palette and one kept off it.');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(finding(page)).toHaveText('Seven tubes on the palette.');
  await page.getByRole('button', { name: 'Redo' }).click();
  await page.getByLabel('Find tubes').fill('pb29');
  await expect(tubes(page)).toHaveCount(1);
  await tubeButton(page, /^Ultramarine/).click();
  await page.getByLabel('Maker', { exact: true }).fill('Tarn & Fell');
  await isSaved(page);
  await reload(page);
  await expect(tubes(page)).toHaveCount(1);
  await expect(page.getByLabel('Maker', { exact: true })).toHaveValue('Tarn & Fell');
  await page.getByRole('textbox', { name: /^Name/ }).fill(' ');
  await expect(page.getByText('A tube needs a name.')).toBeVisible();
  await page.getByRole('textbox', { name: /^Name/ }).fill('Ultramarine');
  await page.getByLabel('Find tubes').fill('');

  // Mixed: the colour follows the parts at once.
  await choose(page, 'Part of the bench', 'mixing room');
  const add = page.getByLabel('Add a tube to the pile');
  await add.selectOption({ label: 'Titanium white' });
  await add.selectOption({ label: 'Ultramarine' });
  const mixture = page.getByTestId('mixture');
  const before = await mixture.getAttribute('data-colour');
  await setSlider(page, 'Parts of Titanium white', 5);
  await expect(mixture).not.toHaveAttribute('data-colour', before ?? '');
  await expect(finding(page)).toContainText('blue');
  await expect(page.getByText('6 Titanium white · 1 Ultramarine')).toBeVisible();
  const thick = await mixture.getAttribute('data-colour');
  await choose(page, 'How thick', 'thin');
  await expect(mixture).not.toHaveAttribute('data-colour', thick ?? '');
  await choose(page, 'How thick', 'thick');

  // What may have made a colour is taken into the room.
  await page.getByLabel(/^A colour: hex/).fill('nonsense');
  await expect(page.getByText(/^Not a colour yet/)).toBeVisible();
  await page.getByLabel(/^A colour: hex/).fill('#8a6f4d');
  await page.getByRole('button', { name: 'Find', exact: true }).click();
  const maybe = page.getByRole('list', { name: 'What may have made it' });
  await expect(maybe.getByRole('listitem').first()).toBeVisible();

  // Kept, tried, and the tube learns of it.
  await page.getByRole('button', { name: 'Keep this mixture' }).click();
  await choose(page, 'Part of the bench', 'kept mixtures');
  await expect(finding(page)).toHaveText(/^One mixture kept/);
  await expect(page.getByText('Not tried yet.')).toBeVisible();
  await page.getByRole('button', { name: /^Tried it/ }).click();
  const form = page.getByRole('form', { name: 'What was really mixed' });
  await form.getByLabel('Parts of Ultramarine').fill('none');
  await expect(form.getByRole('button', { name: 'Keep what came of it' })).toBeDisabled();
  await form.getByLabel('Parts of Ultramarine').fill('1');
  const typed = form.getByRole('textbox', { name: /^Or type it/ });
  const foretold = await typed.inputValue();
  await setSlider(page, 'Lighter or darker', 1);
  await expect(typed).not.toHaveValue(foretold);
  await form.getByRole('button', { name: 'Back to it' }).click();
  await expect(typed).toHaveValue(foretold);
  await typed.fill('#2f62b4');
  // Photographed beside paper, the dab is found; what was matched by eye may be typed over it.
  const dab = await sharp({
    create: { width: 400, height: 160, channels: 3, background: '#403c38' },
  })
    .composite([
      {
        input: { create: { width: 120, height: 110, channels: 3, background: '#e8e6e2' } },
        left: 25,
        top: 25,
      },
      {
        input: { create: { width: 150, height: 110, channels: 3, background: '#405a90' } },
        left: 220,
        top: 25,
      },
    ])
    .png()
    .toBuffer();
  await form
    .getByLabel('Photograph of the dab')
    .setInputFiles({ name: 'dab.png', mimeType: 'image/png', buffer: dab });
  await expect(form.getByTestId('patch-dab')).toBeVisible();
  await expect(form.getByRole('textbox', { name: /^Or type it/ })).not.toHaveValue('#2f62b4');
  await form.getByRole('textbox', { name: /^Or type it/ }).fill('#2f62b4');
  await form.getByLabel('In words').fill('far stronger than it said');
  await form.getByRole('button', { name: 'Keep what came of it' }).click();
  await expect(page.getByTestId('outcome')).toContainText('before your mixtures corrected');
  const [now, was] = ((await page.getByTestId('outcome').textContent()) ?? '')
    .match(/(\d+\.\d)/g)!
    .slice(-2)
    .map(Number);
  expect(now).toBeLessThan(was);
  await isSaved(page);

  // A picture's palette is mixed from what is on the palette now, with what was learned.
  await page.goto(app.url);
  await dropPicture(page, 'ticket-hall.webp');
  await deskIsSet(page);
  await toStep(page, 'Mix');
  await expect(finding(page)).toContainText('within reach of six tubes');
  const recipes = page.getByRole('list', { name: 'Recipes' });
  await recipes
    .getByRole('button', { name: /Ultramarine/ })
    .first()
    .click();
  const recipe = page.getByTestId('recipe');
  await expect(recipe.getByRole('list', { name: 'Steps' })).toContainText('The body of the pile.');
  await expect(recipe).toContainText('Corrected by 1 of your mixtures');
  await expect(recipe.getByTestId('cautions')).toContainText('Oily rags');
  await recipe.getByRole('button', { name: 'Tried it' }).click();
  await page.getByRole('textbox', { name: /^Or type it/ }).fill('#6d7683');
  await page.getByRole('button', { name: 'Keep what came of it' }).click();
  await expect(recipe.getByRole('list', { name: 'Tried before' })).toContainText('Foretold within');
  await expect(recipe).toContainText('Corrected by 2 of your mixtures');

  // Without the blue no recipe has it.
  await page.getByText('Only with').click();
  await page.getByRole('checkbox', { name: 'Ultramarine' }).uncheck();
  await expect(finding(page)).toContainText('of five tubes');
  await expect(recipes.getByRole('button').getByText(/\d Ultramarine/)).toHaveCount(0);
});

test('the morning’s plan follows the canvas, is ticked and printed, and the tubes say what they buy', async ({
  page,
}) => {
  await openBench(page);
  await addEarths(page);
  await isSaved(page);
  await page.goto(app.url);
  await dropPicture(page, 'ticket-hall.webp');
  await deskIsSet(page);
  await toStep(page, 'Mix');
  await expect(finding(page)).toContainText('within reach');
  await toTab(page, 'the morning’s plan');
  await expect(finding(page)).toContainText(/^30 ml of paint from .* tubes/);
  await page.getByText('Canvas', { exact: true }).click();
  await page.getByLabel('Width, cm').fill('8 m');
  await expect(page.getByText('5 to 400')).toBeVisible();
  await page.getByLabel('Width, cm').fill('80');
  await expect(finding(page)).toContainText(/^60 ml/);
  await choose(page, 'How thick the paint lies', 'Painted thin');
  await expect(finding(page)).toContainText(/^30 ml/);
  const piles = page.getByRole('list', { name: 'Piles' }).getByRole('checkbox');
  await piles.first().check();
  await expect(piles.first()).toBeChecked();
  const [sheet] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save PDF' }).click(),
  ]);
  expect(sheet.suggestedFilename()).toMatch(/morning’s plan\.pdf$/);
  expect((await readFile(await sheet.path())).subarray(0, 5).toString()).toBe('%PDF-');
  await toTab(page, 'which tubes');
  await expect(finding(page)).toContainText(/tubes carry this palette: .*white/);
  await expect(page.getByTestId('lacking')).not.toBeEmpty();
  await reload(page);
  await deskIsSet(page);
  await expect(finding(page)).toContainText('carry this palette');
});

test('the shelf goes to a table and back, and what it was is a click away', async ({ page }) => {
  await openBench(page);
  await addEarths(page);
  await isSaved(page);
  await page.getByText('As a table').click();
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Export CSV' }).click(),
  ]);
  const table = (await readFile(await file.path())).toString();
  expect(table).toContain('Ultramarine blue,,,PB29,1,,on the palette,');
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
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(tubes(page)).toHaveCount(8);
});

test('a string is even in value, goes by way of a third, and is printed; greens are listed', async ({
  page,
}) => {
  await openBench(page);
  await page.getByRole('button', { name: 'Add the set A warm and a cool of each' }).click();
  await expect(tubes(page)).toHaveCount(8);
  await choose(page, 'Part of the bench', 'strings');
  await page.getByRole('combobox', { name: 'From' }).selectOption({ label: 'Ultramarine blue' });
  await page
    .getByRole('combobox', { name: 'To', exact: true })
    .selectOption({ label: 'Titanium white' });
  await expect(finding(page)).toHaveText(
    'Ultramarine blue to Titanium white, in 7 steps even in value.',
  );
  const steps = page.getByRole('list', { name: 'Steps of the string' }).getByRole('listitem');
  await expect(steps).toHaveCount(7);
  const values = (
    (await page.getByRole('img', { name: /^Ultramarine blue to/ }).getAttribute('aria-label')) ?? ''
  )
    .match(/\d+\.\d/g)!
    .map(Number);
  const each = (values[6] - values[0]) / 6;
  values
    .slice(1)
    .forEach((value, i) => expect(Math.abs(value - values[i] - each)).toBeLessThan(0.2));
  await page.getByRole('combobox', { name: 'By way of' }).selectOption({ label: 'Burnt sienna' });
  await setSlider(page, 'Steps', 2);
  await expect(steps).toHaveCount(9);
  await expect(steps.nth(4)).toContainText('Burnt sienna');
  const [sheet] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save the string as PDF' }).click(),
  ]);
  expect((await readFile(await sheet.path())).subarray(0, 5).toString()).toBe('%PDF-');
  await expect(page.getByRole('region', { name: 'Chart of greens' })).toContainText('garish');

  // One family: down it darkens, across it goes grey, and it is printed with the parts of each.
  await page
    .getByRole('combobox', { name: 'Family of' })
    .selectOption({ label: 'Ultramarine blue' });
  await page.getByRole('combobox', { name: 'Dulled by' }).selectOption({ label: 'Burnt sienna' });
  const chart = page.getByRole('region', { name: 'Ultramarine blue dulled by Burnt sienna' });
  const chroma = await chart
    .getByRole('row')
    .nth(3)
    .getByRole('img')
    .evaluateAll((cells) =>
      cells.map((cell) => Number(/chroma (\S+):/.exec(cell.ariaLabel ?? '')?.[1])),
    );
  expect(chroma).toHaveLength(6);
  expect(chroma).toEqual(chroma.toSorted((one, other) => other - one));
  expect(chroma[0]).toBeGreaterThan(3 * chroma[5]);
  const [family] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save the chart of value by intensity as PDF' }).click(),
  ]);
  expect((await readFile(await family.path())).subarray(0, 5).toString()).toBe('%PDF-');
});

test('a photographed card is read by its paper, put right by a touch, and the tube is fitted to it', async ({
  page,
}) => {
  await openBench(page);
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

test('every pigment that asks for care says so where it is mixed', async ({ page }) => {
  await openBench(page);
  await addEarths(page);
  for (const [pigment, words] of [
    ['PR108', 'Cadmium:'],
    ['PB28', 'Cobalt:'],
    ['PY150', 'Nickel:'],
    ['PG18', 'Chromium:'],
    ['PBr7-raw-umber', 'Manganese:'],
    ['PW1', 'Lead:'],
  ]) {
    await page.getByLabel('Pigment of the new tube').selectOption(pigment);
    await page.getByRole('button', { name: 'Add', exact: true }).click();
    await expect(page.getByTestId('cautions')).toContainText(words);
  }
  await tubeButton(page, /^Ultramarine/).click();
  await expect(page.getByTestId('cautions')).toHaveCount(0);
});

test('two windows on one shelf lose nothing of either', async ({ page, context }) => {
  const other = await context.newPage();
  await openBench(page);
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
  await other.getByText('was taken off the shelf').waitFor();
  await other.getByRole('button', { name: 'Undo' }).last().click();
  await expect(tubes(page)).toHaveCount(7);
});

test('what is done while the server is gone is saved when it is back', async ({ page }) => {
  await openBench(page);
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
