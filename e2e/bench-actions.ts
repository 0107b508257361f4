import { expect, type Page } from '@playwright/test';
import { isReady } from './page-actions';

/** What a person does at the Bench, for the specs of it. */

export async function openBench(page: Page, url: string): Promise<void> {
  await page.goto(`${url}/bench`);
  await isReady(page);
}

export const tubes = (page: Page) =>
  page.getByRole('list', { name: 'Tubes' }).getByRole('listitem');
export const tubeButton = (page: Page, name: RegExp) => tubes(page).getByRole('button', { name });

export async function addEarths(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Add the set Earths' }).click();
  await expect(tubes(page)).toHaveCount(7);
}
