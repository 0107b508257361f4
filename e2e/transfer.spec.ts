import { readFile } from 'node:fs/promises';
import type { Page } from '@playwright/test';
import { appFor, expect, test } from './app';
import { drop, finding, libraryNames, openDrawers } from './page-actions';

const app = appFor('demo');

const names = libraryNames;
const toDrawers = (page: Page, query = '') => openDrawers(page, app.url, query);

test('files are looked over before they are brought in: columns told, broken ones refused, all kinds at once', async ({
  page,
}) => {
  await toDrawers(page);
  const before = await finding(page).innerText();
  await drop(
    page,
    'bad.gpl',
    Buffer.from('GIMP Palette\nName: x\n12 13 14 ink\n300 0 0 too red\n'),
  );
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByRole('alert')).toContainText('Line 4');
  await expect(dialog.getByRole('button', { name: 'Import no libraries' })).toBeDisabled();
  await drop(page, 'bad.json', Buffer.from('{"format": "bold-prism-library",\n "version": 1,\n'));
  await expect(dialog.getByRole('alert').last()).toContainText('Line 3');
  await drop(
    page,
    'tints.csv',
    Buffer.from('Nr;Ton;Bemerkung\n7;12 34 56;Schatten\n8;240 169 76;\n'),
  );
  await expect(dialog.getByRole('combobox', { name: 'Column 2, Ton' })).toHaveValue('colour');
  await dialog.getByRole('combobox', { name: 'Column 1, Nr' }).selectOption('name');
  await dialog.getByRole('combobox', { name: 'Column 3, Bemerkung' }).selectOption('note');
  await expect(dialog.getByText('Two swatches: 7, 8.')).toBeVisible();
  await drop(
    page,
    'terrace.svg',
    Buffer.from(
      '<svg onload="alert(1)"><rect id="wall" fill="#e8d9c2"/><script>alert(2)</script></svg>',
    ),
    'image/svg+xml',
  );
  await expect(dialog.getByText('One swatch: wall.')).toBeVisible();
  await dialog.getByRole('textbox', { name: 'Name' }).last().fill('Terrace walls');
  await dialog.getByRole('button', { name: 'Import two libraries' }).click();
  await expect(dialog).toHaveCount(0);
  await expect(names(page).first()).toHaveText('Terrace walls');
  await expect(names(page).nth(1)).toHaveText('tints');
  await expect(finding(page)).not.toHaveText(before);

  await page.getByRole('button', { name: /^Import/ }).click();
  await dialog
    .getByRole('textbox', { name: 'Or paste any text that has colours in it' })
    .fill('for the wall #e8d9c2\nlamp = rgb(240 169 76)');
  await dialog.getByRole('button', { name: 'Read the text' }).click();
  await expect(dialog.getByText('Two swatches: lamp, for the wall.')).toBeVisible();
  await dialog.getByRole('button', { name: 'Leave them' }).click();
  await page.keyboard.press('Escape');
  await expect(names(page).first()).toHaveText('Terrace walls');

  const paste = (text: string) =>
    page.evaluate((pasted) => {
      const data = new DataTransfer();
      data.setData('text/plain', pasted);
      document.body.dispatchEvent(
        new ClipboardEvent('paste', { clipboardData: data, bubbles: true }),
      );
    }, text);
  await paste('no colour in this');
  await expect(dialog).toHaveCount(0);
  await paste('sail #c9b38a');
  await expect(dialog.getByText('One swatch: sail.')).toBeVisible();
});

test('when the server fails halfway, what was stored is stored once, and the rest waits', async ({
  page,
}) => {
  await toDrawers(page);
  await drop(page, 'one.txt', Buffer.from('#102030 first ink'));
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByText('One swatch: first ink.')).toBeVisible();
  await drop(page, 'two.txt', Buffer.from('#302010 second ink'));
  await expect(dialog.getByText('One swatch: second ink.')).toBeVisible();
  let sent = 0;
  await page.route('**/api/libraries', (route) =>
    ++sent === 2 ? route.abort() : route.continue(),
  );
  await dialog.getByRole('button', { name: 'Import two libraries' }).click();
  await expect(page.getByText('Bold Prism does not answer.')).toBeVisible();
  await expect(dialog.getByText('One swatch: first ink.')).toHaveCount(0);
  await dialog.getByRole('button', { name: 'Import one library' }).click();
  await expect(dialog).toHaveCount(0);
  await expect(names(page).first()).toHaveText('two');
  const all = (await (await page.request.get(`${app.url}/api/libraries`)).json()) as {
    name: string;
  }[];
  expect(all.filter(({ name }) => name === 'one' || name === 'two')).toHaveLength(2);
});

