import { expect, test, appFor } from './app';
import { deskIsSet, dropPicture, isSaved } from './page-actions';

const app = appFor('empty');
const ROUNDS = 3;

test('every acknowledged change is there after kill -9 in the middle of saving', async ({
  page,
}) => {
  test.setTimeout(180_000);
  await page.goto(app.url);
  await dropPicture(page, 'ticket-hall.webp');
  await deskIsSet(page);
  const path = `/api/studies/${new URL(page.url()).pathname.split('/').pop()}`;
  let { revision, document } = await (await page.request.get(app.url + path)).json();
  const begun = revision;
  let acknowledged = 0;

  for (let round = 0; round < ROUNDS; round++) {
    // Saves go out one upon the other until the server is gone; only an answer counts.
    let killed = false;
    const dying = new Promise((resolve) => setTimeout(resolve, 400 + 250 * round)).then(() => {
      killed = true;
      return app.stop('SIGKILL');
    });
    for (let n = 0; n < 2000 && !killed; n++) {
      const next = { ...document, source: `round ${round}, save ${n}` };
      const answer = await fetch(app.url + path, {
        method: 'PUT',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ basedOn: revision, document: next }),
      }).catch(() => null);
      const saved = answer && (await answer.json().catch(() => null));
      if (!saved) break;
      expect(answer.status).toBe(200);
      revision = saved.revision;
      document = next;
      acknowledged++;
    }
    await dying;
    await app.start();
    const found = await (await page.request.get(app.url + path)).json();
    // One save may have been written with its answer lost on the way; none that was answered may be missing.
    expect(found.revision - revision).toBeGreaterThanOrEqual(0);
    expect(found.revision - revision).toBeLessThanOrEqual(1);
    if (found.revision === revision) expect(found.document).toEqual(document);
    ({ revision, document } = found);
  }
  expect(acknowledged).toBeGreaterThan(10);
  expect(revision).toBeGreaterThanOrEqual(begun + acknowledged);
});

test('what is done while the server is gone is saved when it is back', async ({ page }) => {
  test.setTimeout(120_000);
  await page.goto(app.url);
  await page
    .getByRole('link', { name: /^Open / })
    .first()
    .click();
  await deskIsSet(page);
  await app.stop('SIGKILL');
  await page.getByRole('button', { name: 'hidden colour' }).click();
  await expect(page.getByTestId('save-state')).toHaveText('waiting for the server');
  await app.start();
  await isSaved(page);
  await page.reload();
  await deskIsSet(page);
  await expect(page.getByRole('button', { name: 'hidden colour' })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
});

test('a window that closes while the server is gone loses nothing', async ({ page, context }) => {
  test.setTimeout(120_000);
  await page.goto(app.url);
  await page
    .getByRole('link', { name: /^Open / })
    .first()
    .click();
  await deskIsSet(page);
  const address = page.url();
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
