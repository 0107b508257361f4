import { randomUUID } from 'node:crypto';
import type { Locator } from '@playwright/test';
import { oklabFromBytes } from '@/core/colour/hex';
import { valueOfOklab } from '@/core/colour/value';
import { appFor, expect, test } from './app';
import { choose, finding, isReady, openStudy, toStep } from './page-actions';
import { answerSomehow, checkScreen, goOn, kindOf, outcome } from './practice-actions';

const app = appFor('demo');

test('eight weeks are read in words, in plots and their tables; a guess on the Desk is part of it', async ({
  page,
}) => {
  await page.goto(`${app.url}/practice`);
  await isReady(page);
  await expect(finding(page)).toHaveText(
    /^You read .*s [\d.a-z ]+ too (?:light|dark).*; your readings spread by/,
  );
  await expect(
    page.getByRole('region', { name: 'What to practise' }).getByRole('listitem').first(),
  ).toHaveText(/^Values of violets: you read them .* too dark\.$/);
  const values = page.getByRole('region', { name: 'How you read colours' });
  await expect(values.getByTestId('leaning-plot').locator('canvas')).toBeVisible();
  await values.getByText('Figures').click();
  const violets = page.getByRole('rowheader', { name: 'violets', exact: true });
  await expect(values.getByRole('row').filter({ has: violets })).toContainText('too dark');
  await choose(page, 'Parts', 'by value');
  await expect(values.getByRole('rowheader')).toHaveText(['darks', 'middles', 'lights']);
  await choose(page, 'How you read', 'families');
  await expect(values.getByRole('row').filter({ hasText: 'middles' })).toContainText('off');
  const weeks = page.getByRole('region', { name: 'Week by week' });
  await weeks.getByText('Figures').click();
  expect(await weeks.getByRole('rowheader').count()).toBeGreaterThanOrEqual(8);

  const families = page
    .getByRole('region', { name: 'Skills' })
    .getByRole('row')
    .filter({ has: page.getByRole('rowheader', { name: 'families', exact: true }) })
    .getByRole('cell')
    .first();
  const before = Number(await families.innerText());
  const { studies } = await (await page.request.get(`${app.url}/api/studies?limit=1`)).json();
  const guess = { wheel: 'painters', family: 3, value: 5, intensity: 'dull' };
  const colour = { L: 0.6, a: 0.05, b: 0.08 };
  const kept = await page.request.post(`${app.url}/api/attempts`, {
    data: { id: randomUUID(), studyId: studies[0].id, colour, guess },
  });
  expect(kept.ok()).toBe(true);
  await page.reload();
  await expect(families).toHaveText(String(before + 1));
});

test('a round is made of a study that is chosen', async ({ page }) => {
  await page.goto(`${app.url}/practice?seed=18`);
  await isReady(page);
  await expect(page.getByRole('region', { name: 'A round' })).toContainText(
    'Made of your palettes',
  );
  await page.getByRole('button', { name: 'Another study …' }).click();
  await page.getByRole('link', { name: /Winch room by lamplight/ }).click();
  await expect(page).toHaveURL(/study=/);
  await expect(page.getByRole('region', { name: 'A round' })).toContainText(
    'Made of the palette of “Winch room by lamplight”',
  );
  await choose(page, 'Part of practice', 'for a class');
  await expect(page.getByLabel('Title')).toHaveValue('A round on Winch room by lamplight');

  // Places of its picture are asked about, as they stand there.
  await page.getByRole('button', { name: 'Begin, 5 minutes' }).click();
  await checkScreen(page);
  const ring = page.getByTestId('ring');
  for (let i = 0; i < 80; i++) {
    if ((await ring.count()) > 0 && (await kindOf(page)) === 'value') break;
    await answerSomehow(page);
    await goOn(page);
  }
  await expect(finding(page)).toHaveText('How light is the place in the ring?');
  const image = page.getByRole('img', { name: '“Winch room by lamplight” with a ring' });
  const there = valueOfOklab(oklabFromBytes(await inTheRing(image, ring)));
  await page.keyboard.press('5');
  await expect(outcome(page)).toBeVisible();
  const said = /It is ([\d.]+)/.exec(await finding(page).innerText())![1];
  expect(Math.abs(Number(said) - there)).toBeLessThan(0.4);
});

/** The mean of a picture's pixels in the middle of a ring that lies over it. */
async function inTheRing(image: Locator, ring: Locator): Promise<[number, number, number]> {
  const [whole, round] = [await image.boundingBox(), await ring.boundingBox()];
  const at = {
    x: (round!.x + round!.width / 2 - whole!.x) / whole!.width,
    y: (round!.y + round!.height / 2 - whole!.y) / whole!.height,
    size: round!.width / 2 / whole!.width,
  };
  return image.evaluate((element, { x, y, size }) => {
    const picture = element as HTMLImageElement;
    const { naturalWidth: width, naturalHeight: height } = picture;
    const side = Math.max(1, Math.round(size * width));
    const context = new OffscreenCanvas(side, side).getContext('2d')!;
    context.drawImage(picture, side / 2 - x * width, side / 2 - y * height);
    const { data } = context.getImageData(0, 0, side, side);
    const mean = [0, 0, 0].map(
      (_, c) => data.filter((_, i) => i % 4 === c).reduce((sum, n) => sum + n, 0) / (side * side),
    );
    return mean as [number, number, number];
  }, at);
}

test('a session begins with a warm-up of what its aim needs', async ({ page }) => {
  await openStudy(page, app.url, 'Winch room by lamplight');
  await toStep(page, 'Check');
  await page.getByRole('button', { name: 'Session …' }).click();
  const form = page.getByRole('dialog', { name: 'A session at the easel' });
  await form.getByRole('combobox', { name: 'Aim', exact: true }).selectOption('hidden colour');
  await form.getByRole('button', { name: 'To the easel' }).click();
  await page.getByRole('link', { name: 'Warm up first' }).click();
  await isReady(page);
  const round = page.getByRole('region', { name: 'A round' });
  await expect(round).toContainText('whose aim is hidden colour');
  await round.getByRole('button', { name: 'Warm up, 2 minutes' }).click();
  await checkScreen(page);
  const kinds = new Set<string | null>();
  for (let i = 0; i < 5; i++) {
    kinds.add(await kindOf(page));
    await answerSomehow(page);
    await goOn(page);
  }
  for (const other of ['the scheme', 'the key at a glance', 'what the pile lacks'])
    expect(kinds).not.toContain(other);
  await page.getByRole('button', { name: 'Stop' }).click();
  await page.getByRole('button', { name: 'To the profile' }).click();
  await page.getByRole('link', { name: 'To the easel' }).click();
  await expect(page.getByRole('button', { name: 'Begin', exact: true })).toBeVisible();
  await expect(outcome(page)).toHaveCount(0);
});
