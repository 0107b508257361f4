import sharp from 'sharp';
import type { Page } from '@playwright/test';
import { appFor, expect, test } from './app';
import {
  choose,
  deskIsSet,
  downloaded,
  finding,
  isCovered,
  isReady,
  isSaved,
  onStage,
  openDrawers,
  openStudy,
  pixelAt,
  reload,
  toStep,
  toTab,
  undo,
} from './page-actions';

const app = appFor('demo');
const TERRACE = 'Slate terrace, evening';
const masses = (page: Page) => page.getByRole('list', { name: 'Masses' });
const HOLD = /Values hold: L\* is off by 0\.\d on the mean/;
const chip = (page: Page, n: number) =>
  page.getByRole('group', { name: 'Colours', exact: true }).getByRole('button').nth(n);

test('from a master’s palette to a printed plan, by mouse', async ({ page }) => {
  await openDrawers(page, app.url);
  await page.getByRole('button', { name: 'More for Wet dusk, lamps lit' }).click();
  await page.getByRole('menuitem', { name: 'On another picture …' }).click();
  await page.getByRole('dialog').getByRole('link', { name: TERRACE }).click();
  await deskIsSet(page);
  await expect(page.getByLabel('Colours of', { exact: true })).toHaveValue('taken');
  await expect(finding(page)).toContainText(HOLD);
  await expect(page).not.toHaveURL(/take=/);

  // A colour dragged to a mass: it has it, whatever else changes.
  const [x, y] = await onStage(page, 0.3, 0.85);
  const from = (await chip(page, 8).boundingBox())!;
  const name = (await chip(page, 8).getAttribute('title'))!;
  await isCovered(page);
  const before = await pixelAt(page, x, y);
  await page.mouse.move(from.x + 20, from.y + 20);
  await page.mouse.down();
  await page.mouse.move(x, y - 30, { steps: 4 });
  await page.mouse.move(x, y, { steps: 2 });
  await page.mouse.up();
  const held = masses(page)
    .getByRole('listitem')
    .filter({ hasText: `${name}, held` });
  await expect(held).toHaveCount(1);
  await page.mouse.move(5, 300);
  await expect.poll(() => pixelAt(page, x, y)).not.toEqual(before);
  await choose(page, 'Which way', 'warm and cool');
  await expect(held).toHaveCount(1);
  await undo(page).click();
  await undo(page).click();
  await expect(held).toHaveCount(0);
  await expect.poll(() => pixelAt(page, x, y)).toEqual(before);
  await page.getByRole('button', { name: 'Redo', exact: true }).click();
  await expect(held).toHaveCount(1);
  await held.getByRole('button', { name: 'Free it' }).click();
  await expect(held).toHaveCount(0);

  // All ways side by side, and both in grey.
  await choose(page, 'Looked at', 'all three');
  const sides = page.getByTestId('side-by-side');
  await expect(sides.getByRole('button')).toHaveCount(3);
  await expect(sides.locator('[data-drawn="true"]')).toHaveCount(4);
  await sides.getByRole('button', { name: 'as in the source' }).click();
  await expect(sides).toHaveCount(0);
  await choose(page, 'Looked at', 'both in grey');
  await expect(page.getByTestId('two-greys')).toHaveAttribute('data-drawn', 'true');
  await choose(page, 'Looked at', 'on the picture');

  await page.getByRole('button', { name: 'Plan to paint from …' }).click();
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByAltText(/^Plan of \d+ masses with their colours$/)).toBeVisible();
  await expect(dialog.getByRole('status')).toContainText('What to lay is from your');
  await dialog.getByLabel('Canvas width, cm').fill('50');
  await dialog.getByLabel('Height, cm').fill('37.5');
  const pdf = await downloaded(page, 'Save PDF');
  expect(pdf.name).toBe(`${TERRACE}, plan.pdf`);
  expect(pdf.bytes.subarray(0, 5).toString()).toBe('%PDF-');
  const svg = (await downloaded(page, 'Save SVG')).bytes.toString();
  // The picture in the canvas's own millimetres, and what to lay for each mass.
  expect(svg).toMatch(/<rect x="18" y="21" width="500" height="375"/);
  expect(svg).toMatch(/lightly|at middle pressure|firmly/);
  const png = await sharp((await downloaded(page, 'Save PNG')).bytes).metadata();
  expect(png.width! / png.height!).toBeGreaterThan(1.3);
  await dialog.getByLabel('Canvas width, cm').fill('500');
  await expect(dialog.getByText('6 to 90')).toBeVisible();
});

