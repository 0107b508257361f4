import { readFile } from 'node:fs/promises';
import type { Page } from '@playwright/test';
import { appFor, expect, test } from './app';
import {
  choose,
  deskIsSet,
  finding,
  isSaved,
  onStage,
  openStudy,
  pixelAt,
  reload,
  setSlider,
  toStep,
  tray,
} from './page-actions';

const app = appFor('demo');
const OVER = 'What of the plates lies over the picture';
const details = (page: Page) => page.getByTestId('layers');
const layers = (page: Page) =>
  details(page).getByRole('list', { name: 'Layers' }).getByRole('listitem');

test('pencils: from a swatch to its layers, a patch that is tried, and what it teaches', async ({
  page,
}) => {
  await openStudy(page, app.url, 'Slate terrace, evening');
  await toStep(page, 'Mix');
  await expect(finding(page)).toContainText('pencils can lay');
  await tray(page).nth(2).click();
  await expect(layers(page).first()).toContainText(/lightly|at middle pressure|firmly/);
  await expect(details(page).getByRole('img', { name: /^The tooth of the paper, / })).toBeVisible();
  await expect(details(page).getByTestId('kept-recipe')).toContainText('(pencils of Tam Ellorby)');

  // It came out darker: that is kept with the swatch, and what is foretold follows.
  await details(page).getByRole('button', { name: 'Tried it' }).click();
  await setSlider(page, 'Lighter or darker', -12);
  await details(page).getByLabel('In words').fill('a heavy hand');
  await details(page).getByRole('button', { name: 'Keep what came of it' }).click();
  const outcome = details(page).getByTestId('outcome');
  await expect(outcome).toContainText(/It came .* too dark/);
  await expect(outcome).toContainText(/Foretold within ΔE .*; .* before your patches/);
  await expect(outcome).toContainText('a heavy hand');
  await expect(details(page).getByTestId('kept-recipe')).toContainText('tried');
  await isSaved(page);

  // Another medium leaves it where it is.
  await choose(page, 'Medium', 'paint');
  await expect(page.getByTestId('recipe')).toBeVisible();
  await page.getByTestId('recipe').getByRole('button', { name: 'Keep with the swatch' }).click();
  await choose(page, 'Medium', 'screen');
  await expect(layers(page)).toHaveCount(6);
  await expect(layers(page).nth(1)).toContainText(/^shadow #[0-9a-f]{6} multiply/);
  await details(page).getByRole('button', { name: 'Keep with the swatch' }).click();
  await isSaved(page);
  await reload(page);
  await deskIsSet(page);
  await toStep(page, 'Palette');
  await tray(page).nth(2).click();
  const kept = page.getByRole('region', { name: 'Its recipe' });
  await expect(kept).toContainText('(tubes of Orla Venn-Tarrick)');
  await expect(kept).toContainText('tried');
  await expect(kept).toContainText('shadow #');
  await kept.getByRole('button', { name: /^Forget the screen of/ }).click();
  await expect(kept).not.toContainText('shadow #');
  await page.keyboard.press('Control+z');
  await expect(kept).toContainText('shadow #');
});

test('inks: overprints, the proof over the picture, what is lost, and plates as files', async ({
  page,
}) => {
  await openStudy(page, app.url, 'Talloch, the last season');
  await toStep(page, 'Mix');
  await expect(finding(page)).toContainText('Three inks make seven colours and the paper');
  const [x, y] = await onStage(page, 0.5, 0.55);
  const plain = await pixelAt(page, x, y);
  await choose(page, OVER, 'plate 2');
  await expect
    .poll(async () => {
      const [r, g, b] = await pixelAt(page, x, y);
      return r === g && g === b;
    })
    .toBe(true);
  await choose(page, OVER, 'proof');
  await expect
    .poll(async () => {
      const [r, g, b] = await pixelAt(page, x, y);
      return r === g && g === b;
    })
    .toBe(false);
  await choose(page, OVER, 'nothing');
  await expect.poll(() => pixelAt(page, x, y)).toEqual(plain);

  // Fewer inks lose more; one alone is none.
  await page.getByText('Inks and paper').click();
  await page.getByRole('checkbox', { name: 'cabin red' }).uncheck();
  await expect(finding(page)).toContainText('Two inks make three colours');
  await expect(finding(page)).toContainText('lost');
  await page.getByRole('checkbox', { name: 'rose' }).check();
  await expect(finding(page)).toContainText('Three inks');
  await page.getByLabel('Paper, as hex').fill('no paper');
  await expect(page.getByText('Not a colour yet: try #f4efe3.')).toBeVisible();
  await page.getByLabel('Paper, as hex').fill('#ffffff');

  await page.getByText('Plates as files').click();
  await expect(page.getByText(/^Chemicals of screen printing/)).toBeVisible();
  await choose(page, 'How they are made', 'screened');
  await setSlider(page, 'Width of the print', -10);
  const [zip] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save the plates' }).click(),
  ]);
  expect(zip.suggestedFilename()).toBe('Talloch, the last season, plates.zip');
  const bytes = await readFile(await zip.path());
  expect(bytes.subarray(0, 2).toString()).toBe('PK');
  for (const name of ['1 litho ochre.png', '3 rose.png', 'plates.pdf', 'proof.png'])
    expect(bytes.includes(name)).toBe(true);
});

test('washes are of the palette’s tubes, and an underpainting comes of what hides', async ({
  page,
}) => {
  await openStudy(page, app.url, 'Summit in snow glare');
  await toStep(page, 'Mix');
  await expect(finding(page)).toContainText('sticks can lay');
  await page.getByText('Underpainting', { exact: true }).click();
  const first = page.getByRole('list', { name: 'First colours' }).getByRole('listitem');
  await expect(first.first()).toContainText(/(warm|cool), under \d+\s%/);
  await expect(page.getByText(/^Alcohol wash: /)).toBeVisible();
  const before = await tray(page).count();
  const added = await first.count();
  await page.getByRole('button', { name: 'Add them to the palette' }).click();
  await expect(tray(page)).toHaveCount(before + added);
  await page.keyboard.press('Control+z');
  await expect(tray(page)).toHaveCount(before);

  await choose(page, 'Medium', 'washes');
  await expect(finding(page)).toContainText('washes of');
  await tray(page).first().click();
  await expect(layers(page).first()).toContainText(/ at (½|¼|1⁄8|1⁄16)|undiluted/);
  const [pdf] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Matching sheet as PDF' }).click(),
  ]);
  expect((await readFile(await pdf.path())).subarray(0, 4).toString()).toBe('%PDF');
});
