import type { Page } from '@playwright/test';
import {
  hasNoViolation,
  hasNoViolationHere,
  isNeutral,
  surroundOf,
  SURROUND_TITLES,
} from './accessible';
import { expect, test, appFor } from './app';
import { choose, deskIsSet, openStudy, toStep, toTab, tray } from './page-actions';

const app = appFor('demo', 'reads');

/** What opens from the Drawers; its greys are those of the other screens. */
async function drawersHaveNoViolation(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'More for Dusk blues' }).click();
  await page.getByRole('menuitem', { name: 'Export …' }).click();
  await hasNoViolation(page, 'Export');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: /^Import/ }).click();
  await hasNoViolation(page, 'Import');
  await page.keyboard.press('Escape');
  await page.getByLabel('Choose Dusk blues').check();
  await page.getByLabel('Choose Wet dusk, lamps lit').check();
  await page.getByRole('button', { name: 'Merge' }).click();
  await expect(page.getByTestId('merge-finding')).toBeVisible();
  await hasNoViolation(page, 'Merge');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Compare' }).click();
  await expect(page.getByTestId('finding')).toContainText('share');
  await hasNoViolation(page, 'two libraries');
  for (const [room, heading] of [
    ['bin', 'The bin'],
    ['keep', 'Back up and restore'],
  ]) {
    await page.goto(`${app.url}/drawers/${room}`);
    await expect(page.getByRole('heading', { level: 1 })).toHaveText(heading);
    await hasNoViolation(page, heading);
  }
}

/** Each part of the Bench, with what opens in it. */
async function onBench(page: Page, check: (where: string) => Promise<void>): Promise<void> {
  await page.goto(`${app.url}/bench`);
  await page.getByRole('button', { name: /^Ultramarine/ }).click();
  await expect(page.getByRole('slider', { name: 'How many times as strong' })).toBeVisible();
  await check('Bench, shelf');
  await choose(page, 'Part of the bench', 'mixing room');
  await page.getByLabel('Add a tube to the pile').selectOption({ label: 'Ultramarine' });
  await expect(page.getByTestId('mixture')).toBeVisible();
  await check('Bench, mixing room');
  await choose(page, 'Part of the bench', 'strings');
  await expect(page.getByRole('region', { name: 'Chart of greens' })).toBeVisible();
  await check('Bench, strings');
  await choose(page, 'Part of the bench', 'kept mixtures');
  await page.getByRole('button', { name: 'Tried it: wet slate' }).click();
  await check('Bench, kept mixtures');
  await choose(page, 'Part of the bench', 'sticks');
  await expect(page.getByRole('list', { name: 'Sticks' })).toBeVisible();
  await check('Bench, sticks');
  for (const kind of ['pencils', 'inks']) {
    await choose(page, 'Part of the bench', kind);
    await expect(page.getByTestId('finding')).toContainText(`${kind} to hand`);
    await check(`Bench, ${kind}`);
  }
}

/** Each medium of the step Mix, with its underpainting and one recipe open. */
async function inMedia(page: Page, check: (where: string) => Promise<void>): Promise<void> {
  await choose(page, 'Medium', 'sticks');
  await expect(page.getByTestId('finding')).toContainText('can lay');
  await page.getByText('Underpainting', { exact: true }).click();
  await expect(
    page.getByRole('list', { name: 'First colours' }).getByRole('listitem'),
  ).not.toHaveCount(0);
  await check('Mix, sticks');
  for (const medium of ['pencils', 'inks', 'washes', 'screen']) {
    await choose(page, 'Medium', medium);
    await expect(page.getByTestId('finding')).not.toContainText('…');
    const first = page
      .getByRole('list', { name: / for each colour$/ })
      .getByRole('button')
      .first();
    await first.click();
    await expect(page.getByTestId('layers')).toBeVisible();
    await check(`Mix, ${medium}`);
    await first.click();
  }
}

