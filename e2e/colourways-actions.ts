import { readFile } from 'node:fs/promises';
import path from 'node:path';
import { expect, type Page } from '@playwright/test';
import { root } from '../scripts/lib.mjs';
import { choose, isReady, pixelAt } from './page-actions';

/** What a person does with a pattern, for the specs of Colourways. */

export const patternFile = (name: string) => path.join(root, 'demo/patterns', name);
export const duplicates = (page: Page) =>
  page.getByRole('list', { name: 'Near-duplicates' }).getByRole('button');
export const block = (page: Page, n: number) =>
  page.getByRole('group', { name: 'Palette', exact: true }).getByRole('button').nth(n);
export const row = (page: Page) => page.getByRole('list', { name: 'Colourways in a row' });
export const look = (page: Page, name: string) => choose(page, 'How it is looked at', name);
export const tab = (page: Page, name: string) => choose(page, 'Part of the work', name);

export async function isDrawn(page: Page): Promise<void> {
  const drawing = page.getByTestId('drawing');
  await expect(drawing).toBeVisible();
  await drawing.evaluate((image: HTMLImageElement) => image.decode());
}

export async function openPattern(page: Page, url: string, title: string): Promise<void> {
  await page.goto(`${url}/colourways`);
  await page.getByRole('link', { name: new RegExp(title) }).click();
  await isReady(page);
  await isDrawn(page);
}

/** A place of the drawing, in shares of its sides, on the page. */
export async function onDrawing(page: Page, x: number, y: number): Promise<[number, number]> {
  const box = (await page.getByTestId('drawing').boundingBox())!;
  return [box.x + x * box.width, box.y + y * box.height];
}

export const hexAt = async (page: Page, x: number, y: number) => {
  const [r, g, b] = await pixelAt(page, ...(await onDrawing(page, x, y)));
  return `#${[r, g, b].map((channel) => channel.toString(16).padStart(2, '0')).join('')}`;
};

export const hexOfBlock = async (page: Page, n: number) => {
  const [, r, g, b] = /rgb\((\d+), (\d+), (\d+)\)/.exec(
    await block(page, n).evaluate(
      (element) => getComputedStyle(element.firstElementChild as Element).backgroundColor,
    ),
  )!;
  return `#${[r, g, b].map((channel) => Number(channel).toString(16).padStart(2, '0')).join('')}`;
};

/** The bytes of what a button hands over. */
export async function downloadedBytes(page: Page, button: string): Promise<Buffer> {
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: button }).click(),
  ]);
  return readFile(await file.path());
}
