import { test as base, expect, type Page } from '@playwright/test';
import type { ChildProcess } from 'node:child_process';
import { cp, mkdtemp, rm } from 'node:fs/promises';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { answering, root, serve } from '../scripts/lib.mjs';

export const DEMO_FOLDER = path.join(root, 'build/e2e-demo');

/** A server of a spec's own, on a data folder of its own. */
export interface App {
  url: string;
  data: string;
  start: () => Promise<void>;
  /** Ends it as a person would, or as bad luck does. */
  stop: (signal: 'SIGTERM' | 'SIGKILL') => Promise<void>;
}

/** Starts an app before a spec's tests and ends it after them; on empty data or on the demo's. */
export function appFor(kind: 'empty' | 'demo'): App {
  let child: ChildProcess | null = null;
  const app: App = {
    url: '',
    data: '',
    start: async () => {
      child = serve({ port: Number(new URL(app.url).port), data: app.data, stdio: 'ignore' });
      await answering(app.url, child, 60);
    },
    stop: async (signal) => {
      const ended = child && new Promise((resolve) => child?.once('exit', resolve));
      if (child && child.exitCode === null && child.signalCode === null) {
        child.kill(signal);
        await ended;
      }
      child = null;
    },
  };
  base.beforeAll(async () => {
    app.url = `http://127.0.0.1:${await freePort()}`;
    app.data = await mkdtemp(path.join(tmpdir(), 'bold-prism-e2e-'));
    if (kind === 'demo') await cp(DEMO_FOLDER, app.data, { recursive: true });
    await app.start();
  });
  base.afterAll(async () => {
    await app.stop('SIGTERM');
    await rm(app.data, { recursive: true, force: true });
  });
  return app;
}

/**
 * Every page is watched: nothing may be asked of another host, and nothing may be thrown in the
 * page. Failed requests are expected where a test takes the server away.
 */
export const test = base.extend({
  page: async ({ page }, give) => {
    const wrong = watch(page);
    await give(page);
    expect(wrong).toEqual([]);
  },
});

export function watch(page: Page): string[] {
  const wrong: string[] = [];
  page.on('request', (request) => {
    const url = new URL(request.url());
    if (/^https?:$/.test(url.protocol) && url.hostname !== '127.0.0.1')
      wrong.push(`asked ${url.host}`);
  });
  page.on('pageerror', (error) => wrong.push(`thrown: ${error.message}`));
  return wrong;
}

export { expect };

async function freePort(): Promise<number> {
  return new Promise((resolve, reject) => {
    const server = createServer();
    server.once('error', reject);
    server.listen(0, '127.0.0.1', () => {
      const address = server.address();
      server.close(() =>
        typeof address === 'object' && address
          ? resolve(address.port)
          : reject(new Error('no free port')),
      );
    });
  });
}
