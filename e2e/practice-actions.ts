import { expect, type Locator, type Page } from '@playwright/test';
import { oklabFromBytes } from '@/core/colour/hex';
import type { Oklab } from '@/core/colour/oklab';
import { isReady } from './page-actions';

/** What a person does in Practice, and what they see there. */

export const question = (page: Page): Locator => page.getByTestId('question');
export const kindOf = (page: Page) => question(page).getAttribute('data-kind');
export const outcome = (page: Page): Locator => page.getByTestId('outcome');

/** The colour that something is painted with on the screen. */
export async function paintOf(locator: Locator): Promise<Oklab> {
  const paint = await locator.evaluate((element) => getComputedStyle(element).backgroundColor);
  const [r, g, b] = (paint.match(/\d+/g) ?? []).map(Number);
  return oklabFromBytes([r, g, b]);
}

const quarters = (page: Page) => page.getByRole('list', { name: 'Quarters' }).getByRole('button');

/** Checks the screen by keys as eyes do that see every step, or none beyond so many at each end. */
export async function checkScreen(page: Page, steps = Infinity): Promise<void> {
  await page.getByRole('button', { name: 'Check the screen' }).press('Enter');
  for (const end of ['lighter', 'darker']) {
    await expect(page.getByTestId('finding')).toHaveText(`Which quarter is ${end}?`);
    for (let i = 0; i < 6; i++) {
      const paints = await quarters(page).evaluateAll((all) =>
        all.map((one) => getComputedStyle(one).backgroundColor),
      );
      const other = paints.findIndex((paint) => paints.filter((one) => one === paint).length === 1);
      await page.keyboard.press(i < steps ? String(other + 1) : '0');
      if (i >= steps) break;
    }
  }
  if (steps === 0) return;
  await expect(page.getByTestId('finding')).toContainText('In a dim room this screen shows steps');
  await page.keyboard.press('Enter');
}

/** Begins a round at an address, on a screen that shows every step. */
export async function beginRound(page: Page, address: string): Promise<void> {
  await page.goto(address);
  await isReady(page);
  await page.getByRole('button', { name: 'Begin, 5 minutes' }).click();
  await checkScreen(page);
}

/** Answers whatever is asked, by keys: not seldom wrong. */
export async function answerSomehow(page: Page): Promise<void> {
  const answers = page.getByRole('list', { name: 'Answers' });
  await expect(
    answers
      .or(page.getByRole('list', { name: 'Order' }))
      .or(page.getByTestId('own'))
      .first(),
  ).toBeVisible();
  const kind = await kindOf(page);
  if (kind === 'match') for (let i = 0; i < 3; i++) await page.keyboard.press('Enter');
  else if (kind === 'order by value') await page.keyboard.press('Enter');
  else if (kind === 'value') await page.keyboard.press('5');
  else await page.keyboard.press((await answers.locator('kbd').first().innerText()).trim());
  await expect(outcome(page)).toBeVisible();
}

/** Goes on to the next question by a key. */
export async function goOn(page: Page): Promise<void> {
  await page.keyboard.press('Enter');
  await expect(outcome(page)).toHaveCount(0);
}

/** Answers on until a kind of question is asked. */
export async function answerUntil(page: Page, kind: string, most = 60): Promise<void> {
  for (let i = 0; i < most && (await kindOf(page)) !== kind; i++) {
    await answerSomehow(page);
    await goOn(page);
  }
  await expect(question(page)).toHaveAttribute('data-kind', kind);
}

/** How many answers the server has. */
export async function answersKept(page: Page, url: string): Promise<number> {
  const { answers } = await (await page.request.get(`${url}/api/practice`)).json();
  return answers.length;
}
