import type { Page } from '@playwright/test';
import { expect, test, appFor } from './app';
import {
  choose,
  deskIsSet,
  isSaved,
  onStage,
  openStudy,
  pixelAt,
  reload,
  setSlider,
  toStep,
  toTab,
  tray,
} from './page-actions';

const app = appFor('demo');
const TITLE = 'Lower station, rain at dusk';
const labels = (page: Page) =>
  tray(page).evaluateAll((all) => all.map((block) => block.getAttribute('aria-label') ?? ''));
const greyness = ([r, g, b]: number[]) => Math.max(r, g, b) - Math.min(r, g, b);

test('the reading line says what is under the pointer, and follows the keyboard', async ({
  page,
}) => {
  await openStudy(page, app.url, TITLE);
  const line = page.getByTestId('reading-line');
  await expect(line).toContainText('Point at the picture');
  await page.mouse.move(...(await onStage(page, 0.77, 0.625)));
  await expect(line).toContainText(/red/i);
  const first = await line.innerText();
  await page.keyboard.press(']');
  await expect.poll(() => line.innerText()).not.toBe(first);
  await page.mouse.move(2, 700);
  await expect(line).toContainText('Point at the picture');
  await page.getByTestId('stage').focus();
  await page.keyboard.press('ArrowRight');
  await expect(line).toContainText('value');
});

test('zoom and pan hold the place under the hand, and the address holds the view', async ({
  page,
}) => {
  await openStudy(page, app.url, TITLE);
  const lamp = await onStage(page, 0.5, 0.45);
  await page.mouse.move(...lamp);
  const line = page.getByTestId('reading-line');
  const before = await line.locator('dd').first().innerText();
  for (let i = 0; i < 5; i++) await page.mouse.wheel(0, -200);
  await expect(page).toHaveURL(/zoom=/);
  await page.mouse.move(lamp[0] + 0.5, lamp[1]);
  await expect(line.locator('dd').first()).toHaveText(before);
  const centre = /centre=([^&]*)/.exec(page.url())?.[1];
  await page.mouse.down();
  await page.mouse.move(lamp[0] - 150, lamp[1] - 80, { steps: 4 });
  await page.mouse.up();
  await expect.poll(() => /centre=([^&]*)/.exec(page.url())?.[1]).not.toBe(centre);
  await reload(page);
  const address = page.url();
  expect(address).toMatch(/zoom=.*centre=/);
  await deskIsSet(page);
  expect(page.url()).toBe(address);
  await page.keyboard.press('0');
  await expect(page).not.toHaveURL(/zoom=/);
});

test('greys hold no colour, the wipe parts them from the picture, O shows the original', async ({
  page,
}) => {
  await openStudy(page, app.url, TITLE);
  const [x, y] = await onStage(page, 0.77, 0.5);
  expect(greyness(await pixelAt(page, x, y))).toBeGreaterThan(40);
  await page.keyboard.press('g');
  await expect(page).toHaveURL(/step=values/);
  await expect.poll(async () => greyness(await pixelAt(page, x, y))).toBe(0);
  await page.getByTestId('stage').hover({ position: { x: 5, y: 5 } });
  await page.keyboard.down('o');
  await expect.poll(async () => greyness(await pixelAt(page, x, y))).toBeGreaterThan(40);
  await page.keyboard.up('o');
  await expect.poll(async () => greyness(await pixelAt(page, x, y))).toBe(0);
  await page.keyboard.press('w');
  const wipe = page.getByRole('slider', { name: /Wipe/ });
  await expect(wipe).toHaveAttribute('aria-valuenow', '50');
  const [left, top] = await onStage(page, 0.3, 0.5);
  await expect.poll(async () => greyness(await pixelAt(page, left, top))).toBeGreaterThan(10);
  expect(greyness(await pixelAt(page, x, y))).toBe(0);
  await wipe.focus();
  for (let i = 0; i < 25; i++) await wipe.press('ArrowRight');
  await expect(wipe).toHaveAttribute('aria-valuenow', '100');
  await expect.poll(async () => greyness(await pixelAt(page, x, y))).toBeGreaterThan(40);
  await expect(page).toHaveURL(/wipe=1/);
});

