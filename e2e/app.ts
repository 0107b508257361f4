import { test as base, expect, type Page } from '@playwright/test';
import type { ChildProcess } from 'node:child_process';
import { watch as watchFolder, type FSWatcher } from 'node:fs';
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

/** The database's WebAssembly compiled as it is needed, and not for long runs: a server here lives for seconds. */
const QUICK_START = ['--wasm-lazy-compilation', '--liftoff-only'];

class Server implements App {
  /** Whether anything was stored since it began: every change goes through the write-ahead log. */
  isChanged = false;
  private child: ChildProcess | null = null;
  private log: FSWatcher | null = null;
  private constructor(
    readonly kind: DataKind,
    readonly url: string,
    readonly data: string,
  ) {}

  static async on(kind: DataKind): Promise<Server> {
    const data = await mkdtemp(path.join(tmpdir(), 'bold-prism-e2e-'));
    await cp(preparedData(kind), data, { recursive: true });
    const server = new Server(kind, `http://127.0.0.1:${await freePort()}`, data);
    await server.start();
    server.log = watchFolder(path.join(data, 'postgres/pg_wal'), () => {
      server.isChanged = true;
    });
    return server;
  }

  async start(): Promise<void> {
    const port = Number(new URL(this.url).port);
    this.child = serve({ port, data: this.data, stdio: 'ignore', flags: QUICK_START });
    await answering(this.url, this.child, 60);
  }

  async stop(signal: 'SIGTERM' | 'SIGKILL'): Promise<void> {
    this.isChanged = true;
    const { child } = this;
    this.child = null;
    if (!child || child.exitCode !== null || child.signalCode !== null) return;
    const ended = new Promise((resolve) => child.once('exit', resolve));
    child.kill(signal);
    await ended;
  }

  /** Its data is a copy: nobody misses what is lost with it. */
  async discard(): Promise<void> {
    this.log?.close();
    await this.stop('SIGKILL');
    await rm(this.data, { recursive: true, force: true });
  }
}

/** The server of the test that runs, or ran last. */
let current: Server | null = null;
/** One that the next test will most likely want, started while the one before it runs. */
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

/** A server whose data is as it was prepared: the last test's, where that stored nothing. */
async function untouchedServer(kind: DataKind): Promise<Server> {
  // What a page that has just been closed still sent comes before this.
  if (current?.isChanged === false) await fetch(`${current.url}/api/studies`).catch(() => null);
  if (current?.kind === kind && !current.isChanged) return current;
  await current?.discard();
  current = null;
  if (spare?.kind !== kind) await discardSpare();
  const server = await (spare?.server ?? Server.on(kind));
  spare = null;
  return server;
}

/**
 * Gives each test of a spec a server with data that no other test has touched, settings included. `reads`
 * says that its tests store little: then no server is made ready for the next one.
 */
export function appFor(kind: DataKind, reads: 'reads' | 'writes' = 'writes'): App {
  test.beforeEach(async () => {
    current = await untouchedServer(kind);
    if (reads === 'writes' && !spare) startSpare(kind);
  });
  const running = (): Server => {
    if (!current) throw new Error('a server is there only while a test runs');
    return current;
  };
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
export const test = base.extend<object, { noServerIsLeft: void }>({
  page: async ({ page }, give) => {
    const wrong = watch(page);
    await give(page);
    expect(wrong).toEqual([]);
  },
  noServerIsLeft: [
    async ({}, give) => {
      await give();
      await discardSpare();
      await current?.discard();
      current = null;
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
