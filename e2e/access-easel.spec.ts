import { hasNoViolation, isNeutral } from './accessible';
import { appFor, expect, test } from './app';
import { choose, finding, openStudy, toStep } from './page-actions';

const app = appFor('demo');

test('no violation from the easel to the log, on any surround', async ({ page }) => {
  test.setTimeout(300_000);
  await openStudy(page, app.url, 'Winch room by lamplight');
  await toStep(page, 'Check');
  await expect(page.getByTestId('check-stage')).toHaveAttribute('data-state', 'done', {
    timeout: 90_000,
  });
  await hasNoViolation(page, 'Check');
  await isNeutral(page);
  for (const look of ['wipe', 'in turn', 'corners']) {
    await choose(page, 'How both are looked at', look);
    await hasNoViolation(page, `Check, ${look}`);
  }
  await page.getByRole('button', { name: 'Session …' }).click();
  await hasNoViolation(page, 'A session');
  await page.getByRole('button', { name: 'To the easel' }).click();
  await page.getByRole('button', { name: 'Begin', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Pause' })).toBeVisible();
  await hasNoViolation(page, 'Easel');
  await isNeutral(page);
  await page.getByRole('button', { name: 'Finish' }).click();
  await hasNoViolation(page, 'Easel, the end');

  await page.goto(`${app.url}/log`);
  await hasNoViolation(page, 'Log');
  await isNeutral(page);
  for (const tab of ['what comes back', 'habits', 'courses']) {
    await choose(page, 'Part of the log', tab);
    await hasNoViolation(page, `Log, ${tab}`);
  }
  await choose(page, 'Part of the log', 'sessions');
  await page
    .getByRole('button', { name: /^Replay/ })
    .first()
    .click();
  await hasNoViolation(page, 'Log, replay');
  await page.goto(`${app.url}/maker?name=Mirel%20Aunstone`);
  await expect(finding(page)).toBeVisible();
  await hasNoViolation(page, 'A maker');
  await page.setViewportSize({ width: 390, height: 844 });
  for (const tab of ['sessions', 'courses']) {
    await page.goto(`${app.url}/log?tab=${tab}`);
    await expect(finding(page)).toBeVisible();
    expect(
      await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth),
    ).toBeLessThanOrEqual(0);
  }
});