test('zones follow their number, breaks and the person’s scale; a zone dims the rest', async ({
  page,
}) => {
  await openStudy(page, app.url, TITLE);
  await toStep(page, 'Values');
  const rows = page.locator('tbody tr');
  await expect(rows).toHaveCount(4);
  const shares = async () =>
    (await rows.locator('td:nth-child(3)').allInnerTexts()).map((text) => parseFloat(text) || 0);
  expect((await shares()).reduce((a, b) => a + b, 0)).toBeGreaterThan(97);
  const natural = await shares();
  await page.getByRole('radio', { name: 'even' }).click();
  await expect.poll(shares).not.toEqual(natural);
  await choose(page, 'Seen as', 'zones');
  await setSlider(page, 'How many', 5);
  await expect(rows).toHaveCount(9);
  await setSlider(page, 'How many', -7);
  await expect(rows).toHaveCount(2);

  const [x, y] = await onStage(page, 0.3, 0.85);
  await choose(page, 'Seen as', 'picture');
  const clear = await pixelAt(page, x, y);
  await page.getByRole('button', { name: 'light', exact: true }).hover();
  await expect.poll(() => pixelAt(page, x, y)).not.toEqual(clear);

  const mean = () => rows.first().locator('td').nth(1).innerText();
  const munsell = Number(await mean());
  await page.getByText('Your value scale').click();
  await choose(page, 'The high end is', 'dark');
  await expect.poll(async () => Number(await mean())).toBeCloseTo(10 - munsell, 1);
  await setSlider(page, 'Steps', -6);
  await expect.poll(async () => Number(await mean())).toBeCloseTo(((10 - munsell) / 10) * 4, 1);
  await choose(page, 'The high end is', 'light');
  await setSlider(page, 'Steps', 6);
  await expect.poll(async () => Number(await mean())).toBeCloseTo(munsell, 1);
});

test('the squint merges shapes, feeds the zones, and says how many values carry it', async ({
  page,
}) => {
  await openStudy(page, app.url, 'Ticket hall at noon');
  await toStep(page, 'Values');
  const finding = page.getByTestId('finding');
  await expect(finding).toContainText(/values? carry it, \w+ in the light, \w+ in the shadow/);
  const curve = page.getByRole('group', { name: 'Number of values' });
  const enough = curve.getByRole('button', { name: /enough to carry it/ });
  await enough.click();
  await expect(enough).toHaveAttribute('aria-pressed', 'true');
  const number = (await enough.innerText()).trim();
  await expect(page.locator('tbody tr')).toHaveCount(Number(number));
  await expect(finding).toContainText(/in the shadow: dark \d+.%/);

  await choose(page, 'Seen as', 'squint');
  await expect(page).toHaveURL(/lens=squint/);
  const shares = async () => (await page.locator('tbody td:nth-child(3)').allInnerTexts()).join();
  const before = await shares();
  await setSlider(page, 'Squint', 20);
  await expect(page.getByText('2.8 %', { exact: true })).toBeVisible();
  await expect.poll(shares).not.toBe(before);
  await page.keyboard.press('Escape');
  await page.locator('body').click({ position: { x: 700, y: 60 } });
  await page.keyboard.press('Control+z');
  await expect.poll(shares).toBe(before);
});

test('the tray: rename, lock, reorder, delete, each undone and redone', async ({ page }) => {
  await openStudy(page, app.url, 'Ticket hall at noon');
  await toStep(page, 'Palette');
  const before = await labels(page);
  await tray(page).nth(1).click();
  await page.getByRole('textbox', { name: 'Name' }).fill('tile blue');
  await page.getByRole('button', { name: 'Lock', exact: true }).click();
  await expect(tray(page).nth(1)).toHaveAttribute('aria-label', /^2, tile blue, .*locked$/);
  await tray(page).nth(1).press('Alt+ArrowRight');
  await expect(tray(page).nth(2)).toHaveAttribute('aria-label', /^3, tile blue/);
  await tray(page).nth(2).press('Delete');
  await expect(tray(page)).toHaveCount(before.length - 1);
  const undo = page.getByRole('button', { name: 'Undo', exact: true });
  for (let i = 0; i < 4; i++) await undo.click();
  await expect.poll(() => labels(page)).toEqual(before);
  await expect(undo).toBeDisabled();
  const redo = page.getByRole('button', { name: 'Redo', exact: true });
  for (let i = 0; i < 3; i++) await redo.click();
  await expect(tray(page).nth(2)).toHaveAttribute('aria-label', /^3, tile blue, .*locked$/);

  // Extracting again keeps what is locked, and the picked one too.
  const picked = before.filter((label) => label.includes('suitcase yellow'));
  expect(picked).toHaveLength(1);
  await setSlider(page, 'Colours', -3);
  await expect(tray(page)).toHaveCount(4);
  expect((await labels(page)).join('\n')).toMatch(/tile blue[^\n]*locked/);
  expect((await labels(page)).join('\n')).toMatch(/suitcase yellow/);
  await isSaved(page);
  const kept = await labels(page);
  await reload(page);
  await deskIsSet(page);
  await expect.poll(() => labels(page)).toEqual(kept);
});