test('a library goes out in every format and comes back; several go out as a zip', async ({
  page,
}) => {
  await toDrawers(page);
  await page.getByRole('button', { name: 'More for Wet dusk, lamps lit' }).click();
  await page.getByRole('menuitem', { name: 'Export …' }).click();
  const dialog = page.getByRole('dialog');
  const kept = async (button: RegExp | string) => {
    const [file] = await Promise.all([
      page.waitForEvent('download'),
      dialog.getByRole('button', { name: button, exact: typeof button === 'string' }).click(),
    ]);
    return { name: file.suggestedFilename(), bytes: await readFile(await file.path()) };
  };
  const png = await kept('PNG chart');
  expect(png.name).toBe('Wet dusk, lamps lit.png');
  for (const title of [
    'Bold Prism library',
    'SVG chart',
    'Design tokens',
    'CSV table',
    'CSS properties',
    'GPL palette',
    'Office colour table',
    'Hex list',
  ])
    expect((await kept(title)).bytes.length).toBeGreaterThan(100);
  await dialog.getByLabel('Paper').selectOption('6x4');
  const card = await kept('Print card');
  expect(card.name).toBe('Wet dusk, lamps lit, card.pdf');
  expect(card.bytes.subarray(0, 5).toString()).toBe('%PDF-');
  const dragged = await dialog.getByRole('button', { name: 'GPL palette' }).evaluate((button) => {
    const data = new DataTransfer();
    button.dispatchEvent(new DragEvent('dragstart', { dataTransfer: data, bubbles: true }));
    return data.getData('DownloadURL');
  });
  expect(dragged).toMatch(/^text\/plain:Wet dusk, lamps lit\.gpl:http.*format=gpl$/);
  await page.keyboard.press('Escape');

  await drop(page, png.name, png.bytes, 'image/png');
  await expect(dialog.getByText(/^Ten swatches:/)).toBeVisible();
  await dialog.getByRole('button', { name: 'Leave them' }).click();
  await page.keyboard.press('Escape');

  await page.getByLabel('Choose Wet dusk, lamps lit').check();
  await page.getByLabel('Choose Dusk blues').check();
  await page
    .getByRole('region', { name: 'Chosen libraries' })
    .getByRole('button', { name: 'Export' })
    .click();
  const zip = await kept('CSV table');
  await page.keyboard.press('Escape');
  await drop(page, zip.name, zip.bytes, 'application/zip');
  await expect(dialog.getByRole('button', { name: 'Import two libraries' })).toBeEnabled();
});

test('the page to give opens with the network off, and its greys can be seen alone', async ({
  page,
  browser,
}) => {
  await toDrawers(page);
  await page.getByRole('link', { name: /^Wet dusk, lamps lit/ }).click();
  await page.getByRole('button', { name: 'Export, print or share' }).click();
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Keep the page' }).click(),
  ]);
  const kept = test.info().outputPath('page.html');
  await file.saveAs(kept);
  const alone = await browser.newContext({ offline: true, viewport: { width: 390, height: 844 } });
  const given = await alone.newPage();
  const wrong: string[] = [];
  given.on(
    'request',
    (request) => !/^(file|data):/.test(request.url()) && wrong.push(request.url()),
  );
  given.on('console', (said) => said.type() === 'error' && wrong.push(said.text()));
  await given.goto(`file://${kept}`);
  await expect(given.getByRole('heading', { level: 1 })).toHaveText('Wet dusk, lamps lit');
  await expect(given.getByRole('listitem')).toHaveCount(10);
  expect(await given.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  expect(await given.evaluate(() => document.fonts.check('500 20px "Page Serif"'))).toBe(true);
  const chip = given
    .getByRole('img', { name: /and its grey/ })
    .first()
    .locator('i');
  await expect(chip.first()).toBeVisible();
  await given.getByLabel('by value alone').check();
  await expect(chip.first()).toBeHidden();
  const grey = await chip.last().evaluate((block) => getComputedStyle(block).backgroundColor);
  const [r, g, b] = grey.match(/\d+/g) ?? [];
  expect([r, r]).toEqual([g, b]);
  expect(wrong).toEqual([]);
  await alone.close();
});

test('the Wall prints a sheet of a study', async ({ page }) => {
  await page.goto(app.url);
  await page.getByRole('button', { name: 'More for Ticket hall at noon' }).click();
  await page.getByRole('menuitem', { name: 'Print a sheet …' }).click();
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Print sheet' }).click(),
  ]);
  expect(file.suggestedFilename()).toBe('Ticket hall at noon, sheet.pdf');
  expect((await readFile(await file.path())).subarray(0, 5).toString()).toBe('%PDF-');
});
