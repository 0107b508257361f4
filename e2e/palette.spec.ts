import AxeBuilder from '@axe-core/playwright';
import type { Locator, Page } from '@playwright/test';
import { spawnSync } from 'node:child_process';
import { root } from '../scripts/lib.mjs';
import { appFor, expect, test } from './app';
import {
  choose,
  deskIsSet,
  dropPicture,
  hexes,
  isSaved,
  labels,
  onStage,
  openStudy,
  picturePath,
  pixelAt,
  reload,
  setSlider,
  toStep,
  toTab,
  tray,
} from './page-actions';

const app = appFor('demo');
const finding = (page: Page) => page.getByTestId('finding');
const panel = (page: Page): Locator => page.getByRole('complementary', { name: 'Findings' });

test('extraction: the suggested count, a lean, a loop on the picture; the same as on the command line', async ({
  page,
}) => {
  await page.goto(app.url);
  await page.getByRole('button', { name: 'More for Enamel tile for the endpapers' }).click();
  await page.getByRole('menuitem', { name: 'Delete' }).click();
  await dropPicture(page, 'enamel-tile.webp');
  await page.getByRole('button', { name: /Begin a new study/ }).click();
  await page.waitForURL(/desk/);
  await deskIsSet(page);
  await toStep(page, 'Palette');

  const { stdout } = spawnSync(
    process.execPath,
    [
      'node_modules/tsx/dist/cli.mjs',
      'cli/prism.ts',
      'palette',
      picturePath('enamel-tile.webp'),
      '--count',
      '6',
      '--lean',
      'strong',
    ],
    { cwd: root, encoding: 'utf8', timeout: 60_000 },
  );
  const printed = (JSON.parse(stdout) as { swatches: { hex: string; name: string }[] }).swatches;
  await page.getByLabel('What extraction looks at').selectOption('strong');
  await page.getByRole('button', { name: /^6 colours: / }).click();
  await expect(tray(page)).toHaveCount(6);
  const rgb = ({ hex }: { hex: string }) =>
    `rgb(${[1, 3, 5].map((i) => parseInt(hex.slice(i, i + 2), 16)).join(', ')})`;
  await expect.poll(() => hexes(page)).toEqual(printed.map(rgb));

  const strong = await labels(page);
  await page.getByRole('button', { name: 'Within a loop' }).click();
  const [x, y] = await onStage(page, 0.42, 0.42);
  await page.mouse.move(x, y);
  await page.mouse.down();
  for (const [dx, dy] of [
    [60, 0],
    [60, 60],
    [0, 60],
    [0, 5],
  ])
    await page.mouse.move(x + dx, y + dy, { steps: 4 });
  await page.mouse.up();
  await expect(page.getByRole('button', { name: 'All of it' })).toBeVisible();
  await page.getByRole('button', { name: 'Extract again' }).click();
  await expect.poll(() => labels(page)).not.toEqual(strong);
  await page.getByRole('button', { name: 'All of it' }).click();
  await expect.poll(() => hexes(page)).toEqual(printed.map(rgb));
});

