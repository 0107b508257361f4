import { chromium } from '@playwright/test';
import { mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { answering, build, serve } from '../scripts/lib.mjs';

const PORT = 4471;
const DROPS = 3;

/**
 * Seconds from dropping a picture on the Wall until its palette stands in the tray, measured in the
 * page, on fresh data; several times, each with bytes that the app has not seen.
 */
export async function dropToPalette(jpeg: Buffer): Promise<number[]> {
  if (build() !== 0) throw new Error('the build failed');
  const data = await mkdtemp(path.join(tmpdir(), 'bold-prism-bench-'));
  const child = serve({ port: PORT, data, stdio: 'ignore' });
  const browser = await chromium.launch({
    executablePath: process.env.PRISM_CHROMIUM ?? '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
  });
  try {
    await answering(`http://127.0.0.1:${PORT}`, child);
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    const seconds: number[] = [];
    for (let n = 0; n < DROPS; n++) {
      // A comment after the end of the image makes it another file of the same picture.
      const file = path.join(data, `${n}.jpg`);
      await writeFile(file, Buffer.concat([jpeg, Buffer.from(String(n))]));
      await page.goto(`http://127.0.0.1:${PORT}`);
      await page.waitForLoadState('networkidle');
      const start = Date.now();
      await page.getByLabel('Choose a picture').setInputFiles(file);
      await page.getByTestId('tray').getByRole('button').first().waitFor({ timeout: 30_000 });
      await page.locator('[data-testid="stage"][data-drawn="true"]').waitFor();
      seconds.push((Date.now() - start) / 1000);
    }
    return seconds;
  } finally {
    await browser.close();
    child.kill('SIGTERM');
    await new Promise((resolve) => child.once('exit', resolve));
    await rm(data, { recursive: true, force: true });
  }
}
