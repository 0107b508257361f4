import { readFile } from 'node:fs/promises';
import { appFor, expect, test } from './app';
import {
  choose,
  deskIsSet,
  dropPicture,
  finding,
  isReady,
  isSaved,
  reload,
  toStep,
} from './page-actions';

const app = appFor('empty');

const TABLE = [
  'name,set,number,colour,where',
  'night slate,Halves,01,#2b3340,',
  'deep brown,Halves,02,#3d2b22,',
  'slate,Halves,03,#5c6b80,',
  'moss,Halves,04,#5f6b45,',
  'brick,Halves,05,#a4553f,',
  'ochre,Halves,06,#c79a55,',
  'warm grey,Halves,07,#9a938a,',
  'sky,Halves,08,#b8c8d8,not here today',
  'cream,Halves,09,#efe3c4,',
  'odd,Halves,10,red,',
].join('\n');

test('a set of sticks is brought in, held against a palette and laid out', async ({ page }) => {
  await page.goto(`${app.url}/bench?tab=sticks`);
  await isReady(page);
  await expect(finding(page)).toContainText('No sticks yet');

  // By hand, then as a table with a line that is none.
  const form = page.getByRole('form', { name: 'Add a stick' });
  await form.getByLabel('Name').fill('rose');
  await form.getByLabel(/^Colour of a full stroke/).fill('pink');
  await expect(form.getByText('Not a colour yet')).toBeVisible();
  await expect(form.getByRole('button', { name: 'Add it' })).toBeDisabled();
  await form.getByLabel(/^Colour of a full stroke/).fill('#c88a90');
  await form.getByRole('button', { name: 'Add it' }).click();
  const sticks = page.getByRole('list', { name: 'Sticks' }).getByRole('listitem');
  await expect(sticks).toHaveCount(1);
  await page.getByText('As a table').click();
  await page
    .getByLabel('Import CSV')
    .setInputFiles({ name: 'sticks.csv', mimeType: 'text/csv', buffer: Buffer.from(TABLE) });
  await expect(sticks).toHaveCount(10);
  await expect(page.getByText(/Line 11 was left out: “red” is no colour/)).toBeVisible();
  await expect(finding(page)).toHaveText('Nine sticks to hand and one not here today.');
  await expect(page.getByTestId('gaps')).toContainText('no cool light over value 8.5');
  await page.getByLabel('Find sticks').fill('halves');
  await expect(sticks).toHaveCount(9);
  await page.getByLabel('Where 05 brick is').selectOption('worn down or lost');
  await expect(finding(page)).toContainText('one worn down or lost');
  await page.getByRole('button', { name: 'Take 09 cream off the shelf' }).click();
  await expect(sticks).toHaveCount(8);
  await page.getByRole('button', { name: 'Undo', exact: true }).first().click();
  await expect(sticks).toHaveCount(9);
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Export CSV' }).click(),
  ]);
  expect((await readFile(await file.path())).toString()).toContain(
    'brick,Halves,05,#a4553f,worn down or lost',
  );
  await isSaved(page);

  await page.goto(app.url);
  await dropPicture(page, 'ticket-hall.webp');
  await deskIsSet(page);
  await toStep(page, 'Mix');
  await choose(page, 'Medium', 'sticks');
  await expect(finding(page)).toContainText('near what eight sticks can lay');
  const rows = page.getByRole('list', { name: 'Sticks for each colour' });
  await expect(rows.getByRole('listitem')).toHaveCount(8);
  await expect(rows).not.toContainText('brick');
  await expect(rows).not.toContainText('sky');
  const first = rows.getByRole('button').first();
  const before = await first.innerText();
  await first.click();
  await rows
    .getByRole('list', { name: /^What else comes near/ })
    .getByRole('button')
    .first()
    .click();
  await expect(first).not.toHaveText(before);
  const stages = page.getByRole('region', { name: /^(underpainting|body|lights|neutrals)$/ });
  await expect(stages.first()).toBeVisible();
  await stages.first().getByRole('checkbox').first().check();
  await expect(stages.first().getByRole('checkbox').first()).toBeChecked();

  // The study keeps its medium, and going back is one step.
  await isSaved(page);
  await reload(page);
  await deskIsSet(page);
  await expect(finding(page)).toContainText('sticks can lay');
  await choose(page, 'Medium', 'paint');
  await expect(finding(page)).toContainText('No tube lies on your palette yet.');
  await page.keyboard.press('Control+z');
  await expect(finding(page)).toContainText('sticks can lay');
});