test('picks: a near-duplicate is asked about, an average gives way to its colours', async ({
  page,
}) => {
  await openStudy(page, app.url, 'Ticket hall at noon');
  await toStep(page, 'Palette');
  const before = await tray(page).count();
  const [x, y] = await onStage(page, 0.6, 0.82);
  await page.mouse.click(x, y);
  await expect(tray(page)).toHaveCount(before + 1);
  await page.mouse.click(x + 1, y);
  await expect(page.getByText(/^This is \d\.\d from “.*”: both are kept\.$/).first()).toBeVisible();
  await expect(tray(page)).toHaveCount(before + 2);
  await page.getByRole('button', { name: 'Merge', exact: true }).last().click();
  await expect(tray(page)).toHaveCount(before + 1);
  await page.keyboard.press('Control+z');
  await expect(tray(page)).toHaveCount(before + 2);

  await panel(page).getByRole('slider', { name: 'Radius' }).focus();
  for (let i = 0; i < 25; i++) await page.keyboard.press('ArrowRight');
  await page.mouse.click(...(await onStage(page, 0.55, 0.75)));
  await expect(tray(page)).toHaveCount(before + 3);
  const parts = await page.getByText('The area is made of').locator('..').getByRole('img').count();
  expect(parts).toBeGreaterThan(1);
  await page.getByRole('button', { name: 'Put these in its place' }).click();
  await expect(tray(page)).toHaveCount(before + 2 + parts);

  // From what is laid over it: quiet colours pushed up are stronger than the camera saw them.
  await page.keyboard.press('Escape');
  await choose(page, 'Pick from', 'strengthened');
  await expect(page).toHaveURL(/from=pushed/);
  const [wallX, wallY] = await onStage(page, 0.4, 0.4);
  const pushed = () => pixelAt(page, wallX, wallY);
  const spread = async () => Math.max(...(await pushed())) - Math.min(...(await pushed()));
  const gentle = await spread();
  await page.getByRole('button', { name: 'Change', exact: true }).click();
  await setSlider(page, 'Strengthen all', 60);
  await expect.poll(spread).toBeGreaterThan(gentle);
  await toStep(page, 'Palette');
  await expect(
    page.getByText('Strengthened: hues parted 50 %, all strengthened 60 %.'),
  ).toBeVisible();
  await page.mouse.click(wallX, wallY);
  await expect(page.getByLabel('Note')).toHaveValue(
    'As strengthened: hues parted 50 %, all strengthened 60 %.',
  );

  // What makes a place, and undone: nothing is chosen that is not there.
  await page.keyboard.press('Escape');
  const standing = await tray(page).count();
  await choose(page, 'A pick is', 'what makes it');
  await page.mouse.click(...(await onStage(page, 0.55, 0.75)));
  await expect(panel(page).getByRole('heading', { name: / swatches$/ })).toBeVisible();
  expect(await tray(page).count()).toBeGreaterThan(standing + 1);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(tray(page)).toHaveCount(standing);
  await expect(panel(page).getByRole('heading', { name: / swatches$/ })).toHaveCount(0);
});

test('pruning: how many they really are, merged and taken apart; the tray by keys', async ({
  page,
}) => {
  await openStudy(page, app.url, 'Fog at the passing loop');
  await toStep(page, 'Palette');
  await toTab(page, 'merge near-duplicates');
  await setSlider(page, 'As near as', 8);
  await expect(finding(page)).toContainText(/^Eight colours are really (three|four|five)\.$/);
  const before = await labels(page);
  await page.getByRole('button', { name: 'Merge all of them' }).click();
  await expect(tray(page)).not.toHaveCount(before.length);
  const merged = await tray(page).count();
  await page.keyboard.press('Control+z');
  await expect(tray(page)).toHaveCount(before.length);

  // Several at once, by keys: Shift with Enter adds, M merges; what was merged is taken apart.
  await tray(page).nth(0).click();
  await tray(page).nth(1).press('Shift+Enter');
  await expect(panel(page).getByRole('heading', { name: 'Two swatches' })).toBeVisible();
  await tray(page).nth(1).press('m');
  await expect(tray(page)).toHaveCount(before.length - 1);
  await tray(page).nth(0).click();
  await page.getByRole('button', { name: 'Take apart' }).click();
  await expect.poll(() => labels(page)).toEqual(before);
  expect(merged).toBeLessThan(before.length);

  await page.getByRole('button', { name: 'Order' }).click();
  await page.getByRole('menuitem', { name: 'By share' }).click();
  await expect.poll(() => labels(page)).not.toEqual(before);
  await page.getByRole('button', { name: 'Order' }).click();
  await page.getByRole('menuitem', { name: 'By value' }).click();
  await toTab(page, 'pick');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'darkest dark' }).click();
  await page.getByRole('button', { name: 'paper white' }).click();
  await expect(tray(page).first()).toHaveAttribute('aria-label', /darkest dark.*, dark$/);
  await expect(tray(page).last()).toHaveAttribute('aria-label', /paper white.*, light$/);
  await isSaved(page);
  await reload(page);
  await expect(tray(page)).toHaveCount(before.length + 2);
});

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
  expect((await new AxeBuilder({ page }).analyze()).violations).toEqual([]);
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
  expect((await new AxeBuilder({ page }).analyze()).violations).toEqual([]);
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