/** All patterns, and one of them in every part of the work and however it is looked at. */
async function onColourways(page: Page, check: (where: string) => Promise<void>): Promise<void> {
  await page.goto(`${app.url}/colourways`);
  await expect(page.getByRole('list', { name: 'Patterns' })).toBeVisible();
  await check('Colourways');
  await page.getByRole('link', { name: /Enamel tile/ }).click();
  await expect(page.getByTestId('drawing')).toBeVisible();
  for (const part of ['near-duplicates', 'colours', 'lines', 'export']) {
    await choose(page, 'Part of the work', part);
    await expect(page.getByTestId('finding')).toBeVisible();
    await check(`a pattern, ${part}`);
  }
  for (const way of ['wall', 'side by side', 'as cloth']) {
    await choose(page, 'How it is looked at', way);
    await check(`a pattern, ${way}`);
  }
}

test('a surround that is chosen is the whole page’s', async ({ page }) => {
  await page.goto(app.url);
  for (const [surround, title] of Object.entries(SURROUND_TITLES)) {
    await page.getByRole('radio', { name: title }).click();
    await expect.poll(() => surroundOf(page)).toBe(surround);
  }
});

test('no violation on the Wall, and at the Desk in what is mixed, on any surround', async ({
  page,
}) => {
  test.setTimeout(300_000);
  await page.goto(app.url);
  await hasNoViolation(page, 'Wall');
  await isNeutral(page);
  await page
    .getByRole('button', { name: /^More for/ })
    .first()
    .click();
  await hasNoViolation(page, 'Wall, menu');
  await page.keyboard.press('Escape');

  await openStudy(page, app.url, 'Ticket hall at noon');
  for (const step of ['Look', 'Values', 'Hidden', 'Palette', 'Mix'] as const) {
    await toStep(page, step);
    await expect(page.getByTestId('finding')).not.toContainText('…');
    await hasNoViolation(page, step);
    await isNeutral(page);
  }
  for (const tab of ['the morning’s plan', 'which tubes']) {
    await toTab(page, tab);
    await expect(page.getByTestId('finding')).not.toContainText('…');
    await hasNoViolation(page, `Mix, ${tab}`);
  }
  await inMedia(page, (where) => hasNoViolation(page, where));
});

test('no violation in other parts of the Desk, on any surround', async ({ page }) => {
  test.setTimeout(300_000);
  await openStudy(page, app.url, 'Ticket hall at noon');
  await toStep(page, 'Use');
  for (const tab of ['other colours', 'another mood', 'what if', 'one key', 'what belongs']) {
    await toTab(page, tab);
    await expect(page.getByTestId('finding')).not.toContainText('…');
    await hasNoViolation(page, `Use, ${tab}`);
  }
  await toTab(page, 'other colours');
  await choose(page, 'Looked at', 'all three');
  await hasNoViolation(page, 'Use, all three');
  await page.getByRole('button', { name: 'Plan to paint from …' }).click();
  await expect(page.getByAltText(/^Plan of/)).toBeVisible();
  await hasNoViolation(page, 'Plan to paint from');
  await page.keyboard.press('Escape');
  await choose(page, 'Looked at', 'on the picture');
  await toStep(page, 'Values');
  for (const tab of ['light', 'separation', 'form', 'focus', 'greys']) {
    await toTab(page, tab);
    await expect(page.getByTestId('finding')).not.toContainText('…');
    await hasNoViolation(page, `Values, ${tab}`);
    await isNeutral(page);
  }
  await toStep(page, 'Colours');
  for (const tab of ['hues', 'warmth', 'intensity', 'harmony', 'reads as']) {
    await toTab(page, tab);
    await expect(page.getByTestId('finding')).not.toContainText('…');
    await hasNoViolation(page, `Colours, ${tab}`);
  }
  await toStep(page, 'Values');
  await toTab(page, 'range');
  await page.getByRole('button', { name: 'Value plan to print' }).click();
  await expect(page.getByAltText(/^Value plan in/)).toBeVisible();
  await hasNoViolation(page, 'Value plan');
  await page.keyboard.press('Escape');
  await toStep(page, 'Palette');
  await tray(page).first().click();
  await page.getByText('Figures').click();
  await hasNoViolation(page, 'Palette, a swatch');
  await page.getByRole('button', { name: 'Save to Drawers' }).click();
  await hasNoViolation(page, 'Save to Drawers');
  await page.keyboard.press('Escape');
  await page.keyboard.press('?');
  await hasNoViolation(page, 'Keys');
  await page.keyboard.press('Escape');
  await page.keyboard.press('c');
  await expect(page.getByTestId('crop-frame')).toBeVisible();
  await hasNoViolation(page, 'Crop');
});

