import { appFor, expect, test } from './app';
import { dropPicture, onStage, openStudy, reload, setSlider, toStep } from './page-actions';
import { violationsOf } from './violations';

const app = appFor('demo');

test('the Wall is found by family, key and neutrals, hung in an order, and its address comes back to it', async ({
  page,
}) => {
  await page.goto(app.url);
  const cards = page.getByRole('main').getByRole('listitem');
  const titles = cards.getByRole('heading');
  await expect(cards).toHaveCount(9);

  await page.getByRole('button', { name: 'Find by look' }).click();
  const bars = (facet: string) => page.getByRole('group', { name: facet, exact: true });
  const blue = bars('Dominant family').getByRole('button', { name: /^in blue: / });
  const count = Number(/\d+$/.exec((await blue.getAttribute('aria-label')) ?? '')?.[0]);
  expect(count).toBeGreaterThan(0);
  await blue.click();
  await expect(blue).toHaveAttribute('aria-pressed', 'true');
  await expect(cards).toHaveCount(count);
  await expect(page.getByRole('heading', { name: 'Lower station, rain at dusk' })).toBeVisible();
  await bars('Key')
    .getByRole('button', { name: /^low key: / })
    .click();
  await expect(page.getByRole('status').filter({ hasText: 'of 9' })).toBeVisible();
  await page.getByRole('button', { name: 'Not only low key' }).click();
  await expect(cards).toHaveCount(count);
  await page.getByRole('button', { name: 'Show all' }).click();
  await expect(cards).toHaveCount(9);

  const mostly = bars('Share of neutrals').getByRole('button', { name: /^mostly grey: / });
  await mostly.click();
  await expect(titles.filter({ hasText: 'Fog at the passing loop' })).toBeVisible();
  await expect(titles.filter({ hasText: 'Lower station' })).toHaveCount(0);
  await page.getByLabel('Hang by').selectOption('title');
  await expect(page).toHaveURL(/greys=mostly&sort=title/);
  await expect(titles.first()).toHaveText('Fog at the passing loop');
  const before = await titles.allInnerTexts();
  await reload(page);
  // What is looked for is unfolded where the address has it.
  await expect(mostly).toHaveAttribute('aria-pressed', 'true');
  expect(await titles.allInnerTexts()).toEqual(before);
  expect([...before].sort()).toEqual(before);

  await page.getByRole('searchbox').fill('no such thing');
  await expect(page.getByText('No study answers to that.')).toBeVisible();
  await page.getByRole('main').getByRole('button', { name: 'Show all' }).last().click();
  await page.getByLabel('Hang by').selectOption('lightest');
  await expect(titles.first()).toHaveText(/Summit in snow glare|Fog at/);
  // Pictures hang whole, and rows are full but for the last.
  const boxes = await cards.evaluateAll((all) => {
    const { right } = (all[0].closest('main') as Element).getBoundingClientRect();
    return all.map((card) => {
      const image = card.querySelector('img') as HTMLImageElement;
      const { top, width, height, right: end } = image.getBoundingClientRect();
      const aspect = image.naturalWidth / image.naturalHeight;
      // Narrow ones hang in the middle of their place.
      const isWhole = getComputedStyle(image).objectFit === 'contain';
      return { top: Math.round(top), spare: right - end, isWhole, off: aspect - width / height };
    });
  });
  const tops = [...new Set(boxes.map(({ top }) => top))].slice(0, -1);
  const full = tops.map((one) => boxes.filter(({ top }) => top === one));
  expect(full.length).toBeGreaterThan(0);
  for (const row of full) expect(Math.min(...row.map(({ spare }) => spare))).toBeLessThan(30);
  expect(boxes.every(({ isWhole }) => isWhole)).toBe(true);
  expect(Math.max(...boxes.map(({ off }) => off))).toBeLessThan(0.03);
});

