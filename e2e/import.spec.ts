import { pngPromising, redAndBlue } from '../src/server/testing/test-pictures';
import { expect, test, appFor } from './app';
import { deskIsSet, drop, isReady } from './page-actions';

const app = appFor('empty');

const studies = async (page: import('@playwright/test').Page) =>
  (await (await page.request.get(`${app.url}/api/studies`)).json()).total;

test('what can’t be read is refused with its reason, and nothing is stored', async ({ page }) => {
  await page.goto(app.url);
  const whole = await redAndBlue(400, 300).jpeg().toBuffer();
  const refused: [string, Uint8Array, RegExp][] = [
    ['letter.jpg', Buffer.from('Dear painter'), /not a picture that can be read.*JPEG, PNG/],
    ['empty.png', Buffer.alloc(0), /empty/],
    ['cut.jpg', whole.subarray(0, whole.length / 2), /cut short/],
    ['bomb.png', pngPromising(60_000, 60_000), /60000 × 60000 pixels/],
    ['huge.jpg', Buffer.alloc(41 * 1024 * 1024), /larger than 40 MB/],
  ];
  for (const [name, bytes, words] of refused) {
    if (bytes.length > 1_000_000)
      await page.evaluate(
        ([name, size]) => {
          const transfer = new DataTransfer();
          transfer.items.add(new File([new Uint8Array(size as number)], name as string));
          for (const event of ['dragenter', 'dragover', 'drop'])
            document
              .querySelector('main')
              ?.dispatchEvent(new DragEvent(event, { bubbles: true, dataTransfer: transfer }));
        },
        [name, bytes.length],
      );
    else await drop(page, name, bytes);
    const line = page.getByRole('listitem').filter({ hasText: name });
    await expect(line.getByRole('alert')).toHaveText(words);
    await line.getByRole('button', { name: 'Put away' }).click();
    await expect(line).toHaveCount(0);
  }
  expect(await studies(page)).toBe(0);
});

test('several at once hang on the Wall; a good one among bad ones is kept', async ({ page }) => {
  await page.goto(app.url);
  const file = async (name: string, width: number) => ({
    name,
    mimeType: 'image/png',
    buffer: await redAndBlue(width, 60).png().toBuffer(),
  });
  await page
    .getByLabel('Choose a picture')
    .setInputFiles([
      await file('first.png', 90),
      { name: 'bad.png', mimeType: 'image/png', buffer: Buffer.from('bad') },
      await file('second.png', 120),
    ]);
  await expect(page.getByRole('heading', { name: 'first' })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'second' })).toBeVisible();
  await expect(page.getByRole('alert').filter({ hasText: 'not a picture' })).toBeVisible();
  expect(await studies(page)).toBe(2);
});

test('a pasted picture begins a study', async ({ page }) => {
  await page.goto(app.url);
  await isReady(page);
  const base64 = (await redAndBlue(150, 100).png().toBuffer()).toString('base64');
  await page.evaluate((base64) => {
    const bytes = Uint8Array.from(atob(base64), (c) => c.charCodeAt(0));
    const data = new DataTransfer();
    data.items.add(new File([bytes], 'pasted.png', { type: 'image/png' }));
    window.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data }));
  }, base64);
  await deskIsSet(page);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('pasted');
});

test('a picture on its way can be stopped, and nothing of it stays', async ({ page }) => {
  await page.goto(app.url);
  const file = async (name: string, width: number) => ({
    name,
    mimeType: 'image/png',
    buffer: await redAndBlue(width, 700).png().toBuffer(),
  });
  let stopped = () => {};
  const untilStopped = new Promise<void>((resolve) => (stopped = resolve));
  await page.route(
    '**/api/pictures',
    async (route) => {
      await untilStopped;
      await route.continue().catch(() => undefined);
    },
    { times: 1 },
  );
  await page
    .getByLabel('Choose a picture')
    .setInputFiles([await file('slow.png', 900), await file('next.png', 600)]);
  const line = page.getByRole('listitem').filter({ hasText: 'slow.png' });
  await expect(line.getByRole('progressbar')).toBeVisible();
  await line.getByRole('button', { name: 'Stop' }).click();
  await expect(line).toHaveCount(0);
  stopped();
  // The one after it is there; whatever came of the first would be by now.
  await expect(page.getByRole('heading', { name: 'next' })).toBeVisible();
  expect(await studies(page)).toBe(1);
});

test('the sample is there to try on an empty Wall', async ({ page }) => {
  await page.goto(app.url);
  await page.getByRole('button', { name: 'Try it with a sample' }).click();
  await deskIsSet(page);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Lower station, rain at dusk');
});