test('a tray with little in it is low, and grows with what is picked', async ({ page }) => {
  await openStudy(page, app.url, 'Ticket hall at noon');
  await toStep(page, 'Palette');
  const high = async () => (await page.getByTestId('tray').boundingBox())?.height ?? 0;
  const full = await high();
  await page.getByRole('button', { name: 'Several' }).click();
  await page.getByRole('button', { name: 'All of them' }).click();
  await page
    .getByRole('complementary', { name: 'Findings' })
    .getByRole('button', { name: 'Delete' })
    .click();
  await expect(tray(page)).toHaveCount(0);
  await expect.poll(high).toBeLessThan(full - 40);
  for (const [x, y] of [
    [0.3, 0.3],
    [0.5, 0.8],
    [0.66, 0.4],
  ] as const) {
    const before = await tray(page).count();
    await page.mouse.click(...(await onStage(page, x, y)));
    await expect(tray(page)).toHaveCount(before + 1);
    if (before < 2) expect(await high()).toBeLessThan(full - 40);
  }
  await expect.poll(high).toBeGreaterThan(full - 2);
});

test('a swatch is dragged to another place in the tray', async ({ page }) => {
  await openStudy(page, app.url, 'Fog at the passing loop');
  const first = (await labels(page))[0].replace(/^1, /, '');
  const from = await tray(page).nth(0).boundingBox();
  const to = await tray(page).nth(2).boundingBox();
  if (!from || !to) throw new Error('no blocks');
  await page.mouse.move(from.x + 8, from.y + 60);
  await page.mouse.down();
  await page.mouse.move(from.x + 40, from.y + 60, { steps: 3 });
  await page.mouse.move(to.x + to.width / 2, to.y + 60, { steps: 8 });
  await page.mouse.up();
  await expect(tray(page).nth(2)).toHaveAttribute('aria-label', `3, ${first}`);
});

test('crop, turn and neutral point change what is measured, and can be taken back', async ({
  page,
}) => {
  await openStudy(page, app.url, 'Ticket hall at noon');
  await toStep(page, 'Values');
  const finding = page.getByTestId('finding');
  const whole = await finding.innerText();
  const shares = (await labels(page)).join();

  await page.keyboard.press('c');
  await expect(page.getByTestId('crop-frame').locator('canvas').first()).toBeVisible();
  await page.getByTestId('crop-frame').focus();
  for (let i = 0; i < 60; i++) await page.keyboard.press('Shift+ArrowUp');
  await page.getByTestId('crop-frame').press('Enter');
  await toStep(page, 'Values');
  await expect.poll(() => finding.innerText()).not.toBe(whole);
  await expect.poll(async () => (await labels(page)).join()).not.toBe(shares);

  await toStep(page, 'Look');
  await setSlider(page, 'Turn', 20);
  await expect(page.getByText('+2.0°')).toBeVisible();
  await page.getByRole('button', { name: 'Undo the crop and straightening' }).click();
  await toStep(page, 'Values');
  await expect.poll(() => finding.innerText()).toBe(whole);
  await expect.poll(async () => (await labels(page)).join()).toBe(shares);

  await toStep(page, 'Look');
  const [x, y] = await onStage(page, 0.5, 0.5);
  const came = await pixelAt(page, x + 40, y);
  await page.keyboard.press('n');
  await page.mouse.click(x, y);
  await expect(page.getByText(/It came as .*, and is shown as grey/)).toBeVisible();
  await page.mouse.move(2, 700);
  await expect.poll(() => pixelAt(page, x + 40, y)).not.toEqual(came);
  await page.getByRole('button', { name: 'Put the cast back' }).click();
  await expect.poll(() => pixelAt(page, x + 40, y)).toEqual(came);
});

/** The kinds of query that the Desk's worker has been asked since the page was loaded. */
const askedKinds = (page: Page) =>
  page.evaluate(() => (globalThis as unknown as { queryKinds: string[] }).queryKinds);

