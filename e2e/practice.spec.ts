import { readFile } from 'node:fs/promises';
import { valueOfOklab } from '@/core/colour/value';
import { hasNoViolation, isNeutral } from './accessible';
import { appFor, expect, test, watch } from './app';
import { choose, finding, isReady, reload, setSlider } from './page-actions';
import {
  answersKept,
  answerSomehow,
  answerUntil,
  beginRound,
  checkScreen,
  goOn,
  kindOf,
  outcome,
  paintOf,
  question,
} from './practice-actions';

const app = appFor('empty');
/** Rounds of this seed are always the same where nothing was answered before. */
const ROUND = '/practice?seed=18';

test('a round goes by keys alone, from the check of the screen to what was missed', async ({
  page,
}) => {
  await page.goto(`${app.url}${ROUND}`);
  await isReady(page);
  await expect(finding(page)).toContainText('An eye is trained by guessing first');
  await page.getByRole('button', { name: 'Begin, 5 minutes' }).press('Enter');
  await checkScreen(page, 4);

  // A value that is read off the screen is right.
  await answerUntil(page, 'value');
  const value = valueOfOklab(await paintOf(page.getByTestId('patch')));
  const half = Math.round(2 * value) / 2;
  const key = `Digit${Math.floor(half)}`;
  await page.keyboard.press(Number.isInteger(half) ? key : `Shift+${key}`);
  await expect(outcome(page)).toHaveText('Right.');
  await expect(finding(page)).toContainText(`It is ${value.toFixed(1)}`);
  // And one far off isn't, and says by how much.
  await goOn(page);
  await answerUntil(page, 'value');
  const other = valueOfOklab(await paintOf(page.getByTestId('patch')));
  await page.keyboard.press(other > 5 ? 'Digit1' : 'Digit9');
  await expect(outcome(page)).toHaveText('Missed.');
  await expect(finding(page)).toContainText(other > 5 ? /steps too dark/ : /steps too light/);
  // The two stand edge to edge, the colour as it is to the left.
  const [left, right] = await page.getByTestId('truth').all();
  expect(valueOfOklab(await paintOf(left.locator('span').first()))).toBeCloseTo(other, 1);
  expect(valueOfOklab(await paintOf(right.locator('span').first()))).toBeCloseTo(
    other > 5 ? 1 : 9,
    0,
  );
  const [one, two] = [await left.boundingBox(), await right.boundingBox()];
  expect(Math.abs(one!.x + one!.width - two!.x)).toBeLessThan(1);

  await page.keyboard.press('Escape');
  await expect(finding(page)).toContainText(/questions?, \w+ missed/);
  await expect(page.getByText('All answers are kept.')).toBeVisible();
  await expect(page.getByRole('list', { name: 'What was missed' })).toContainText(
    'How light is it?',
  );
  await page.keyboard.press('Enter');
  await expect(finding(page)).toContainText('so far');
  const kept = await answersKept(page, app.url);
  expect(kept).toBeGreaterThan(1);

  // The screen is known now, and what it didn't show is left out.
  await choose(page, 'Part of practice', 'this screen');
  await expect(page.getByRole('region', { name: 'This screen' })).toContainText(
    'In a dim room this screen shows steps from value 1.5 to 9.2',
  );
  await reload(page);
  await page.getByRole('button', { name: 'Begin, 5 minutes' }).press('Enter');
  await expect(question(page)).toBeVisible();
});

test('orders are called, moved and dragged; a match goes by sliders, value first', async ({
  page,
}) => {
  await beginRound(page, app.url + ROUND);
  await answerUntil(page, 'order by value');
  const places = page.getByRole('list', { name: 'Order' }).getByRole('button');
  const order = () =>
    places.evaluateAll((all) =>
      all.map((one) => (one.getAttribute('aria-label') ?? '').slice(0, 8)),
    );
  const begun = await order();
  // Moved by an arrow, and dragged back.
  await places.first().press('ArrowRight');
  await expect.poll(order).toEqual([begun[1], begun[0], ...begun.slice(2)]);
  const [from, to] = [await places.nth(1).boundingBox(), await places.nth(0).boundingBox()];
  await page.mouse.move(from!.x + from!.width / 2, from!.y + 50);
  await page.mouse.down();
  await page.mouse.move(from!.x, from!.y + 50, { steps: 4 });
  await page.mouse.move(to!.x + 10, to!.y + 50, { steps: 6 });
  await page.mouse.up();
  await expect.poll(order).toEqual(begun);
  // Called by their numbers, the darkest first.
  const values = await Promise.all(
    (await places.all()).map(async (place, i) => ({
      number: i + 1,
      value: valueOfOklab(await paintOf(place.locator('span').first())),
    })),
  );
  const sorted = values.toSorted((a, b) => a.value - b.value);
  await question(page).getByText('dark', { exact: true }).click();
  for (const { number } of sorted) await page.keyboard.press(String(number));
  await expect.poll(order).toEqual(sorted.map(({ number }) => `Colour ${number}`));
  await page.keyboard.press('Enter');
  await expect(outcome(page)).toHaveText('Right.');

  await goOn(page);
  await answerUntil(page, 'match');
  const family = page.getByRole('slider', { name: 'Family' });
  await expect(family).toHaveAttribute('data-disabled', '');
  await setSlider(page, 'Value', 10);
  await page.getByRole('button', { name: 'The value is right' }).click();
  await expect(family).toHaveAttribute('data-disabled', '');
  await page.getByRole('button', { name: 'The intensity is right' }).click();
  const before = await paintOf(page.getByTestId('own'));
  await setSlider(page, 'Family', 12);
  expect(await paintOf(page.getByTestId('own'))).not.toEqual(before);
  await page.getByRole('button', { name: 'That matches' }).click();
  await expect(outcome(page)).toBeVisible();
});

