import type { Page } from '@playwright/test';
import { expect, test, appFor } from './app';
import { deskIsSet, dropPicture, isSaved, reload } from './page-actions';

const app = appFor('empty');
const ROUNDS = 3;
const SAVES = 8;

/** Begins a study; answers its address. */
async function beginStudy(page: Page): Promise<string> {
  await page.goto(app.url);
  await dropPicture(page, 'ticket-hall.webp');
  await deskIsSet(page);
  await isSaved(page);
  return page.url();
}

test('every acknowledged change is there after kill -9 in the middle of saving', async ({
  page,
}) => {
  const address = await beginStudy(page);
  // From now on nobody but this test saves.
  await page.goto('about:blank');
  const url = `${app.url}/api/studies/${new URL(address).pathname.split('/').pop()}`;
  let { revision, document } = await (await page.request.get(url)).json();
  const put = (source: string) =>
    fetch(url, {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ basedOn: revision, document: { ...document, source } }),
    });

  for (let round = 0; round < ROUNDS; round++) {
    for (let n = 0; n < SAVES; n++) {
      const source = `round ${round}, save ${n}`;
      const answer = await put(source);
      expect(answer.status).toBe(200);
      ({ revision } = await answer.json());
      document = { ...document, source };
    }
    // The next save is on its way when the server is killed: a little earlier in each round.
    const last = `round ${round}, the last`;
    const dying = put(last).then(
      async (answer) => (answer.ok ? await answer.json().catch(() => null) : null),
      () => null,
    );
    await new Promise((resolve) => setTimeout(resolve, 2 * (ROUNDS - round)));
    await app.stop('SIGKILL');
    const saved = await dying;
    await app.start();
    const found = await (await page.request.get(url)).json();
    // It may be there though its answer was lost; none that was answered may be missing.
    const written = found.revision > revision;
    if (saved) expect(written).toBe(true);
    expect(found.revision).toBe(written ? revision + 1 : revision);
    expect(found.document).toEqual(written ? { ...document, source: last } : document);
    ({ revision, document } = found);
  }
});

test('what is done while the server is gone is saved when it is back', async ({ page }) => {
  await beginStudy(page);
  await app.stop('SIGKILL');
  await page.getByRole('button', { name: 'hidden colour' }).click();
  await expect(page.getByTestId('save-state')).toHaveText('waiting for the server');
  await app.start();
  await isSaved(page);
  await reload(page);
  await deskIsSet(page);
  await expect(page.getByRole('button', { name: 'hidden colour' })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
});

test('a window that closes while the server is gone loses nothing', async ({ page, context }) => {
  const address = await beginStudy(page);
  await app.stop('SIGKILL');
  await page.getByRole('button', { name: 'speed' }).click();
  await expect(page.getByTestId('save-state')).toHaveText('waiting for the server');
  await page.close();
  await app.start();
  const again = await context.newPage();
  await again.goto(address);
  await deskIsSet(again);
  await expect(again.getByRole('button', { name: 'speed' })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  await isSaved(again);
});
