import type { Locator, Page } from '@playwright/test';
import { appFor, expect, test } from './app';
import {
  choose,
  deskIsSet,
  finding,
  hexes,
  isSaved,
  labels,
  onStage,
  openStudy,
  pixelAt,
  reload,
  setSlider,
  toStep,
  toTab,
  tray,
} from './page-actions';
import { violationsOf } from './violations';

const app = appFor('demo');
const panel = (page: Page): Locator => page.getByRole('complementary', { name: 'Findings' });

test('weight against a target, and how the palette holds the picture', async ({ page }) => {
  await openStudy(page, app.url, 'Lower station, rain at dusk');
  await toStep(page, 'Palette');
  await toTab(page, 'proportions');
  await page.getByRole('button', { name: /^Give .*roles/ }).click();
  expect((await labels(page)).filter((label) => label.includes(', main'))).toHaveLength(1);
  await setSlider(page, 'Target of accent', 20);
  await expect(finding(page)).toContainText(/the accent has less/);

  await toTab(page, 'test on the picture');
  await expect(finding(page)).toContainText(/On average the picture is \d\.\d from these/);
  const colours = new Set(await hexes(page));
  const seen = async () =>
    `rgb(${(await pixelAt(page, ...(await onStage(page, 0.3, 0.62)))).join(', ')})`;
  await expect.poll(async () => colours.has(await seen())).toBe(true);
  const text = await finding(page).innerText();
  const failed = Number(/they fail (\d+)/.exec(text)?.[1] ?? 0);
  expect(failed).toBeGreaterThan(0);
  const count = await tray(page).count();
  await page.getByRole('button', { name: /^Add / }).first().click();
  await expect(tray(page)).toHaveCount(count + 1);
  await expect
    .poll(async () => Number(/they fail (\d+)/.exec(await finding(page).innerText())?.[1] ?? 0))
    .toBeLessThan(failed);
  await choose(page, 'What is shown', 'where it fails');
  await expect(page).toHaveURL(/fit=failing/);
  expect(await violationsOf(page)).toEqual([]);
});

test('building: a ladder that swings as one, a harmony, what follows, what a few can make', async ({
  page,
}) => {
  await openStudy(page, app.url, 'Conductor by the window');
  await toStep(page, 'Palette');
  await toTab(page, 'build');
  const before = await tray(page).count();
  await page.getByRole('button', { name: 'Build the ladder' }).click();
  // The colour that it is built from is one of its five tones.
  await expect(tray(page)).toHaveCount(before + 4);
  const linked = async () => (await labels(page)).filter((label) => label.endsWith(', linked'));
  expect(await linked()).toHaveLength(5);
  const were = await hexes(page);
  await setSlider(page, 'Rotate hue', 40);
  await expect
    .poll(async () => (await hexes(page)).filter((hex) => !were.includes(hex)).length)
    .toBe(5);
  await setSlider(page, 'Tones', 2);
  await expect(tray(page)).toHaveCount(before + 6);
  await page.getByRole('button', { name: 'Unlink', exact: true }).click();
  expect(await linked()).toHaveLength(0);

  await choose(page, 'What is built', 'harmony');
  await page.getByLabel('Scheme').selectOption('complement');
  await page.getByRole('button', { name: 'Build it' }).click();
  await expect(tray(page)).toHaveCount(before + 7);
  await expect(finding(page)).toContainText(/^Complement about /);
  await choose(page, 'What is built', 'derived');
  await page.getByRole('button', { name: 'Add shadow' }).click();
  await expect(tray(page)).toHaveCount(before + 8);
  expect((await labels(page)).some((label) => label.includes(': shadow'))).toBe(true);

  await choose(page, 'What is built', 'limited palette');
  await expect(finding(page)).toContainText('Choose 3 colours or more');
  for (const n of [1, 3, 5])
    await panel(page)
      .getByRole('button', { name: new RegExp(`^${n}, `) })
      .click();
  await expect(finding(page)).toContainText(/mixes of two and three reach \d+.% of the picture/);
  expect(await violationsOf(page)).toEqual([]);
});

test('a colour is changed by keys and field, keeps what it was, and one click goes back', async ({
  page,
}) => {
  await openStudy(page, app.url, 'Slate terrace, evening');
  await toStep(page, 'Palette');
  const block = tray(page).first();
  await block.click();
  const before = await labels(page);
  const colours = await hexes(page);
  const back = panel(page).getByRole('button', { name: 'Back to it' });
  await expect(back).toHaveCount(0);

  // Six nudges of half a step: the block rises in the stave, and a name that the program gave goes along.
  await setSlider(page, 'Lighter or darker', 6);
  await expect(panel(page).getByTestId('change')).toContainText(/^Was .*; then 3.0 steps lighter$/);
  await expect.poll(async () => (await hexes(page))[0]).not.toBe(colours[0]);
  await expect.poll(async () => (await labels(page))[0]).not.toBe(before[0]);
  // The others are called what they were; their shares of the picture are read anew.
  const names = (all: readonly string[]) =>
    all.slice(1).map((label) => label.split(', ').slice(0, 3));
  expect(names(await labels(page))).toEqual(names(before));
  await isSaved(page);
  await reload(page);
  await deskIsSet(page);
  await tray(page).first().click();
  await expect(panel(page).getByTestId('change')).toContainText('3.0 steps lighter');
  await back.click();
  await expect.poll(() => hexes(page)).toEqual(colours);
  await expect.poll(() => labels(page)).toEqual(before);

  // By its field: what is no colour yet changes nothing and says what would.
  const field = panel(page).getByLabel(/^Or type it/);
  await field.fill('#33');
  await expect(panel(page).getByText(/^Not a colour yet/)).toBeVisible();
  expect(await hexes(page)).toEqual(colours);
  await field.fill('#a05030');
  await expect.poll(async () => (await hexes(page))[0]).toBe('rgb(160, 80, 48)');
  await expect(panel(page).getByTestId('change')).toContainText('then typed');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(() => hexes(page)).toEqual(colours);
});

test('a changed colour is seen on the picture that is mapped to the palette', async ({ page }) => {
  await openStudy(page, app.url, 'Slate terrace, evening');
  await toStep(page, 'Palette');
  await toTab(page, 'test on the picture');
  await expect(finding(page)).toContainText('On average');
  const place = await onStage(page, 0.5, 0.85);
  await expect
    .poll(async () =>
      (await hexes(page)).includes(
        `rgb(${(await pixelAt(page, ...place)).slice(0, 3).join(', ')})`,
      ),
    )
    .toBe(true);
  const was = `rgb(${(await pixelAt(page, ...place)).slice(0, 3).join(', ')})`;
  const at = (await hexes(page)).indexOf(was);
  await tray(page).nth(at).click();
  await toTab(page, 'test on the picture');
  await tray(page).nth(at).click();
  await setSlider(page, 'Lighter or darker', 2);
  await expect.poll(async () => (await hexes(page))[at]).not.toBe(was);
  await expect
    .poll(async () => `rgb(${(await pixelAt(page, ...place)).slice(0, 3).join(', ')})`)
    .not.toBe(was);

  // Neighbours as the picture varies where it was taken: it stays what it is, and opens into them.
  const now = await hexes(page);
  await panel(page).getByText('Variations', { exact: true }).click();
  await panel(page).getByRole('radio', { name: 'as the picture varies there' }).click();
  await panel(page).getByRole('button', { name: 'Keep these under it' }).click();
  await expect(panel(page).getByText('It opens into')).toBeVisible();
  expect(await hexes(page)).toEqual(now);
});
