import { readFile, rm, writeFile } from 'node:fs/promises';
import path from 'node:path';
import { appFor, expect, test } from './app';
import { isReady } from './page-actions';

const app = appFor('demo');

test('everything is backed up, checked, and comes back into another store', async ({ page }) => {
  await page.goto(`${app.url}/drawers/keep`);
  await isReady(page);
  await page.getByRole('button', { name: 'Check now' }).click();
  await expect(
    page.getByText(/^All is well: 33 pictures, nine studies and 13 libraries/),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Make a copy now' }).click();
  await expect(page.getByRole('region', { name: 'Copies' }).getByRole('listitem')).toHaveCount(1);
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Make a backup' }).click(),
  ]);
  expect(file.suggestedFilename()).toMatch(/^Bold Prism .*\.zip$/);
  const bytes = await readFile(await file.path());
  const sent = (name: string, buffer: Buffer) =>
    page.getByLabel('Choose a backup').setInputFiles({ name, mimeType: 'application/zip', buffer });

  const broken = Buffer.from(bytes);
  broken[Math.floor(broken.length / 2)] ^= 0xff;
  await sent('broken.zip', broken);
  await expect(page.getByRole('alert').filter({ hasText: 'damaged' })).toContainText(
    /pictures\/.*Nothing was restored/,
  );

  // Something goes for good and something is changed; the backup brings the one back and leaves the other alone.
  const all = await (await page.request.get(`${app.url}/api/libraries`)).json();
  const [gone, changed] = all as { id: string; name: string; note: string }[];
  await page.request.delete(`${app.url}/api/libraries/${gone.id}`);
  await page.request.delete(`${app.url}/api/drawers/bin/${gone.id}`);
  const { revision, name, tags, swatches } = await (
    await page.request.get(`${app.url}/api/libraries/${changed.id}`)
  ).json();
  await page.request.put(`${app.url}/api/libraries/${changed.id}`, {
    data: { basedOn: revision, content: { name, tags, swatches, note: 'changed since' } },
  });
  await sent('whole.zip', bytes);
  await expect(page.getByText(/it is whole/)).toBeVisible();
  const libraries = page.getByRole('list', { name: 'Libraries' });
  await expect(libraries.getByRole('listitem').filter({ hasText: gone.name })).toContainText(
    'not here',
  );
  await expect(libraries.getByRole('listitem').filter({ hasText: changed.name })).toContainText(
    'here, but changed',
  );
  await page.getByRole('button', { name: 'Restore what is ticked' }).click();
  await expect(
    page.getByText('One library came back. What was changed here was left alone (1).'),
  ).toBeVisible();
  const after = await (await page.request.get(`${app.url}/api/libraries`)).json();
  expect(after).toHaveLength(all.length);
  expect(after.find((one: { id: string }) => one.id === changed.id).note).toBe('changed since');
});

test('copies that fail are told in every room until one is made again', async ({ page }) => {
  // The folder of copies can't be made where a file of its name stands.
  await writeFile(path.join(app.data, 'copies'), 'in the way');
  await page.goto(`${app.url}/drawers/keep`);
  await isReady(page);
  const copies = page.getByRole('region', { name: 'Copies' });
  await expect(copies.getByText(/What is kept takes [\d.]+ MB/)).toBeVisible();
  const notice = page.getByRole('link', { name: 'Copies fail' });
  await expect(notice).toHaveCount(0);
  await page.getByRole('button', { name: 'Make a copy now' }).click();
  await expect(copies.getByRole('alert')).toContainText(/folder of copies can’t be written to/);
  await page.goto(app.url);
  await isReady(page);
  await notice.click();
  await expect(page).toHaveURL(/\/drawers\/keep/);
  await rm(path.join(app.data, 'copies'));
  await page.getByRole('button', { name: 'Make a copy now' }).click();
  await expect(copies.getByRole('listitem')).toHaveCount(1);
  await expect(copies.getByRole('alert')).toHaveCount(0);
  await expect(notice).toHaveCount(0);
});
