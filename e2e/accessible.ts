import type { Page } from '@playwright/test';
import { expect } from './app';
import { violationsOf } from './violations';

const STANDARDS = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'];
/** What each surround is called on the screen. */
export const SURROUND_TITLES = { paper: 'paper', grey: 'studio grey', night: 'night' };
const SURROUNDS = Object.keys(SURROUND_TITLES);

/** All rules as the page stands, on its own surround. */
export async function hasNoViolationHere(page: Page, where: string): Promise<void> {
  const found = await violationsOf(page, { runOnly: STANDARDS });
  expect(found.map((violation) => `${where}: ${violation}`)).toEqual([]);
}

/** The same; on each other surround, which differs in its greys alone, the rules of contrast. */
export async function hasNoViolation(page: Page, where: string): Promise<void> {
  await hasNoViolationHere(page, where);
  const found: string[] = [];
  const own = await surroundOf(page);
  for (const surround of SURROUNDS.filter((other) => other !== own)) {
    await setSurround(page, surround);
    found.push(...(await violationsOf(page, { runOnly: ['color-contrast'] })));
  }
  await setSurround(page, own);
  expect(found.map((violation) => `${where}: ${violation}`)).toEqual([]);
}

export const surroundOf = (page: Page) =>
  page.evaluate(() => document.documentElement.dataset.surround ?? '');

/** As the choice of a surround does, which is tried once, without storing it. */
const setSurround = (page: Page, surround: string) =>
  page.evaluate((to) => {
    document.documentElement.dataset.surround = to;
  }, surround);

/** No colour in the room but the picture's: every colour that the page's own parts are given is a grey. */
export async function isNeutral(page: Page): Promise<void> {
  const coloured = await page.evaluate((surrounds) => {
    const found: string[] = [];
    const { dataset } = document.documentElement;
    const own = dataset.surround;
    for (const surround of surrounds) {
      dataset.surround = surround;
      for (const element of document.querySelectorAll('body, body *')) {
        if (element.closest('svg') && element.tagName !== 'svg') continue;
        if ((element as HTMLElement).style.background) continue; // A swatch is its colour.
        const style = getComputedStyle(element);
        for (const property of ['color', 'backgroundColor', 'borderTopColor'] as const) {
          const channels = style[property].match(/[\d.]+/g)?.map(Number) ?? [];
          const [r, g, b, alpha = 1] = channels;
          if (style[property].startsWith('rgb') && alpha > 0 && (r !== g || g !== b))
            found.push(`${element.tagName} ${property} ${style[property]}`);
        }
      }
    }
    dataset.surround = own;
    return found;
  }, SURROUNDS);
  expect(coloured).toEqual([]);
}
