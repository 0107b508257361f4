import { readFile } from 'node:fs/promises';
import sharp from 'sharp';
import { appFor, expect, test } from './app';
import { addEarths, openBench, tubeButton, tubes } from './bench-actions';
import {
  choose,
  deskIsSet,
  dropPicture,
  finding,
  isSaved,
  reload,
  setSlider,
  toStep,
  toTab,
} from './page-actions';

const app = appFor('empty');

test('a shelf from nothing to a recipe, a tried mixture and a corrected recipe', async ({
  page,
}) => {
  test.setTimeout(180_000);
  await openBench(page, app.url);
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
  await openBench(page, app.url);
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
  await expect(page.getByRole('list', { name: 'Inner set' })).toContainText(/ · /);
  await reload(page);
  await deskIsSet(page);
  await expect(finding(page)).toContainText('carry this palette');
});

test('a string is even in value, goes by way of a third, and is printed; greens are listed', async ({
  page,
}) => {
  await openBench(page, app.url);
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

test('every pigment that asks for care says so where it is mixed', async ({ page }) => {
  await openBench(page, app.url);
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