test('answers outlast a killed server and a closed tab, each counted once', async ({
  page,
  context,
}) => {
  await beginRound(page, app.url + ROUND);
  await answerSomehow(page);
  await goOn(page);
  await expect.poll(() => answersKept(page, app.url)).toBe(1);
  await app.stop('SIGKILL');
  await answerSomehow(page);
  await expect(page.getByText('kept in this browser')).toBeVisible();
  await goOn(page);
  await answerSomehow(page);
  // The server is back: nobody has to press anything.
  await app.start();
  await expect(page.getByText('kept in this browser')).toHaveCount(0);
  expect(await answersKept(page, app.url)).toBe(3);

  await app.stop('SIGKILL');
  await goOn(page);
  await answerSomehow(page);
  await expect(page.getByText('kept in this browser')).toBeVisible();
  await page.close();
  await app.start();
  const next = await context.newPage();
  const wrong = watch(next);
  await next.goto(`${app.url}/practice`);
  await expect(finding(next)).toContainText('Four answers so far');
  expect(await answersKept(next, app.url)).toBe(4);
  expect(wrong).toEqual([]);
});

test('a round ends with its time, and not in the middle of a question', async ({ page }) => {
  await page.clock.install();
  await beginRound(page, app.url + ROUND);
  await answerSomehow(page);
  await goOn(page);
  const left = page.getByRole('progressbar', { name: 'Time left' });
  expect(Number(await left.getAttribute('aria-valuenow'))).toBeGreaterThan(90);
  await page.clock.fastForward(6 * 60_000);
  await expect(left).toHaveAttribute('aria-valuenow', '0');
  await answerSomehow(page);
  await page.getByRole('button', { name: 'To the end' }).click();
  await expect(finding(page)).toContainText('Two questions');
});

test('who doesn’t part red and green is asked of value and intensity alone', async ({ page }) => {
  await page.goto(`${app.url}${ROUND}`);
  await isReady(page);
  await page.getByRole('checkbox', { name: /don’t part red and green/ }).check();
  await page.getByRole('button', { name: 'Begin, 5 minutes' }).click();
  await checkScreen(page);
  for (let i = 0; i < 10; i++) {
    expect([
      'value',
      'intensity',
      'order by value',
      'same value, other hue',
      'lightness against brightness',
    ]).toContain(await kindOf(page));
    await answerSomehow(page);
    await goOn(page);
  }
});

test('a screen that shows no steps is told so, and nothing is asked', async ({ page }) => {
  await page.goto(`${app.url}${ROUND}`);
  await isReady(page);
  await page.getByRole('button', { name: 'Begin, 5 minutes' }).click();
  await checkScreen(page, 0);
  await expect(page.getByRole('heading', { level: 1 })).toContainText('shows no steps');
  await page.getByRole('button', { name: 'Not now' }).click();
  await expect(finding(page)).toContainText('An eye is trained');
});

