import { request as httpRequest } from 'node:http';
import { expect, test, appFor } from './app';
import { isReady, openStudy, toStep } from './page-actions';

const app = appFor('demo', 'reads');

/** A request as another program or a page of another site would make it. */
function ask(
  path: string,
  headers: Record<string, string> = {},
  method = 'GET',
): Promise<{ status: number; headers: Record<string, unknown>; body: string }> {
  const { port } = new URL(app.url);
  return new Promise((resolve, reject) => {
    const sent = httpRequest(
      { host: '127.0.0.1', port, path, method, headers, timeout: 30_000 },
      (response) => {
        let body = '';
        response.on('data', (part: Buffer) => (body += part.toString('latin1')));
        response.on('end', () =>
          resolve({ status: response.statusCode ?? 0, headers: response.headers, body }),
        );
      },
    );
    sent.on('error', reject);
    sent.end();
  });
}

test('nothing is answered under a name that is not the server’s own', async ({ page }) => {
  await page.goto(app.url);
  const thumbnail = await page.locator('img').first().getAttribute('src');
  const script = await page.locator('script[src]').first().getAttribute('src');
  const { port } = new URL(app.url);
  for (const path of ['/', '/drawers', '/api/studies', '/api/keep/backup', thumbnail!, script!]) {
    const status = async (headers: Record<string, string>) => (await ask(path, headers)).status;
    expect([path, await status({ host: `rebound.example:${port}` })]).toEqual([path, 421]);
    expect([path, await status({ host: `127.0.0.1.rebound.example` })]).toEqual([path, 421]);
    expect([path, await status({ host: `localhost:${port}` })]).toEqual([path, 200]);
    expect([path, await status({ host: `127.0.0.1:${port}` })]).toEqual([path, 200]);
  }
});

test('pages of other sites get nothing that is kept, and change nothing', async ({ page }) => {
  await page.goto(app.url);
  const thumbnail = await page.locator('img').first().getAttribute('src');
  for (const site of ['cross-site', 'same-site']) {
    for (const path of [thumbnail!, '/api/studies', '/api/keep/backup', '/api/settings'])
      expect((await ask(path, { 'sec-fetch-site': site })).status).toBe(403);
    const sent = await ask('/api/demo', { 'sec-fetch-site': site }, 'POST');
    expect(sent.status).toBe(403);
  }
  // A bookmark or a link on another page opens the app as ever.
  const link = { 'sec-fetch-site': 'cross-site', 'sec-fetch-mode': 'navigate' };
  expect((await ask('/', link)).status).toBe(200);
});

test('a malformed address or origin is refused in words, not with an error of the server', async () => {
  for (const path of [
    ...['/api/studies/%', '/api/studies/%ff', '/api/%00', '/%', '/desk/%ff'],
    ...['/desk/%', '/drawers?text=%', '/drawers?text=%ff', '/_next/static/%'],
  ])
    expect([path, (await ask(path)).status < 500]).toEqual([path, true]);
  for (const origin of ['http://[', 'null', 'x', 'http://a b'])
    expect((await ask('/api/studies', { origin })).status).toBe(403);
});

test('pages carry a strict policy, and nothing of ours breaks it', async ({ page }) => {
  const violations: string[] = [];
  await page.exposeFunction('tellViolation', (what: string) => violations.push(what));
  await page.addInitScript(() =>
    document.addEventListener('securitypolicyviolation', (event) => {
      (window as unknown as { tellViolation: (what: string) => void }).tellViolation(
        `${event.violatedDirective} ${event.blockedURI} ${event.sourceFile}`,
      );
    }),
  );
  const response = await page.goto(app.url);
  await isReady(page);
  const headers = response!.headers();
  const policy = headers['content-security-policy'];
  expect(policy).toMatch(/script-src 'self' 'nonce-[^']+'(;|$)/);
  expect(policy).toMatch(/style-src 'self' 'nonce-[^']+'( 'sha256-[^']+')+(;|$)/);
  expect(policy).toContain("frame-ancestors 'none'");
  expect(policy).toContain("default-src 'none'");
  expect(headers).toMatchObject({
    'x-content-type-options': 'nosniff',
    'x-frame-options': 'DENY',
    'cross-origin-resource-policy': 'same-origin',
    'referrer-policy': 'no-referrer',
  });
  const again = await ask('/');
  expect(again.headers['content-security-policy']).not.toBe(policy);
  const picture = await ask((await page.locator('img').first().getAttribute('src'))!);
  expect(picture.headers).toMatchObject({
    'x-content-type-options': 'nosniff',
    'cross-origin-resource-policy': 'same-origin',
  });
  // What is put into the page from outside does not run.
  await page.evaluate(() => {
    const script = document.createElement('script');
    script.textContent = 'window.ran = true';
    const style = document.createElement('style');
    style.textContent = 'body { outline: 3px solid red }';
    document.body.append(script, style);
  });
  expect(await page.evaluate(() => 'ran' in window)).toBe(false);
  expect(await page.evaluate(() => getComputedStyle(document.body).outlineStyle)).toBe('none');
  expect(violations.filter((what) => what.startsWith('style-src'))).toHaveLength(1);
  expect(violations.filter((what) => what.startsWith('script-src'))).toHaveLength(1);
  violations.length = 0;
  await openStudy(page, app.url, 'Lower station, rain at dusk');
  for (const step of ['Values', 'Colours', 'Hidden', 'Palette'] as const) await toStep(page, step);
  // Dialogs and notices bring styles of their own.
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog')).toBeVisible();
  expect(await page.evaluate(() => getComputedStyle(document.body).overflow)).toBe('hidden');
  await page.keyboard.press('Escape');
  await page.goto(`${app.url}/drawers`);
  await isReady(page);
  await page.getByRole('button', { name: 'More for Dusk blues' }).click();
  await page.getByRole('menuitem', { name: 'Into the bin' }).click();
  const notice = page.locator('[data-sonner-toast]');
  await expect(notice).toBeVisible();
  await expect(notice).toHaveCSS('position', 'absolute');
  await page.goto(`${app.url}/drawers/keep`);
  await isReady(page);
  await expect(page.getByText(/What is kept takes/)).toBeVisible();
  expect(violations).toEqual([]);
});