test('no violation in the Drawers and where nothing is, on any surround', async ({ page }) => {
  test.setTimeout(300_000);
  await page.goto(`${app.url}/drawers`);
  await hasNoViolation(page, 'Drawers');
  await isNeutral(page);
  await drawersHaveNoViolation(page);
  await page.goto(`${app.url}/drawers`);
  await page.getByRole('link', { name: /Wet dusk, lamps lit/ }).click();
  await page
    .getByRole('button', { name: /^Figures and note of/ })
    .first()
    .click();
  await expect(page.getByRole('region', { name: 'Its neighbours' })).toBeVisible();
  await hasNoViolation(page, 'a library');
  await isNeutral(page);
  await onColourways(page, async (where) => {
    await hasNoViolation(page, where);
    await isNeutral(page);
  });
  await page.goto(`${app.url}/nowhere`);
  await hasNoViolation(page, 'not found');
  await onBench(page, (where) => hasNoViolation(page, where));
  await isNeutral(page);
});

test('the Desk stands at 1280 × 800 without scrolling, in every step', async ({ page }) => {
  await openStudy(page, app.url, 'Lower station, rain at dusk');
  for (const step of ['Look', 'Values', 'Hidden', 'Palette', 'Mix'] as const) {
    await toStep(page, step);
    await expect(page.getByTestId('finding')).not.toContainText('…');
    const page_ = await page.evaluate(() => [
      document.documentElement.scrollWidth,
      document.documentElement.scrollHeight,
    ]);
    expect(page_).toEqual([1280, 800]);
  }
});

const SIZES = [
  { width: 820, height: 1180 },
  { width: 390, height: 844 },
];

/** Nothing is wider than the screen, and what is touched is a finger high. */
async function fitsFingers(page: Page, where: string): Promise<void> {
  const found = await page.evaluate(() => ({
    wide: document.documentElement.scrollWidth - window.innerWidth,
    small: Array.from(document.querySelectorAll('button, a[href], summary, select'))
      .filter((element) => (element as HTMLElement).offsetParent !== null)
      .map((element) => ({ box: element.getBoundingClientRect(), words: element.textContent }))
      .filter(({ box }) => box.width > 0 && box.height < 39.5)
      .map(({ words, box }) => `${words}: ${box.height}`),
  }));
  expect({ where, ...found }).toEqual({ where, wide: expect.any(Number), small: [] });
  expect(found.wide, where).toBeLessThanOrEqual(0);
}

async function fitsAndHasNoViolation(page: Page, where: string): Promise<void> {
  await fitsFingers(page, where);
  // Its greys were held against each surround at another width.
  await hasNoViolationHere(page, where);
}

