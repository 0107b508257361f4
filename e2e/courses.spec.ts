import { appFor, expect, test } from './app';
import { choose, finding, isReady, isSaved, reload } from './page-actions';

const app = appFor('demo');

test('what was promised and painted, and whose palette is next, lead to the easel', async ({
  page,
}) => {
  await page.goto(`${app.url}/log?tab=courses`);
  await expect(finding(page)).toContainText(
    'Two courses, six of nine studies painted. Next: Dag Solumbry, “Fog at the passing loop”, promised for',
  );
  await expect(finding(page)).toContainText('Of nine promises, four kept and two late');
  const next = page.getByRole('region', { name: 'Next' }).getByRole('listitem');
  await expect(next).toHaveText([/Fog at the passing loop.*Greys that lean/, /Lower station/]);

  const greys = page.getByRole('list', { name: 'Studies of Greys that lean' });
  await expect(greys.getByRole('listitem').nth(1)).toContainText('a day late');
  await expect(greys.getByRole('listitem').nth(3)).toContainText('left out');
  await next.first().getByRole('link', { name: 'To the easel …' }).click();

  // The session begins with what the course says.
  const form = page.getByRole('dialog', { name: 'A session at the easel' });
  await expect(form.getByText('For the course Greys that lean')).toBeVisible();
  await expect(form.getByRole('combobox', { name: 'Aim', exact: true })).toHaveValue('colour');
  await expect(form.getByLabel('Minutes')).toHaveValue('40');
  await expect(form.getByLabel('What is allowed, a line each')).toHaveValue(
    'three tubes and white',
  );
  await form.getByRole('button', { name: 'To the easel' }).click();
  await page.getByRole('button', { name: 'Begin', exact: true }).click();
  await expect(page.getByTestId('save-state')).toHaveText('saved');

  await page.goto(`${app.url}/log?tab=courses`);
  await expect(greys.getByRole('listitem').nth(4)).toContainText('begun');
  await next.first().getByRole('link', { name: 'Back to the easel' }).click();
  await expect(page).toHaveURL(/\/easel\//);
  await page.getByRole('button', { name: 'Finish' }).click();
  await expect(page.getByTestId('save-state')).toHaveText('saved');
  await page.goto(`${app.url}/log?tab=courses`);
  await expect(finding(page)).toContainText(
    'seven of nine studies painted. Next: Orla Venn-Tarrick',
  );
  await expect(greys.getByRole('listitem').nth(4)).toContainText('painted today');
  await choose(page, 'Part of the log', 'sessions');
  await expect(page.getByRole('list', { name: 'Sessions' }).getByRole('listitem')).toHaveCount(19);
});

test('a course from nothing: studies chosen and wanted, in another order, promised, left out, deleted and back', async ({
  page,
}) => {
  await page.goto(`${app.url}/log?tab=courses`);
  await page.getByRole('button', { name: 'New course' }).click();
  await page.getByLabel('Title of the course').fill('');
  await expect(page.getByText('A course needs a title.')).toBeVisible();
  await page.getByLabel('Title of the course').fill('Fog, four ways');
  await page.getByLabel('Its aim').selectOption('speed');
  await page.getByLabel('Minutes for each').fill('25');
  const course = page.getByRole('region', { name: 'Fog, four ways' });
  await course.getByRole('button', { name: 'Done' }).click();
  await expect(course.getByText('speed · 25 min · paint')).toBeVisible();

  const rows = course.getByRole('listitem');
  for (const title of [/Fog at the passing loop/, /Summit in snow glare/]) {
    await course.getByRole('button', { name: 'Add a study …' }).click();
    await page.getByRole('dialog').getByRole('button', { name: title }).click();
  }
  await course.getByRole('button', { name: 'Add a study …' }).click();
  await page.getByLabel('Not on the Wall yet: what is wanted').fill('mist over water');
  await page.getByRole('dialog').getByRole('button', { name: 'Add', exact: true }).click();
  await expect(rows).toHaveText([/Fog at the passing loop/, /Summit in snow/, /mist over water/]);
  await rows.nth(2).getByRole('button', { name: 'mist over water earlier' }).click();
  await rows.nth(1).getByLabel('mist over water: promised for').fill('2026-10-03');
  await expect(rows.nth(1)).toContainText('past its day');
  await rows.nth(1).getByRole('button', { name: 'Leave out mist over water' }).click();
  await expect(rows.nth(1)).toContainText('left out');
  await page.keyboard.press('Control+z');
  await expect(rows.nth(1)).toContainText('to be painted');
  await isSaved(page);
  await reload(page);
  await expect(rows).toHaveText([/Fog at the passing loop/, /mist over water/, /Summit in snow/]);

  // What was wanted is found.
  await rows.nth(1).getByRole('button', { name: 'Choose its picture …' }).click();
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /Winch room by lamplight/ })
    .click();
  await expect(rows.nth(1)).toContainText('Orla Venn-Tarrick, “Winch room by lamplight”');
  await expect(rows.nth(1)).toContainText('mist over water');
  await rows
    .nth(2)
    .getByRole('button', { name: /^Remove Dag Solumbry/ })
    .click();
  await expect(rows).toHaveCount(2);

  await page.getByRole('button', { name: 'Delete the course “Fog, four ways”' }).click();
  await expect(course).toHaveCount(0);
  // It comes back alone: what was changed since stays.
  const other = page.getByLabel('something dark on snow, in a high key: promised for');
  await other.fill('2026-12-30');
  await page
    .getByRole('listitem')
    .filter({ hasText: 'its sessions stay' })
    .getByRole('button', { name: 'Undo' })
    .click();
  await expect(rows).toHaveCount(2);
  await expect(other).toHaveValue('2026-12-30');
  await isSaved(page);
  await page.getByRole('button', { name: 'History' }).click();
  await expect(page.getByRole('dialog').getByText(/“Fog, four ways” added/)).toBeVisible();
});

test('two windows on the courses lose nothing of either', async ({ page, context }) => {
  const other = await context.newPage();
  for (const one of [page, other]) {
    await one.goto(`${app.url}/log?tab=courses`);
    await isReady(one);
  }
  const day = (one: typeof page) =>
    one.getByLabel('something dark on snow, in a high key: promised for');
  await day(page).fill('2026-12-31');
  await other.getByRole('button', { name: 'New course' }).click();
  await other.getByLabel('Title of the course').fill('Winter');
  for (const one of [page, other]) {
    await expect(one.getByRole('region', { name: 'Winter' })).toBeVisible();
    await expect(day(one)).toHaveValue('2026-12-31');
    await isSaved(one);
  }
});
