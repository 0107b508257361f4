import path from 'node:path';
import sharp from 'sharp';
import type { Page } from '@playwright/test';
import { root } from '../scripts/lib.mjs';
import { appFor, expect, test } from './app';
import { choose, finding, openStudy, picturePath, toStep } from './page-actions';

const app = appFor('demo');
const photograph = (name: string) => path.join(root, 'demo/studies', name);
const stage = (page: Page) => page.getByTestId('check-stage');
const isCompared = (page: Page) =>
  expect(stage(page)).toHaveAttribute('data-state', 'done', { timeout: 90_000 });
const importPhotograph = (page: Page, file: string) =>
  page.getByLabel('Photograph …').setInputFiles(file);

test('a study painted without the clock is brought in and held against its model, by mouse', async ({
  page,
}) => {
  test.setTimeout(300_000);
  await openStudy(page, app.url, 'Talloch, the last season');
  await toStep(page, 'Check');
  await expect(finding(page)).toContainText('Nothing was painted from this picture yet');

  // No picture leaves nothing behind.
  await page.getByLabel('Photograph …').setInputFiles({
    name: 'x.jpg',
    mimeType: 'image/jpeg',
    buffer: Buffer.from('no picture'),
  });
  await expect(page.getByText(/not a picture that can be read/)).toBeVisible();
  await expect(finding(page)).toContainText('Nothing was painted from this picture yet');

  // The model's own file, as somebody who paints on a screen exports it.
  await importPhotograph(page, picturePath('poster.webp'));
  await isCompared(page);
  await page.getByLabel('made on a screen').check();
  await expect(finding(page)).toContainText(
    'On the whole the study stands where its model does. No mass is off',
    { timeout: 90_000 },
  );
  await expect(page.getByText('as in the model')).toBeVisible();

  await page.getByText('Key, zones, temperature').click();
  const rows = page.getByRole('row', { name: /^key/ });
  const cells = await rows.getByRole('cell').allInnerTexts();
  expect(cells[0]).toBe(cells[1]);

  await page.getByLabel('Held against').selectOption({ label: 'nothing: by itself' });
  await expect(finding(page)).toContainText('By itself: a', { timeout: 90_000 });
  await page.getByLabel('Held against').selectOption({ label: 'the plan in zones' });
  await expect(finding(page)).toContainText(/On the whole|can’t be told/, { timeout: 90_000 });
});

test('what the demo’s last study found can be looked at, left out, and taken to heart', async ({
  page,
}) => {
  test.setTimeout(300_000);
  await openStudy(page, app.url, 'Winch room by lamplight');
  await toStep(page, 'Check');
  await expect(page.getByLabel('Session', { exact: true })).toContainText('values');
  // What was found is there before the pictures are compared again.
  await expect(finding(page)).toContainText('On the whole the study');
  await isCompared(page);
  const beside = page.getByTestId('check-beside');
  await expect(beside.getByRole('img', { name: 'the model' })).toBeVisible();
  await expect(beside.getByRole('img', { name: 'the study' })).toBeVisible();

  await choose(page, 'As what', 'in grey');
  await expect
    .poll(() =>
      beside.getByRole('img', { name: 'the study' }).evaluate((canvas: HTMLCanvasElement) => {
        const { data } = canvas
          .getContext('2d')!
          .getImageData(canvas.width >> 1, canvas.height >> 1, 1, 1);
        return data[0] === data[1] && data[1] === data[2];
      }),
    )
    .toBe(true);
  await choose(page, 'How both are looked at', 'wipe');
  const handle = page.getByRole('slider', { name: /Wipe between/ });
  await handle.focus();
  await handle.press('ArrowLeft');
  await expect(handle).toHaveAttribute('aria-valuenow', '48');
  await choose(page, 'How both are looked at', 'in turn');
  const turn = page.getByTestId('check-turn');
  await page.getByRole('button', { name: 'Stop turning' }).click();
  const shown = (await turn.getAttribute('data-shown'))!;
  await page.getByRole('button', { name: 'The other one' }).click();
  await expect(turn).not.toHaveAttribute('data-shown', shown);
  await choose(page, 'How both are looked at', 'side by side');

  const first = page.getByRole('listitem').filter({ hasText: 'against the rest' }).first();
  await first.getByRole('button', { name: /^Leave out/ }).click();
  await page.getByRole('menuitem', { name: 'on purpose' }).click();
  await expect(first.getByRole('button', { name: /on purpose, take in again/ })).toBeVisible();
  await page.getByRole('button', { name: 'Undo in the session' }).click();
  await expect(first.getByRole('button', { name: /^Leave out/ })).toBeVisible();

  await page.getByRole('radio', { name: 'met', exact: true }).click();
  await page.getByLabel('One thing to try next').fill('Look into the darks last.');
  await expect
    .poll(async () => {
      const logged = await (await page.request.get(`${app.url}/api/sessions`)).json();
      return logged.flatMap(({ content }: { content: { checks: { next: string }[] } }) =>
        content.checks.map(({ next }) => next),
      );
    })
    .toContain('Look into the darks last.');
});