for (const size of SIZES) {
  test(`at ${size.width} × ${size.height}: no violation, nothing too wide, targets for fingers`, async ({
    page,
  }) => {
    test.setTimeout(300_000);
    await page.setViewportSize(size);
    const check = (where: string) => fitsAndHasNoViolation(page, where);
    await page.goto(app.url);
    await expect(page.getByRole('heading', { level: 2 }).first()).toBeVisible();
    await page.getByRole('button', { name: 'Find by look' }).click();
    await check('Wall');
    for (const room of ['', '/keep', '/bin']) {
      await page.goto(`${app.url}/drawers${room}`);
      await expect(page.getByRole('heading', { level: 1 })).toHaveCount(1);
      if (room === '') await page.getByRole('button', { name: 'Ask by colour' }).first().click();
      await check(`Drawers${room}`);
    }
    await page.goto(`${app.url}/drawers`);
    await page.getByRole('link', { name: /Wet dusk, lamps lit/ }).click();
    await tray(page).first().click();
    await expect(page.getByRole('slider', { name: 'Lighter or darker' })).toBeVisible();
    await check('a library');
    await onBench(page, check);
    await onColourways(page, check);
  });

  test(`at ${size.width} × ${size.height}: the same at the Desk`, async ({ page }) => {
    test.setTimeout(300_000);
    await page.setViewportSize(size);
    const check = (where: string) => fitsAndHasNoViolation(page, where);
    await openStudy(page, app.url, 'Lower station, rain at dusk');
    for (const step of ['Look', 'Values', 'Colours', 'Hidden', 'Palette', 'Mix'] as const) {
      await toStep(page, step);
      await expect(page.getByTestId('finding').first()).not.toContainText('…');
      await check(step);
    }
    await inMedia(page, (where) => fitsFingers(page, where));
    await toStep(page, 'Use');
    await expect(page.getByTestId('finding').first()).not.toContainText('…');
    await fitsFingers(page, 'Use');
    for (const tab of ['another mood', 'what if', 'one key', 'what belongs', 'kept']) {
      await toTab(page, tab);
      await fitsFingers(page, `Use, ${tab}`);
    }
    await toStep(page, 'Mix');
    // Below a picture that stands, the panel gives its room back when it is folded.
    const stage = page.getByTestId('stage');
    const low = (await stage.boundingBox())?.height ?? 0;
    await page.getByRole('button', { name: 'Fold away' }).click();
    await expect
      .poll(async () => (await stage.boundingBox())?.height ?? 0)
      .toBeGreaterThan(low + 100);
    await page.getByRole('button', { name: 'Unfold' }).click();
    await expect.poll(async () => (await stage.boundingBox())?.height ?? 0).toBeLessThan(low + 2);
  });
}

test('a tablet on its side has the panel beside the picture, and a folded one gives it room', async ({
  page,
}) => {
  await page.setViewportSize({ width: 960, height: 640 });
  await openStudy(page, app.url, 'Lower station, rain at dusk');
  const stage = page.getByTestId('stage');
  const narrow = (await stage.boundingBox())?.width ?? 0;
  await page.getByRole('button', { name: 'Fold away' }).click();
  await expect
    .poll(async () => (await stage.boundingBox())?.width ?? 0)
    .toBeGreaterThan(narrow + 100);
  await fitsFingers(page, 'Desk');
});

test('with a finger: a tap reads, two fingers zoom', async ({ browser }) => {
  const context = await browser.newContext({
    hasTouch: true,
    viewport: { width: 820, height: 1180 },
  });
  const page = await context.newPage();
  await openStudy(page, app.url, 'Lower station, rain at dusk');
  const box = await page.getByTestId('stage').boundingBox();
  if (!box) throw new Error('no stage');
  await page.touchscreen.tap(box.x + box.width / 2, box.y + box.height / 2);
  await expect(page.getByTestId('reading-line')).toContainText('value');
  const client = await context.newCDPSession(page);
  const fingers = (apart: number) => [
    { x: box.x + box.width / 2 - apart, y: box.y + box.height / 2, id: 1 },
    { x: box.x + box.width / 2 + apart, y: box.y + box.height / 2, id: 2 },
  ];
  await client.send('Input.dispatchTouchEvent', { type: 'touchStart', touchPoints: fingers(40) });
  for (const apart of [60, 80, 100, 120])
    await client.send('Input.dispatchTouchEvent', {
      type: 'touchMove',
      touchPoints: fingers(apart),
    });
  await client.send('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] });
  await expect(page).toHaveURL(/zoom=[2-9]/);
  await deskIsSet(page);
  await context.close();
});