test('a finger chooses several in the tray; a series says what strays', async ({ browser }) => {
  const context = await browser.newContext({
    hasTouch: true,
    viewport: { width: 1024, height: 768 },
  });
  const page = await context.newPage();
  await openStudy(page, app.url, 'Slate terrace, evening');
  await toStep(page, 'Palette');
  const before = await tray(page).count();
  await page.getByRole('button', { name: 'Several' }).tap();
  await tray(page).nth(0).tap();
  await tray(page).nth(1).tap();
  await tray(page).nth(2).tap();
  await expect(panel(page).getByRole('heading', { name: 'Three swatches' })).toBeVisible();
  await panel(page).getByRole('button', { name: 'Merge' }).tap();
  await expect(tray(page)).toHaveCount(before - 2);
  await page.getByRole('button', { name: 'Undo', exact: true }).first().tap();
  await expect(tray(page)).toHaveCount(before);

  await page.goto(app.url);
  await page.getByRole('link', { name: 'Series' }).tap();
  await expect(finding(page)).toHaveText(/Choose two or more/);
  for (const title of ['Slate terrace, evening', 'Talloch, the last season'])
    await page
      .getByLabel(new RegExp(`^${title}`))
      .first()
      .check();
  await expect(finding(page)).toHaveText(/^These two palettes .* \(\d+ of 100\)/);
  await expect(page.getByText(/has nothing near it/).first()).toBeVisible();
  await reload(page);
  await expect(page.getByRole('listitem').getByRole('heading')).toHaveCount(2);
  expect((await new AxeBuilder({ page }).analyze()).violations).toEqual([]);
  await context.close();
});

test('ends stand beside the count, the slider says what is new, and leans are chosen side by side', async ({
  page,
}) => {
  await openStudy(page, app.url, 'Ticket hall at noon');
  await toStep(page, 'Palette');
  await page.getByRole('button', { name: /^6 colours: / }).click();
  await expect(page.getByRole('button', { name: /^6 colours: / })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  await expect(page.getByRole('button', { name: 'Extract again' })).toBeEnabled();
  const six = await tray(page).count();
  expect(six).toBeGreaterThanOrEqual(6);
  const ends = page.getByRole('button', { name: /^(true black|darkest dark)$/ });
  await expect(ends).toHaveCount(2);
  for (const end of await ends.all()) await end.click();
  await expect(tray(page)).toHaveCount(six + 2);
  // White on white is seen by its outline.
  await page.getByRole('button', { name: 'true white', exact: true }).click();
  const white = tray(page).filter({ has: page.locator('[style*="rgb(255, 255, 255)"]') });
  await expect(white).toHaveCount(1);
  expect(
    await white.evaluate((block) => {
      const { borderTopWidth, width } = getComputedStyle(block.firstElementChild as Element);
      return parseFloat(borderTopWidth) > 0 && parseFloat(width) >= 16;
    }),
  ).toBe(true);
  await page.getByRole('button', { name: 'Extract again' }).click();
  await expect(page.getByRole('button', { name: 'Extract again' })).toBeEnabled();
  await expect(tray(page)).toHaveCount(six + 3);
  await page.getByRole('button', { name: 'true white', exact: true }).click();
  await expect(tray(page)).toHaveCount(six + 2);

  await page.getByRole('button', { name: 'Leans side by side' }).click();
  const leans = page.getByRole('list', { name: 'Leans' }).getByRole('button');
  await expect(leans).toHaveCount(7);
  await expect(leans.nth(0)).toHaveAttribute('aria-pressed', 'true');
  const before = await hexes(page);
  await leans.filter({ hasText: 'the strong' }).click();
  await expect(page.getByLabel('What extraction looks at')).toHaveValue('strong');
  await expect.poll(() => hexes(page)).not.toEqual(before);
  await expect(tray(page)).toHaveCount(six + 2);
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
