import type { Page } from '@playwright/test';
import { readFile } from 'node:fs/promises';
import { appFor, expect, test } from './app';
import {
  choose,
  deskIsSet,
  finding,
  hexes,
  isSaved,
  labels,
  openDrawers,
  reload,
  setSlider,
  toTab,
  tray,
} from './page-actions';
import { violationsOf } from './violations';

const app = appFor('demo');
const tools = (page: Page) => page.getByRole('complementary', { name: 'Tools' });
const names = (page: Page) => page.getByLabel('Name of the swatch');

async function openLibrary(page: Page, name: RegExp): Promise<void> {
  await openDrawers(page, app.url);
  await page.getByRole('link', { name }).click();
  await expect(tray(page).first()).toBeVisible();
}

test('a palette is built from nothing to a file and a print', async ({ page }) => {
  await openDrawers(page, app.url);
  await page.getByRole('button', { name: 'New palette' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('New palette');
  await expect(tray(page)).toHaveCount(0);

  // Typed: what is no colour says so, several come at once, each at its place by value.
  const field = page.getByLabel('Colours, one or many');
  await field.fill('rust');
  await expect(tools(page).getByText(/^Not a colour yet/)).toBeVisible();
  await field.fill('#d9c9a3, lab(30% 35 30)\noklch(0.42 0.06 135) and 2.5');
  await tools(page).getByRole('button', { name: 'Add three colours' }).click();
  await expect(tray(page)).toHaveCount(3);
  const values = (await labels(page)).map((label) => Number(/value (\d+\.\d)/.exec(label)?.[1]));
  expect(values).toEqual([...values].sort((one, other) => one - other));

  // Taken from another library, and made from a grey.
  await tools(page).getByLabel('Find a library by words').fill('Pellwin');
  const take = tools(page).getByRole('button', { name: /^Take .* of Three inks and the paper$/ });
  await expect(take.first()).toBeVisible();
  await take.first().click();
  await expect(tray(page)).toHaveCount(4);
  await tools(page).getByRole('button', { name: 'Begin from a grey' }).click();
  await expect(tray(page)).toHaveCount(5);

  // Built on: the ladder's colour is one of its tones, and they rotate together.
  await tray(page).first().click();
  await choose(page, 'What is done', 'build');
  await tools(page).getByRole('button', { name: 'Build the ladder' }).click();
  await expect(tray(page)).toHaveCount(9);
  const before = await hexes(page);
  await setSlider(page, 'Rotate hue', 30);
  await expect
    .poll(async () => (await hexes(page)).filter((hex) => !before.includes(hex)).length)
    .toBe(5);
  await page.getByRole('button', { name: 'Undo', exact: true }).first().click();
  await expect.poll(() => hexes(page)).toEqual(before);

  // Changed by hand, the colour takes its ladder along.
  await choose(page, 'What is done', 'swatch');
  await setSlider(page, 'Toward the next family', 10);
  await expect
    .poll(async () => (await hexes(page)).filter((hex) => !before.includes(hex)).length)
    .toBe(5);
  expect(
    (await labels(page)).filter((label) => /, linked(, with its recipe)?$/.test(label)),
  ).toHaveLength(5);
  await tools(page).getByRole('button', { name: 'Back to it' }).click();
  await expect.poll(() => hexes(page)).toEqual(before);

  await choose(page, 'What is done', 'about');
  await tools(page).getByRole('textbox', { name: 'Name' }).fill('Quay in October');
  await isSaved(page);
  await page.reload();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Quay in October');
  await expect.poll(() => hexes(page)).toEqual(before);
  expect(
    (await labels(page)).filter((label) => /, linked(, with its recipe)?$/.test(label)),
  ).toHaveLength(5);

  await page.getByRole('button', { name: 'Export, print or share' }).click();
  const dialog = page.getByRole('dialog');
  const download = async (name: string) => {
    const [file] = await Promise.all([
      page.waitForEvent('download'),
      dialog.getByRole('button', { name, exact: true }).click(),
    ]);
    return { name: file.suggestedFilename(), bytes: await readFile(await file.path()) };
  };
  const card = await download('Print card');
  expect(card.name).toBe('Quay in October, card.pdf');
  expect(card.bytes.subarray(0, 5).toString()).toBe('%PDF-');
  const file = await download('Bold Prism library');
  const { library } = JSON.parse(file.bytes.toString()) as {
    library: { name: string; swatches: unknown[] };
  };
  expect(library.name).toBe('Quay in October');
  expect(library.swatches).toHaveLength(9);
});

test('in a library a colour is changed by slider, keys and field; name, stave and followers move, and undo takes it back', async ({
  page,
}) => {
  await openLibrary(page, /^Slate and evening/);
  await tray(page).nth(1).click();
  await expect(page).toHaveURL(/swatch=/);
  await choose(page, 'What is done', 'build');
  await choose(page, 'What is built', 'derived');
  const count = await tray(page).count();
  await tools(page).getByRole('button', { name: 'Add complement on the wheel' }).click();
  await expect(tray(page)).toHaveCount(count + 1);
  const before = await labels(page);
  const colours = await hexes(page);
  const own = before.findIndex((label) => label.includes(': complement on the wheel'));
  const parent = await page
    .locator('[data-testid=tray] [aria-pressed=true]')
    .getAttribute('aria-label');
  const at = before.indexOf(parent ?? '');

  await choose(page, 'What is done', 'swatch');
  await setSlider(page, 'Toward the next family', 12);
  await expect(tools(page).getByTestId('change')).toContainText(/1\.2 of a family onward/);
  await expect.poll(async () => (await hexes(page))[at]).not.toBe(colours[at]);
  await expect.poll(async () => (await hexes(page))[own]).not.toBe(colours[own]);
  await expect.poll(async () => (await labels(page))[at]).not.toBe(before[at]);
  await expect(names(page).nth(at)).not.toHaveValue(before[at].split(', ')[1]);

  // By hand on the slider's track.
  const slider = page.getByRole('slider', { name: 'Lighter or darker' });
  const track = await slider.locator('xpath=..').boundingBox();
  if (!track) throw new Error('no track');
  await page.mouse.click(track.x + 40, track.y);
  await expect(tools(page).getByTestId('change')).toContainText(/steps (lighter|darker)/);
  await tools(page).getByRole('button', { name: 'Back to it' }).click();
  await expect.poll(() => hexes(page)).toEqual(colours);
  await expect.poll(() => labels(page)).toEqual(before);

  await tools(page)
    .getByLabel(/^Or type it/)
    .fill('#a05030');
  await expect.poll(async () => (await hexes(page))[at]).toBe('rgb(160, 80, 48)');
  await isSaved(page);
  await reload(page);
  await expect(tools(page).getByTestId('change')).toContainText('then typed');
  await page.getByRole('button', { name: 'Back to it' }).click();
  await expect.poll(() => hexes(page)).toEqual(colours);

  // Toward another by a share of the way, and neighbours beneath it.
  await tools(page).getByLabel('Toward another swatch').selectOption({ index: 3 });
  const way = page.getByRole('slider', { name: /^Share of the way/ });
  await way.focus();
  for (let i = 0; i < 10; i++) await way.press('ArrowRight');
  await expect.poll(async () => (await hexes(page))[at]).not.toBe(colours[at]);
  await page.getByRole('button', { name: 'Back to it' }).click();
  await expect.poll(() => hexes(page)).toEqual(colours);
  await tools(page).getByText('Variations', { exact: true }).click();
  await tools(page).getByRole('button', { name: 'Keep these under it' }).click();
  expect(await hexes(page)).toEqual(colours);
  await tools(page).getByRole('button', { name: 'Take apart' }).click();
  await expect(tray(page)).toHaveCount(count + 1 + 4);
});

test('several are moved together, held side by side, merged and taken back', async ({ page }) => {
  await openLibrary(page, /^Wet dusk, lamps lit/);
  const before = await hexes(page);
  await page.getByRole('button', { name: 'Several' }).click();
  await page.getByRole('button', { name: 'All of them' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'Ten chosen' })).toBeVisible();
  const move = tools(page).getByRole('group', { name: 'Move them all' });
  await move.getByRole('button', { name: 'Lighter' }).click();
  await expect
    .poll(async () => (await hexes(page)).filter((hex, i) => hex !== before[i]).length)
    .toBe(10);
  await page.getByRole('button', { name: 'Undo', exact: true }).first().click();
  await expect.poll(() => hexes(page)).toEqual(before);
  await page.getByRole('button', { name: 'Choose none' }).click();

  for (const n of [4, 6, 7]) await tray(page).nth(n).click();
  await expect(tools(page).getByTestId('parting')).toHaveText(
    /^“.+” stands [\d.]+ steps above “greyed dark red” and “.+” stands .+ above it: “.+” parts best\.$/,
  );
  await expect(tools(page).getByRole('img', { name: 'Side by side in grey' })).toBeVisible();
  await tools(page).getByRole('button', { name: 'Merge' }).click();
  await expect(tray(page)).toHaveCount(8);
  await page.getByRole('button', { name: 'Undo', exact: true }).first().click();
  await expect(tray(page)).toHaveCount(10);
});

test('a library is tried on the picture of the study that it was made in', async ({ page }) => {
  await openLibrary(page, /^Wet dusk, lamps lit/);
  await tray(page).first().click();
  await tools(page)
    .getByLabel(/^Or type it/)
    .fill('#7a3b5a');
  await choose(page, 'What is done', 'about');
  await expect(page.getByTestId('since-study')).toContainText(
    /Another colour than in the study: “/,
  );
  await isSaved(page);
  await page.getByRole('link', { name: 'Try it on its picture' }).click();
  await deskIsSet(page);
  await expect(page.getByText(/“Wet dusk, lamps lit” of the Drawers, not the tray/)).toBeVisible();
  const tried = await finding(page).first().innerText();
  await reload(page);
  await expect(page.getByText(/“Wet dusk, lamps lit” of the Drawers/)).toBeVisible();
  await page.getByRole('button', { name: 'The tray' }).click();
  await expect(page.getByText(/of the Drawers, not the tray/)).toHaveCount(0);
  await expect(finding(page).first()).not.toHaveText(tried);
  await toTab(page, 'pick');
});

test('a library whose study is gone says so, without an alarm', async ({ page }) => {
  await page.goto(app.url);
  await page.getByRole('button', { name: 'More for Slate terrace, evening' }).click();
  await page.getByRole('menuitem', { name: 'Delete' }).click();
  await expect(page.getByRole('link', { name: 'Open Slate terrace, evening' })).toHaveCount(0);
  await openLibrary(page, /^Slate and evening/);
  await expect(page.getByTestId('since-study')).toHaveText(
    'The study it was made in is not on the Wall.',
  );
  await expect(page.getByRole('link', { name: 'Try it on its picture' })).toHaveCount(0);
  await expect(page.locator('[data-sonner-toast]')).toHaveCount(0);
});

test('two windows on one library’s tray lose nothing of either', async ({ page, context }) => {
  const other = await context.newPage();
  for (const one of [page, other]) await openLibrary(one, /^Warm blacks/);
  const before = await hexes(page);
  await tray(page).first().click();
  await tray(other).nth(1).click();
  await Promise.all([
    page.getByLabel(/^Or type it/).fill('#402018'),
    other.getByLabel(/^Or type it/).fill('#182040'),
  ]);
  const wanted = ['rgb(64, 32, 24)', 'rgb(24, 32, 64)', ...before.slice(2)];
  for (const one of [page, other]) {
    await isSaved(one);
    await expect.poll(() => hexes(one)).toEqual(wanted);
  }
  // Each undoes its own.
  await page.getByRole('button', { name: 'Undo', exact: true }).first().click();
  await expect.poll(() => hexes(page)).toEqual([before[0], wanted[1], ...before.slice(2)]);
  await expect.poll(() => hexes(other)).toEqual([before[0], wanted[1], ...before.slice(2)]);
});

test('by finger on a phone: a swatch is taken up on the stave and changed, in every surround', async ({
  browser,
}) => {
  const context = await browser.newContext({
    hasTouch: true,
    viewport: { width: 390, height: 844 },
  });
  const page = await context.newPage();
  await openDrawers(page, app.url);
  await page.getByRole('link', { name: /^Warm blacks/ }).tap();
  await tray(page).nth(1).tap();
  const before = await hexes(page);
  const slider = page.getByRole('slider', { name: 'Stronger or duller' });
  await slider.scrollIntoViewIfNeeded();
  const box = await slider.locator('xpath=../..').boundingBox();
  if (!box) throw new Error('no slider');
  await page.touchscreen.tap(box.x + box.width * 0.9, box.y + box.height / 2);
  await expect.poll(async () => (await hexes(page))[1]).not.toBe(before[1]);
  await page.getByRole('button', { name: 'Undo', exact: true }).first().tap();
  await expect.poll(() => hexes(page)).toEqual(before);
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  for (const surround of ['paper', 'night', 'studio grey']) {
    await page.getByRole('radio', { name: surround }).tap();
    expect(await violationsOf(page)).toEqual([]);
  }
  await context.close();
});