test('two studies from the Wall side by side, with what parts them', async ({ page }) => {
  await page.goto(app.url);
  await page.getByRole('button', { name: 'More for Ticket hall at noon' }).click();
  await page.getByRole('menuitem', { name: 'Compare with …' }).click();
  await page
    .getByRole('dialog')
    .getByRole('link', { name: /Lower station/ })
    .click();
  const first = page.getByRole('region', { name: 'The first' });
  await expect(first.getByText('Ticket hall at noon')).toBeVisible();
  await expect(page.getByRole('img', { name: /^Palette:/ })).toHaveCount(2);
  await expect(page.getByRole('img', { name: /^Hues in light and shadow/ })).toHaveCount(2);
  const said = page.getByTestId('difference');
  await expect(said.first()).toHaveText(/“[^”]+” is darker than “[^”]+” by \d\.\d steps/);
  await expect(page.getByRole('row', { name: /^Key and range Middle, full Low/ })).toBeVisible();
  await page.getByText('Hues in light and shadow as a table').click();
  await expect(page.getByRole('row', { name: /^blue-green / })).toBeVisible();
  expect(await violationsOf(page)).toEqual([]);
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(1280);

  // In greys: both are drawn, and no pixel has a colour.
  await page.getByRole('radio', { name: 'greys' }).click();
  const greys = page.getByRole('img', { name: 'in greys' });
  await expect(greys).toHaveCount(2);
  const coloured = () =>
    greys.evaluateAll((all) =>
      all.map((one) => {
        const { width, height } = one as HTMLCanvasElement;
        const { data } = (one as HTMLCanvasElement)
          .getContext('2d')!
          .getImageData(0, 0, width, height);
        const sums = [0, 0];
        for (let i = 0; i < data.length; i += 4) {
          if (data[i] !== data[i + 1] || data[i] !== data[i + 2]) sums[0]++;
          sums[1] += data[i];
        }
        return [sums[0], sums[1] > 0];
      }),
    );
  await expect.poll(coloured).toEqual([
    [0, true],
    [0, true],
  ]);

  await page.getByRole('button', { name: 'Swap' }).click();
  await expect(said.first()).toHaveText(/“[^”]+” is lighter than “/);
  const address = page.url().replace(/one=[^&]+/, 'one=none');
  expect((await page.goto(address))?.status()).toBe(404);
});

test('a guess is asked for first, nothing is told before it, and the score is kept', async ({
  page,
}) => {
  await openStudy(page, app.url, 'Ticket hall at noon');
  await toStep(page, 'Colours');
  await page.getByLabel('Guess first').check();
  const place = page.getByRole('region', { name: 'Three questions' });
  await page.mouse.click(...(await onStage(page, 0.5, 0.52)));
  await expect(place).toContainText('What do you see there?');
  await expect(place).not.toContainText(/dark|light blue/);
  await expect(page.getByTestId('reading-line')).toContainText('Nothing is read until');
  const show = page.getByRole('button', { name: 'Show the reading' });
  await expect(show).toBeDisabled();
  await page.getByRole('radio', { name: 'blue', exact: true }).click();
  await setSlider(page, 'How light?', -6);
  await page.getByRole('radio', { name: 'moderate', exact: true }).click();
  await show.click();
  await expect(place.getByRole('status')).toContainText('The family is right;');
  await expect(place).toContainText(/One guess so far: family right in 1 of 1/);
  await expect(page.getByTestId('reading-line')).not.toContainText('Nothing is read until');

  // The next place asks again; a skipped one is shown and not counted.
  await page.mouse.click(...(await onStage(page, 0.6, 0.85)));
  await page.getByRole('button', { name: 'Skip' }).click();
  await expect(place).toContainText('Which family?');
  await expect(place).not.toContainText('so far');
  await reload(page);
  await expect(page.getByLabel('Guess first')).toBeChecked();
  await page.getByLabel('Guess first').uncheck();
  await expect(place).toContainText('How intense?');
});

test('a picture just brought in is found by its colours once they are read', async ({ page }) => {
  await page.goto(app.url);
  await page.getByRole('button', { name: 'More for Enamel tile for the endpapers' }).click();
  await page.getByRole('menuitem', { name: 'Delete' }).click();
  await dropPicture(page, 'enamel-tile.webp');
  await page.getByRole('button', { name: /Begin a new study/ }).click();
  await expect(page).toHaveURL(/desk/);
  await expect
    .poll(
      async () => {
        await page.goto(app.url);
        return page.getByRole('main').getByRole('listitem').first().innerText();
      },
      { timeout: 20_000 },
    )
    .toMatch(/key, .* range · in /);
});