test('a round for a class runs from its file with the network off, and its answers come back as a spread', async ({
  page,
  browser,
}, testInfo) => {
  await page.goto(`${app.url}/practice?tab=class`);
  await isReady(page);
  await page.getByLabel('Title').fill('');
  await expect(page.getByText('A round needs a title.')).toBeVisible();
  await page.getByLabel('Title').fill('Greys & their leanings');
  await choose(page, 'Questions', '8');
  const [made] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Make the page' }).click(),
  ]);
  expect(made.suggestedFilename()).toBe('Greys & their leanings.html');
  const file = testInfo.outputPath('round.html');
  await made.saveAs(file);

  const files: string[] = [];
  for (const name of ['one', 'two']) {
    const away = await browser.newContext({ offline: true, viewport: { width: 390, height: 844 } });
    const student = await away.newPage();
    const wrong = watch(student);
    await student.goto(`file://${file}`);
    await expect(student.getByRole('heading')).toHaveText('Greys & their leanings');
    await student.getByRole('button', { name: 'Begin' }).click();
    for (let i = 1; i <= 8; i++) {
      await expect(student.getByRole('heading')).toContainText(`${i} of 8.`);
      const width = await student.evaluate(() => document.documentElement.scrollWidth);
      expect(width).toBeLessThanOrEqual(390);
      // One leaves the last out; the other answers by the first thing there is, of an order by all in turn.
      const out = student.getByRole('button', { name: 'Leave it out' });
      if (i === 8 && name === 'two') {
        await out.click();
        break;
      }
      const answers = student.locator('.colours button, .words button, .values button');
      const isOrder = (await student.getByText('Press them one after another').count()) > 0;
      const isMatch = (await student.getByLabel('Family').count()) > 0;
      if (isMatch) await expect(student.getByLabel('Family')).toBeDisabled();
      const count = isOrder ? await answers.count() : 1;
      // By touch, or by keys.
      if (isMatch)
        for (const words of ['The value is right', 'The intensity is right', 'That matches'])
          await student.getByRole('button', { name: words }).click();
      else
        for (let at = 0; at < count; at++)
          if (name === 'one') await answers.nth(at).click();
          else await student.keyboard.press(String(at + 1));
      await expect(student.getByRole('heading')).toContainText(/^(?:Right|Missed|Not scored)\. /);
      if (name === 'one') await student.getByRole('button', { name: 'Next' }).click();
      else await student.keyboard.press('Enter');
    }
    await expect(student.getByRole('heading')).toContainText(/of 8 answered/);
    const [kept] = await Promise.all([
      student.waitForEvent('download'),
      student.getByRole('button', { name: 'Keep my answers' }).click(),
    ]);
    files.push(testInfo.outputPath(`${name}.json`));
    await kept.saveAs(files.at(-1)!);
    expect(wrong).toEqual([]);
    await away.close();
  }
  expect(await readFile(files[0], 'utf8')).not.toMatch(/name|author/);

  const other = { name: 'holiday.json', mimeType: 'application/json', buffer: Buffer.from('{}') };
  const chosen = page.getByLabel('Open files of answers …');
  await chosen.setInputFiles(files);
  const spread = page.getByRole('region', { name: 'Greys & their leanings' });
  await expect(page.getByTestId('spread')).toContainText('the answers of two came back');
  await expect(spread.getByRole('listitem').filter({ hasText: /^\d+\. / })).toHaveCount(8);
  await expect(spread).toContainText(/of 2 right|not scored/);
  await chosen.setInputFiles([other]);
  await expect(page.getByText('No answers to a round are in holiday.json.')).toBeVisible();
});

test('by touch on a phone, without a violation on any surround', async ({ browser }) => {
  const phone = await browser.newContext({
    hasTouch: true,
    isMobile: true,
    viewport: { width: 390, height: 844 },
  });
  const page = await phone.newPage();
  const wrong = watch(page);
  await page.goto(`${app.url}${ROUND}`);
  await isReady(page);
  await hasNoViolation(page, 'Practice');
  for (const tab of ['for a class', 'this screen', 'profile']) {
    await page.getByRole('radio', { name: tab }).tap();
    await hasNoViolation(page, `Practice, ${tab}`);
  }
  await page.getByRole('button', { name: 'Begin, 5 minutes' }).tap();
  await hasNoViolation(page, 'The check of the screen');
  await checkScreen(page);
  const met = new Set<string>();
  for (let i = 0; i < 14; i++) {
    const kind = (await kindOf(page)) ?? '';
    const isNew = !met.has(kind);
    met.add(kind);
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(
      390,
    );
    if (isNew) await hasNoViolation(page, `Practice, ${kind}`);
    const answers = page.getByRole('list', { name: 'Answers' }).getByRole('button');
    if ((await answers.count()) > 0) {
      const box = await answers.first().boundingBox();
      expect(Math.min(box!.width, box!.height)).toBeGreaterThanOrEqual(40);
      await answers.first().tap();
    } else await answerSomehow(page);
    await expect(outcome(page)).toBeVisible();
    if (isNew) await hasNoViolation(page, `Practice, ${kind}, told`);
    await page.getByRole('button', { name: 'Next' }).tap();
  }
  await isNeutral(page);
  expect(wrong).toEqual([]);
  await phone.close();
});
