import { readFile } from 'node:fs/promises';
import Papa from 'papaparse';
import { appFor, expect, test } from './app';
import { choose, finding, isReady, reload } from './page-actions';

const app = appFor('demo');

test('two months are found again, replayed, deleted and brought back, and sent out', async ({
  page,
}) => {
  await page.goto(`${app.url}/log`);
  await isReady(page);
  await expect(finding(page)).toContainText('18 studies, 19 hours at the easel');
  const sessions = page.getByRole('list', { name: 'Sessions' }).getByRole('listitem');
  await expect(sessions).toHaveCount(18);
  await page.getByLabel('Find in the log').fill('terrace edges');
  await expect(page.getByText(/^\d+ of 18$/)).toBeVisible();
  expect(await sessions.count()).toBeLessThan(4);
  await page.getByRole('button', { name: 'Show all' }).click();
  await page.getByLabel('any medium').selectOption('washes');
  await expect(sessions).toHaveCount(3);
  await reload(page);
  await expect(sessions).toHaveCount(3);
  await page.getByRole('button', { name: 'Show all' }).click();

  await sessions
    .first()
    .getByRole('button', { name: /^Replay/ })
    .click();
  const replay = page.getByRole('dialog');
  await expect(replay.getByText(/^1 of 4/)).toBeVisible();
  await replay.getByRole('button', { name: 'Later' }).click();
  await expect(replay.getByAltText(/^Snapshot 2 of 4/)).toBeVisible();
  await expect(replay.getByRole('list', { name: 'Notes' })).toBeVisible();
  await page.keyboard.press('Escape');

  await sessions
    .first()
    .getByRole('button', { name: /^Delete/ })
    .click();
  await expect(sessions).toHaveCount(17);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(sessions).toHaveCount(18);

  const save = async (item: string) => {
    await page.getByRole('button', { name: 'Export' }).click();
    const [file] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('menuitem', { name: item }).click(),
    ]);
    return readFile(await file.path(), 'utf8');
  };
  const table = Papa.parse<Record<string, string>>(await save('Table (CSV)'), {
    header: true,
    skipEmptyLines: true,
  }).data;
  expect(table).toHaveLength(18);
  expect(table[0]).toMatchObject({ model: expect.any(String), 'aim met': 'met' });
  expect(Number(table[17]['intensity gain'])).toBeGreaterThan(1.3);
  const json = JSON.parse(await save('Everything (JSON)'));
  expect(json).toMatchObject({ format: 'bold-prism-log', version: 1 });
  expect(json.sessions).toHaveLength(18);
  expect(json.sessions[0].checks[0].finding.relations.length).toBeGreaterThan(0);
});

test('mistakes that come back are ranked, plotted and led back to their pictures; habits say what was not tried', async ({
  page,
}) => {
  await page.goto(`${app.url}/log?tab=mistakes`);
  const mistakes = page.getByRole('list', { name: 'Mistakes' }).getByRole('button');
  // What the story tells: the darks stay, the intensity fades.
  await expect(mistakes.first()).toContainText('darks too light');
  await expect(mistakes.first()).toContainText('stays');
  await expect(mistakes.filter({ hasText: 'whole too strong' })).toContainText('fades');
  await expect(page.getByTestId('mistake-plot').locator('canvas')).toBeVisible();
  await page.getByText('As a table').click();
  await expect(page.getByRole('table').getByRole('row')).toHaveCount(19);
  await mistakes.filter({ hasText: 'whole too strong' }).click();
  await expect(page).toHaveURL(/mistake=whole/);
  await page
    .getByRole('button', { name: /^Replay/ })
    .first()
    .click();
  await expect(page.getByRole('dialog')).toBeVisible();
  await page.getByRole('dialog').getByRole('link', { name: 'To its check' }).click();
  await expect(page).toHaveURL(/desk\/.*step=check/);

  await page.goto(`${app.url}/log?tab=habits`);
  await expect(page.getByRole('region', { name: 'What you keep to' })).toContainText('You keep to');
  await expect(
    page.getByRole('region', { name: 'What to try' }).getByText(/^No/).first(),
  ).toBeVisible();
  await choose(page, 'Part of the log', 'sessions');
  await expect(page.getByRole('list', { name: 'Sessions' })).toBeVisible();
});

test('a maker’s pictures stand on one page, and set the limits of a session', async ({ page }) => {
  await page.goto(`${app.url}/log`);
  await page.getByRole('link', { name: 'Mirel Aunstone' }).first().click();
  await expect(finding(page)).toContainText(/^Mirel Aunstone: an? (low|middle|high) key/);
  const table = page.getByRole('table');
  await expect(table.getByRole('columnheader', { name: 'Ticket hall at noon' })).toBeVisible();
  await expect(table.getByRole('row', { name: /^intensity in the half-tones/ })).toContainText(
    /0\.\d{3}/,
  );
  await expect(table.getByRole('row', { name: /^edges lost/ })).toContainText('%');
  const limits = page.getByRole('region', { name: 'Paint within these limits' });
  const first = await limits.getByRole('listitem').first().innerText();
  expect(first).toMatch(/^values from \d\.\d to \d\.\d, a \w+ key$/);
  await limits.getByRole('link', { name: /Slate terrace/ }).click();
  const form = page.getByRole('dialog', { name: 'A session at the easel' });
  await expect(form.getByLabel('What is allowed, a line each')).toHaveValue(new RegExp(first));
  await page.goto(`${app.url}/maker?name=Nobody`);
  await expect(page.getByText('No study has Nobody for its maker.')).toBeVisible();
});
