import { randomUUID } from 'node:crypto';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import pg from 'pg';
import { closePool } from '@/workers/server/pool';
import { closeDatabase, setDatabase } from '../db/client';
import { readingsAreMade } from '../readings/refresh';
import { openFolder, openServer } from '../db/open';

/**
 * A fresh database for a test file: PostgreSQL in memory, or a new database on the server that
 * PRISM_TEST_DATABASE_URL names, where one is at hand. Answers what to call at the end.
 */
export async function freshDatabase(): Promise<() => Promise<void>> {
  // What is written beside the database goes there too, and not where the person's own is kept.
  const folder = process.env.PRISM_DATA ? null : await mkdtemp(path.join(tmpdir(), 'prism-data-'));
  if (folder) process.env.PRISM_DATA = folder;
  const close = await openDatabase();
  return async () => {
    await close();
    if (!folder) return;
    delete process.env.PRISM_DATA;
    await rm(folder, { recursive: true, force: true });
  };
}

async function openDatabase(): Promise<() => Promise<void>> {
  const server = process.env.PRISM_TEST_DATABASE_URL;
  if (!server) {
    setDatabase(await openFolder(null));
    return end;
  }
  const name = `bold_prism_test_${randomUUID().replaceAll('-', '')}`;
  await administer(server, `create database ${name}`);
  const url = new URL(server);
  url.pathname = `/${name}`;
  setDatabase(await openServer(url.href));
  return async () => {
    await end();
    await administer(server, `drop database ${name}`);
  };
}

async function end(): Promise<void> {
  await readingsAreMade();
  await closeDatabase();
  await closePool();
}

async function administer(server: string, statement: string): Promise<void> {
  const client = new pg.Client({ connectionString: server });
  await client.connect();
  await client.query(statement).finally(() => client.end());
}