test('colours go on masses by keys, and nothing but them', async ({ page }) => {
  await openStudy(page, app.url, TERRACE);
  await page.keyboard.press('u');
  const from = page.getByLabel('Colours of', { exact: true });
  const whose = from.locator('option:checked');
  const colours = page.getByRole('group', { name: 'Colours', exact: true }).getByRole('button');
  await from.selectOption({ label: 'One lamp in the dark' });
  await expect(whose).toHaveText('One lamp in the dark');
  const number = await colours.count();
  await page.getByLabel('And colours of').selectOption({ label: 'study: Ticket hall at noon' });
  await expect(whose).toHaveText('One lamp in the dark and Ticket hall at noon');
  expect(await colours.count()).toBeGreaterThan(number);
  await expect(finding(page)).toContainText(HOLD);

  // In hand by keys, put down by Enter on the picture.
  await chip(page, 2).focus();
  await page.keyboard.press('Enter');
  await expect(chip(page, 2)).toHaveAttribute('aria-pressed', 'true');
  const name = (await chip(page, 2).getAttribute('title'))!;
  await page.getByTestId('stage').focus();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Enter');
  const held = masses(page)
    .getByRole('listitem')
    .filter({ hasText: `${name}, held` });
  await expect(held).toHaveCount(1);

  // More of it takes as much room or more.
  const shown = page.getByText(/, on .*% of it/);
  const share = async () =>
    Number(/on (?:under )?(\d+)\D*% of it/.exec(await shown.innerText())![1]);
  const was = await share();
  await choose(page, 'How much of it', 'more');
  await expect(finding(page)).toContainText(HOLD);
  expect(await share()).toBeGreaterThanOrEqual(was);
  await page.getByRole('button', { name: 'Without it' }).click();
  await expect(held).toHaveCount(0);
  await undo(page).click();
  await expect(held).toHaveCount(1);

  await page.getByRole('button', { name: 'Plan to paint from …' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByAltText(/^Plan of \d+ masses/)).toBeVisible();
  await page.keyboard.press('Escape');
  await choose(page, 'How', 'palette only');
  await expect(finding(page)).toContainText(
    /Nothing but these colours|this palette has no such value/,
  );
  await isSaved(page);
  await reload(page);
  await deskIsSet(page);
  await expect(page.getByLabel('Colours of', { exact: true })).toHaveValue('taken');
  await expect(held).toHaveCount(1);
  // Where it has no such value it says so, and shows where.
  await from.selectOption({ label: 'Warm blacks' });
  await expect(finding(page)).toContainText('this palette has no such value: it has none in zone');
  const [x, y] = await onStage(page, 0.5, 0.3);
  const rows = async () => {
    const found = new Set<string>();
    for (let dy = 0; dy < 12; dy += 2) found.add((await pixelAt(page, x, y + dy)).join());
    return found.size;
  };
  await page.getByRole('checkbox', { name: 'Hatched where it has no such value' }).click();
  await expect.poll(rows).toBeGreaterThan(1);
  await from.selectOption({ value: 'own' });
  await expect(held).toHaveCount(0);
});

test('a study’s colours go on another by touch; skin is looped out', async ({ browser }) => {
  const context = await browser.newContext({
    hasTouch: true,
    viewport: { width: 1280, height: 800 },
  });
  const page = await context.newPage();
  await page.goto(app.url);
  await isReady(page);
  await page.getByRole('button', { name: `More for ${TERRACE}` }).tap();
  await page.getByRole('menuitem', { name: 'On another picture …' }).tap();
  await page.getByRole('dialog').getByRole('link', { name: 'Conductor by the window' }).tap();
  await deskIsSet(page);
  await expect(finding(page)).toContainText(HOLD);
  const [x, y] = await onStage(page, 0.5, 0.45);
  await isCovered(page);
  const coloured = await pixelAt(page, x, y);

  await page.locator('summary', { hasText: 'Left as it is' }).click();
  await page.getByRole('group', { name: 'Tool' }).getByRole('button', { name: 'Lasso' }).tap();
  const client = await context.newCDPSession(page);
  const finger = (type: 'touchStart' | 'touchMove', dx: number, dy: number) =>
    client.send('Input.dispatchTouchEvent', {
      type,
      touchPoints: [{ x: x + dx, y: y + dy, id: 1 }],
    });
  await finger('touchStart', -60, -60);
  for (const [dx, dy] of [
    [0, -60],
    [60, -60],
    [60, 0],
    [60, 60],
    [0, 60],
    [-60, 60],
  ])
    await finger('touchMove', dx, dy);
  await client.send('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] });
  await expect(page.getByText('one part')).toBeVisible();
  const looking = page.getByRole('group', { name: 'Tool' }).getByRole('button', { name: 'Look' });
  // So soon after the stroke the browser may take a touch for a part of it.
  await expect(async () => {
    await looking.tap();
    await expect(looking).toHaveAttribute('aria-pressed', 'true', { timeout: 1000 });
  }).toPass();
  await page.mouse.move(5, 300);
  await expect.poll(() => pixelAt(page, x, y)).not.toEqual(coloured);
  await page.getByRole('button', { name: 'Leave nothing as it is' }).tap();
  await expect.poll(() => pixelAt(page, x, y)).toEqual(coloured);

  // A swatch taken by one touch and put on a mass by another.
  await chip(page, 0).tap();
  const name = (await chip(page, 0).getAttribute('title'))!;
  await page.touchscreen.tap(x, y);
  await expect(
    masses(page)
      .getByRole('listitem')
      .filter({ hasText: `${name}, held` }),
  ).toHaveCount(1);
  await page.getByRole('button', { name: 'Plan to paint from …' }).tap();
  await expect(page.getByAltText(/^Plan of \d+ masses/)).toBeVisible();
  await context.close();
});

test('what is painted is held against a palette', async ({ page }) => {
  await openStudy(page, app.url, TERRACE);
  await toStep(page, 'Use');
  await toTab(page, 'what belongs');
  await expect(finding(page)).toContainText('of it lies within this palette');
  await page
    .getByLabel('Colours of', { exact: true })
    .selectOption({ label: 'Endpapers, from one red' });
  await expect(finding(page)).toContainText('crept in');
  const strays = page.getByRole('list', { name: 'Crept in', exact: true });
  await expect(strays.getByRole('listitem').first()).toContainText('%');
  await page.locator('summary', { hasText: 'Another picture' }).click();
  const painted = await sharp({
    create: { width: 60, height: 60, channels: 3, background: '#18c040' },
  })
    .png()
    .toBuffer();
  await page
    .getByLabel('A photograph …')
    .setInputFiles({ name: 'mine.png', mimeType: 'image/png', buffer: painted });
  const file = page.getByRole('group', { name: 'Another picture' });
  await expect(file.getByRole('status')).toContainText('0 % of it lies within this palette');
  await expect(file.getByRole('list', { name: 'Crept in' })).toContainText('100 %');
  // Another palette is held against the same picture.
  const belongs = file.getByRole('list', { name: 'What belongs' }).getByRole('listitem');
  const first = await belongs.first().innerText();
  await page
    .getByLabel('Colours of', { exact: true })
    .selectOption({ label: 'One lamp in the dark' });
  await expect(belongs.first()).not.toHaveText(first);
  await expect(file.getByRole('status')).toContainText('0 % of it lies within this palette');
  await page
    .getByLabel('A photograph …')
    .setInputFiles({ name: 'no.png', mimeType: 'image/png', buffer: Buffer.from('no picture') });
  await expect(page.getByText('This file is no picture that the browser can open.')).toBeVisible();
  const clear = await sharp({
    create: { width: 20, height: 20, channels: 4, background: '#00000000' },
  })
    .png()
    .toBuffer();
  await page
    .getByLabel('A photograph …')
    .setInputFiles({ name: 'clear.png', mimeType: 'image/png', buffer: clear });
  await expect(page.getByText('This picture is transparent everywhere.')).toBeVisible();
  // What was held before is still there.
  await expect(file.getByRole('status')).toContainText('0 % of it lies within this palette');
});

test('a server that is killed, and two windows: no try is lost', async ({ page, context }) => {
  await openStudy(page, app.url, TERRACE);
  await toStep(page, 'Use');
  await toTab(page, 'another mood');
  await choose(page, 'Mood', 'dusk');
  await isSaved(page);
  const other = await context.newPage();
  await other.goto(page.url());
  await deskIsSet(other);
  const keep = async (where: Page, name: string) => {
    await where.getByRole('button', { name: 'Keep it …' }).click();
    await where.getByRole('dialog').getByLabel('Name').fill(name);
    await where.getByRole('dialog').getByRole('button', { name: 'Keep', exact: true }).click();
    await expect(where.getByRole('dialog')).toHaveCount(0);
  };
  await app.stop('SIGKILL');
  await keep(page, 'Kept without a server');
  await keep(other, 'Kept in another window');
  await app.start();
  await isSaved(page);
  await isSaved(other);
  for (const where of [page, other]) {
    await where.reload();
    await deskIsSet(where);
    await toTab(where, 'kept');
    const kept = where.getByRole('list', { name: 'Kept tries' });
    await expect(kept).toContainText('Kept without a server');
    await expect(kept).toContainText('Kept in another window');
  }
});

test('where nothing is to be put on it, it says so', async ({ page }) => {
  await openStudy(page, app.url, 'Ticket hall at noon');
  await page.goto(`${page.url().split('?')[0]}?step=use&take=library.gone`);
  await expect(page.getByText(/That library isn’t here/)).toBeVisible();
  // What was there before is there still.
  await expect(finding(page)).toContainText(HOLD);
});
