import sharp from 'sharp';
import { expect, type Locator, type Page } from '@playwright/test';
import { readFile } from 'node:fs/promises';
import path from 'node:path';
import { root } from '../scripts/lib.mjs';

/** What a person does on a page, for every spec. */

export const picturePath = (name: string) => path.join(root, 'demo/pictures', name);

/**
 * Waits until React has taken the page over: before that nobody listens for drops and pastes, and what is filled in is
 * lost. Presses of buttons are kept for it.
 */
export async function isReady(page: Page): Promise<void> {
  await page.waitForFunction(() =>
    Object.keys(document.querySelector('main') ?? {}).some((key) => key.startsWith('__react')),
  );
}

/** Drops a file on the page, as from a folder on the desktop. */
export async function drop(page: Page, name: string, bytes: Uint8Array, type = ''): Promise<void> {
  await isReady(page);
  const transfer = await page.evaluateHandle(
    ({ base64, name, type }) => {
      const bytes = Uint8Array.from(atob(base64), (c) => c.charCodeAt(0));
      const transfer = new DataTransfer();
      transfer.items.add(new File([bytes], name, { type }));
      return transfer;
    },
    { base64: Buffer.from(bytes).toString('base64'), name, type },
  );
  const target = page.locator('main');
  for (const event of ['dragenter', 'dragover', 'drop'])
    await target.dispatchEvent(event, { dataTransfer: transfer });
}

export async function dropPicture(page: Page, name: string): Promise<void> {
  await drop(page, name, await readFile(picturePath(name)), 'image/webp');
}

/** Waits until the picture stands on the Desk and its palette in the tray. */
export async function deskIsSet(page: Page): Promise<void> {
  await expect(page.getByTestId('stage').locator('canvas').first()).toBeVisible();
  await expect(page.getByTestId('stage')).toHaveAttribute('data-drawn', 'true');
}

export async function openStudy(page: Page, url: string, title: string): Promise<void> {
  await page.goto(url);
  await page.getByRole('link', { name: `Open ${title}` }).click();
  await deskIsSet(page);
}

export async function toStep(
  page: Page,
  step: 'Look' | 'Values' | 'Colours' | 'Hidden' | 'Palette' | 'Mix' | 'Use' | 'Check',
): Promise<void> {
  await page
    .getByRole('navigation', { name: 'Order of work' })
    .getByRole('button', { name: step })
    .click();
}

/** Chooses one of a few that stand side by side. */
export async function choose(page: Page, among: string, name: string): Promise<void> {
  await page
    .getByRole('radiogroup', { name: among, exact: true })
    .or(page.getByRole('group', { name: among, exact: true }))
    .getByRole('radio', { name, exact: true })
    .click();
}

/** Turns to a tab of the open step. */
export async function toTab(page: Page, tab: string): Promise<void> {
  await page
    .getByRole('radiogroup', { name: /^What is (asked|done)$/ })
    .getByRole('radio', { name: tab, exact: true })
    .click();
}

export async function isSaved(page: Page): Promise<void> {
  await expect(page.getByTestId('save-state')).toHaveText('saved');
}

/** Reloads the page once the address holds all that is looked at: it is written a moment after the change. */
export async function reload(page: Page): Promise<void> {
  await expect(page.locator('html[data-address="pending"]')).toHaveCount(0);
  await page.reload();
  await isReady(page);
}

/** The swatches in the tray, from left to right. */
export function tray(page: Page): Locator {
  return page.getByTestId('tray').getByRole('button');
}

/** What the tray's swatches say of themselves, and the colours of their blocks as they are on the screen. */
export const labels = (page: Page) =>
  tray(page).evaluateAll((all) => all.map((block) => block.getAttribute('aria-label') ?? ''));
export const hexes = (page: Page) =>
  tray(page).evaluateAll((all) =>
    all.map((block) => getComputedStyle(block.firstElementChild as Element).backgroundColor),
  );

/** A point of the stage, in fractions of it. */
export async function onStage(page: Page, x: number, y: number): Promise<[number, number]> {
  const box = await page.getByTestId('stage').boundingBox();
  if (!box) throw new Error('no stage');
  return [box.x + x * box.width, box.y + y * box.height];
}

/** Sets a slider by its keys, ten steps at a time where it goes far: so that a busy machine makes one change of it. */
export async function setSlider(page: Page, label: string, steps: number): Promise<void> {
  const slider = page.getByRole('slider', { name: label, exact: true });
  await slider.focus();
  for (let i = 0; i < Math.floor(Math.abs(steps) / 10); i++)
    await slider.press(steps > 0 ? 'PageUp' : 'PageDown');
  for (let i = 0; i < Math.abs(steps) % 10; i++)
    await slider.press(steps > 0 ? 'ArrowRight' : 'ArrowLeft');
}

/** Presses on a slider's handle, wherever what is still loading pushes it before it is held. */
export async function grasp(page: Page, handle: Locator): Promise<{ x: number; y: number }> {
  let at = { x: 0, y: 0 };
  await expect(async () => {
    await page.mouse.up();
    await handle.scrollIntoViewIfNeeded();
    await handle.evaluate((element) => element.blur());
    const box = (await handle.boundingBox())!;
    at = { x: box.x + box.width / 2, y: box.y + Math.min(8, box.height / 2) };
    await page.mouse.move(at.x, at.y);
    await page.mouse.down();
    await expect(handle).toBeFocused({ timeout: 2000 });
  }).toPass();
  return at;
}

/** Waits until what lies over the picture, as of a step, is there and is of what was asked last. */
export async function isCovered(page: Page): Promise<void> {
  await expect(page.getByTestId('stage')).toHaveAttribute('data-covered', 'true');
  await expect(page.getByTestId('stage')).not.toHaveAttribute('data-stale');
}

/** The colour of the stage's pixel under a point, as it is on the screen. */
export async function pixelAt(page: Page, x: number, y: number): Promise<number[]> {
  const png = await page.screenshot({ clip: { x, y, width: 1, height: 1 } });
  return [...(await sharp(png).removeAlpha().raw().toBuffer())];
}

/** The libraries that are drawn, and their names. */
export const libraryRows = (page: Page) =>
  page.getByRole('list', { name: 'Libraries' }).getByRole('listitem');
export const libraryNames = (page: Page) => libraryRows(page).getByRole('heading');
export const finding = (page: Page) => page.getByTestId('finding');

export async function openDrawers(page: Page, url: string, query = ''): Promise<void> {
  await page.goto(`${url}/drawers${query}`);
  await isReady(page);
  await expect(finding(page)).toBeVisible();
}

export const undo = (page: Page) => page.getByRole('button', { name: 'Undo', exact: true });

/** What a button hands over as a file: its name and its bytes. */
export async function downloaded(page: Page, name: string | RegExp) {
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name }).click(),
  ]);
  return { name: file.suggestedFilename(), bytes: await readFile(await file.path()) };
}