test('what is stored of a study is shown as its steps open, and read again only where it differs', async ({
  page,
}) => {
  await page.addInitScript(() => {
    const kinds: string[] = [];
    Object.assign(globalThis, { queryKinds: kinds });
    const { postMessage } = Worker.prototype;
    Worker.prototype.postMessage = function (message: unknown, ...rest: []) {
      const { argumentList = [] } = message as { argumentList?: { value?: { kind?: string } }[] };
      const kind = argumentList[0]?.value?.kind;
      if (kind) kinds.push(kind);
      postMessage.call(this, message, ...rest);
    };
  });
  await openStudy(page, app.url, TITLE);
  const sentence = page.getByTestId('finding').first();
  await toStep(page, 'Values');
  await expect(sentence).toContainText('values carry it');
  for (const tab of ['light', 'focus', 'form', 'separation', 'greys']) {
    await toTab(page, tab);
    await expect(sentence).not.toContainText('…');
  }
  await toStep(page, 'Colours');
  for (const tab of ['warmth', 'intensity', 'harmony', 'hues']) await toTab(page, tab);
  await expect(sentence).toContainText('It is in');
  await toStep(page, 'Hidden');
  await expect(sentence).not.toContainText('…');
  await toStep(page, 'Palette');
  const figures = ['values', 'valueEnds', 'zoneBodies', 'lightAndShadow', 'separation', 'focus'];
  const stored = [...figures, 'form', 'brightness', 'colours', 'hidden', 'countSuggestion'];
  expect((await askedKinds(page)).filter((kind) => stored.includes(kind))).toEqual([]);

  await toStep(page, 'Values');
  await toTab(page, 'range');
  await setSlider(page, 'Squint', 3);
  await expect.poll(() => askedKinds(page)).toContain('values');
});

test('aims: one or two, of the list or in one’s own words', async ({ page }) => {
  await openStudy(page, app.url, 'Fog at the passing loop');
  await page.getByRole('button', { name: 'hidden colour' }).click();
  await page.getByRole('textbox', { name: 'or in your own words' }).fill('thread of slate');
  await page.getByRole('button', { name: 'Add' }).click();
  await expect(page.getByTestId('finding')).toHaveText(
    'A study of hidden colour and thread of slate, from a photograph.',
  );
  await expect(page.getByRole('button', { name: 'values', exact: true })).toBeDisabled();
  await page.getByRole('button', { name: 'hidden colour' }).click();
  await expect(page.getByRole('button', { name: 'values', exact: true })).toBeEnabled();
});

test('keys: the sheet, the surround, and no shortcut while typing', async ({ page }) => {
  await openStudy(page, app.url, TITLE);
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toContainText('See the greys');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await page.keyboard.press('s');
  await expect(page.locator('html')).toHaveAttribute('data-surround', 'night');
  await page.getByText('About the picture').click();
  await page.getByRole('textbox', { name: 'Title' }).fill('');
  await expect(page.getByText(/A study needs a title/)).toBeVisible();
  await page.getByRole('textbox', { name: 'Title' }).pressSequentially('Glass vessels');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Glass vessels');
  await expect(page).not.toHaveURL(/step=/);
  await expect(page.locator('html')).toHaveAttribute('data-surround', 'night');
  await page.getByRole('textbox', { name: 'Title' }).fill(TITLE);
  await isSaved(page);
  await reload(page);
  await expect(page.locator('html')).toHaveAttribute('data-surround', 'night');
});

test('a picture that can’t be fetched is said, and tried again', async ({ page }) => {
  await page.goto(app.url);
  await page.route('**/working', (route) => route.abort());
  await page.getByRole('link', { name: `Open ${TITLE}` }).click();
  await expect(page.getByRole('main').getByRole('alert')).toContainText('could not be fetched');
  await page.unroute('**/working');
  await page.getByRole('button', { name: 'Try again' }).click();
  await deskIsSet(page);
});

test('a study is taken back to what it was, and forward again', async ({ page }) => {
  await openStudy(page, app.url, 'Ticket hall at noon');
  const all = await tray(page).count();
  for (let left = all - 1; left >= 3; left--) {
    await tray(page).first().press('Delete');
    await expect(tray(page)).toHaveCount(left);
  }
  await isSaved(page);

  await page.getByRole('button', { name: 'History' }).click();
  const dialog = page.getByRole('dialog', { name: 'What this study was' });
  const states = dialog.getByRole('listitem');
  await expect(states.first()).toContainText('(as it is)');
  await expect(states.first()).toContainText(/palette changed to \w+ swatches/i);
  await expect(states.last()).toContainText(/Begun, with \w+ swatches/);
  await states.last().getByRole('button', { name: 'Look at it' }).click();
  await expect(states.last().getByRole('img', { name: /^Palette: / })).toBeVisible();
  await states.last().getByRole('button', { name: 'Go back to this' }).click();
  await expect(dialog).toHaveCount(0);
  await expect(tray(page)).not.toHaveCount(3);
  const first = await tray(page).count();
  expect(first).toBeGreaterThan(3);
  await isSaved(page);
  await page.keyboard.press('Control+z');
  await expect(tray(page)).toHaveCount(3);
  await page.keyboard.press('Control+y');
  await expect(tray(page)).toHaveCount(first);
  await isSaved(page);
  await reload(page);
  await deskIsSet(page);
  await expect(tray(page)).toHaveCount(first);
});