test('a photograph of another picture is not taken for the study; its corners are dragged, by touch and by keys', async ({
  browser,
}) => {
  test.setTimeout(300_000);
  const context = await browser.newContext({
    hasTouch: true,
    viewport: { width: 1180, height: 820 },
  });
  const page = await context.newPage();
  await openStudy(page, app.url, 'Enamel tile for the endpapers');
  await toStep(page, 'Check');
  await importPhotograph(page, photograph('sitting-04-1.jpg'));
  await expect(stage(page)).toHaveAttribute('data-state', 'lost', { timeout: 90_000 });
  await expect(finding(page)).toContainText('The study was not found in the photograph');
  const corner = page.getByRole('button', { name: /^Corner, upper left/ });
  await expect(corner).toBeVisible();
  const box = (await corner.boundingBox())!;
  expect(Math.min(box.width, box.height)).toBeGreaterThanOrEqual(40);
  await corner.focus();
  await corner.press('ArrowRight');
  // Corners that were set are believed.
  await expect(stage(page)).not.toHaveAttribute('data-state', 'lost', { timeout: 90_000 });
  await expect(finding(page)).toContainText(/On the whole|can’t be told/, { timeout: 90_000 });
  await choose(page, 'How both are looked at', 'corners');
  await expect(corner).toBeVisible();
  const at = (await corner.boundingBox())!;
  const name = (await corner.getAttribute('aria-label'))!;
  await page.mouse.move(at.x + 20, at.y + 20);
  await page.mouse.down();
  await page.mouse.move(at.x + 50, at.y + 40, { steps: 4 });
  await page.mouse.up();
  await expect(page.getByRole('button', { name })).toHaveCount(0);
  await page.getByRole('button', { name: 'Set white by a place' }).click();
  await page.getByAltText('The photograph of the study').click({ position: { x: 8, y: 8 } });
  await expect(page.getByRole('button', { name: 'White from another place' })).toBeVisible();
  await context.close();
});

test('a telephone’s photograph of twelve megapixels, held sideways, is in and aligned', async ({
  page,
}) => {
  test.setTimeout(300_000);
  const shot = await sharp(photograph('sitting-05-1.jpg'))
    .resize(4000, 3000, { fit: 'fill' })
    .rotate(-90)
    .jpeg({ quality: 85 })
    .withMetadata({ orientation: 6 })
    .toBuffer();
  await openStudy(page, app.url, 'Winch room by lamplight');
  await toStep(page, 'Check');
  await isCompared(page);
  const began = Date.now();
  await page.getByLabel('Photograph …').setInputFiles({
    name: 'IMG_0412.jpg',
    mimeType: 'image/jpeg',
    buffer: shot,
  });
  await expect(page.getByRole('button', { name: /^Photograph 2/ })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  await isCompared(page);
  test
    .info()
    .annotations.push({ type: 'in and compared', description: `${Date.now() - began} ms` });
  await expect(finding(page)).toContainText('On the whole the study');
  await page.getByLabel('Held against').selectOption({ label: 'an earlier photograph' });
  await expect(finding(page)).toContainText('No mass is off', { timeout: 90_000 });
});
