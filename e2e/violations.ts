import type { Page } from '@playwright/test';
import axe from 'axe-core';

/** What a run of axe may be told here. */
interface Run {
  runOnly?: string[];
}

/**
 * The rules that a page breaks, one line each with the first element that does. Runs of one call share the page's tree; axe
 * is brought in where it isn't yet.
 */
export async function violationsOf(page: Page, run: Run = {}): Promise<string[]> {
  const isThere = await page.evaluate(() => 'axe' in window);
  // As a debugger does it: no policy of the page keeps it out, and none is loosened.
  if (!isThere) await page.evaluate(axe.source);
  return page.evaluate(async ({ runOnly }) => {
    const { axe: own } = window as unknown as { axe: typeof axe };
    const { violations } = await own.run(document, {
      ...(runOnly && { runOnly }),
      resultTypes: ['violations'],
      // No rule of these reads style sheets, which would be fetched once more.
      preload: false,
    });
    return violations.map(({ id, nodes }) => `${id}: ${nodes[0].html}`);
  }, run);
}
