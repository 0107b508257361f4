import { test as base, expect, type Page } from '@playwright/test';
import type { ChildProcess } from 'node:child_process';
import { cp, mkdtemp, rm } from 'node:fs/promises';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { answering, root, serve } from '../scripts/lib.mjs';

/** What a test's server begins with. */
export const DATA_KINDS = ['empty', 'demo', 'many'] as const;
export type DataKind = (typeof DATA_KINDS)[number];

/** A data folder that is made once for a run; each test works on a copy. */
export const preparedData = (kind: DataKind) => path.join(root, 'build', `e2e-${kind}`);

/** The server that a test has for itself, on a data folder of its own. */
export interface App {
  url: string;
  data: string;
  start: () => Promise<void>;
  /** Ends it as a person would, or as bad luck does. */
  stop: (signal: 'SIGTERM' | 'SIGKILL') => Promise<void>;
}

class Server implements App {
  private child: ChildProcess | null = null;
  private constructor(
    readonly url: string,
    readonly data: string,
  ) {}

  static async on(kind: DataKind): Promise<Server> {
    const data = await mkdtemp(path.join(tmpdir(), 'bold-prism-e2e-'));
    await cp(preparedData(kind), data, { recursive: true });
    const server = new Server(`http://127.0.0.1:${await freePort()}`, data);
    await server.start();
    return server;
  }

  async start(): Promise<void> {
    const port = Number(new URL(this.url).port);
    this.child = serve({ port, data: this.data, stdio: 'ignore' });
    await answering(this.url, this.child, 60);
  }

  async stop(signal: 'SIGTERM' | 'SIGKILL'): Promise<void> {
    const { child } = this;
    this.child = null;
    if (!child || child.exitCode !== null || child.signalCode !== null) return;
    const ended = new Promise((resolve) => child.once('exit', resolve));
    child.kill(signal);
    await ended;
  }

  /** Its data is a copy: nobody misses what is lost with it. */
  async discard(): Promise<void> {
    await this.stop('SIGKILL');
    await rm(this.data, { recursive: true, force: true });
  }
}

/** The server that the next test will most likely want, started while the one before it runs. */
let spare: { kind: DataKind; server: Promise<Server> } | null = null;

function startSpare(kind: DataKind): void {
  const server = Server.on(kind);
  // Whoever takes it hears of it.
  server.catch(() => undefined);
  spare = { kind, server };
}

async function discardSpare(): Promise<void> {
  const unused = spare;
  spare = null;
  await unused?.server.then(
    (server) => server.discard(),
    () => undefined,
  );
}

/** Gives each test of a spec a server and data of its own, settings included; ends them after it. */
export function appFor(kind: DataKind): App {
  let server: Server | null = null;
  const running = (): Server => {
    if (!server) throw new Error('a server is there only while a test runs');
    return server;
  };
  test.beforeEach(async () => {
    if (spare?.kind !== kind) await discardSpare();
    server = await (spare?.server ?? Server.on(kind));
    startSpare(kind);
  });
  test.afterEach(async () => {
    await server?.discard();
    server = null;
  });
  return {
    get url() {
      return running().url;
    },
    get data() {
      return running().data;
    },
    start: () => running().start(),
    stop: (signal) => running().stop(signal),
  };
}

/**
 * Every page is watched: nothing may be asked of another host, and nothing may be thrown in the
 * page. Failed requests are expected where a test takes the server away.
 */
export const test = base.extend<object, { noSpareIsLeft: void }>({
  page: async ({ page }, give) => {
    const wrong = watch(page);
    await give(page);
    expect(wrong).toEqual([]);
  },
  noSpareIsLeft: [
    async ({}, give) => {
      await give();
      await discardSpare();
    },
    { scope: 'worker', auto: true },
  ],
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
