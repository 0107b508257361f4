import { execFileSync } from 'node:child_process';
import { mkdtemp, rm, statfs, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { closeDatabase, setDatabase } from './db/client';
import { openFolder } from './db/open';
import { dispatch } from './endpoints/dispatch';
import { handlers } from './endpoints/handlers';
import { someLibrary } from './testing/many-libraries';

const MB = 1024 * 1024;
const DISK_MB = 300;

/** A small disk of its own; null where mounting is not allowed. */
async function smallDisk(): Promise<string | null> {
  const folder = await mkdtemp(path.join(tmpdir(), 'bold-prism-disk-'));
  try {
    execFileSync('mount', ['-t', 'tmpfs', '-o', `size=${DISK_MB}m`, 'tmpfs', folder], {
      stdio: 'ignore',
    });
    return folder;
  } catch {
    await rm(folder, { recursive: true });
    return null;
  }
}

const was = process.env.PRISM_DATA;
let disk: string | null = null;
afterEach(async () => {
  if (!disk) return;
  await closeDatabase();
  execFileSync('umount', [disk]);
  await rm(disk, { recursive: true, force: true });
  if (was === undefined) delete process.env.PRISM_DATA;
  else process.env.PRISM_DATA = was;
});

const answer = dispatch(handlers);
async function ask(method: string, at: string, body?: unknown) {
  const response = await answer(
    new Request(`http://127.0.0.1:3000/api/${at}`, {
      method,
      headers: { host: '127.0.0.1:3000', 'content-type': 'application/json' },
      body: body === undefined ? undefined : JSON.stringify(body),
    }),
  );
  const text = await response.text();
  return { status: response.status, body: text ? JSON.parse(text) : null };
}

it('a disk that fills refuses changes in words, goes on reading, and takes them again by itself', async () => {
  disk = await smallDisk();
  if (!disk) {
    process.stdout.write('Not tried on a small disk: mounting one is not allowed here.\n');
    return;
  }
  process.env.PRISM_DATA = disk;
  setDatabase(await openFolder(path.join(disk, 'postgres')));
  const filler = path.join(disk, 'filler');
  /** Fills the disk but for so many megabytes, and waits until that can have been noticed. */
  const leave = async (megabytes: number) => {
    await rm(filler, { force: true });
    const { bavail, bsize } = await statfs(disk!);
    const bytes = bavail * bsize - megabytes * MB;
    if (bytes > 0) await writeFile(filler, Buffer.alloc(bytes, 1));
    await new Promise((resolve) => setTimeout(resolve, 600));
  };

  await leave(DISK_MB);
  const made = { ...someLibrary(1, 20), studyId: null };
  const { body: first } = await ask('POST', 'libraries', made);
  const { body: second } = await ask('POST', 'libraries', made);
  await leave(60);
  const save = { basedOn: 1, content: { ...someLibrary(1, 20), name: 'Saved' } };
  const refused = await ask('PUT', `libraries/${first.id}`, save);
  expect([refused.status, refused.body.error.code]).toEqual([507, 'no-room']);
  expect(refused.body.error.message).toMatch(/nearly full.*saving goes on by itself/);
  expect((await ask('GET', `libraries/${first.id}`)).body.name).toBe(made.name);
  expect((await ask('POST', 'drawers/search', { search: {}, offset: 0, limit: 5 })).status).toBe(
    200,
  );
  expect((await ask('POST', 'keep/copies')).status).toBe(507);
  // Deleting makes room, and goes on for longer.
  expect((await ask('DELETE', `libraries/${second.id}`)).status).toBe(204);
  await leave(20);
  expect((await ask('DELETE', `libraries/${first.id}`)).status).toBe(507);
  await leave(DISK_MB);
  expect((await ask('PUT', `libraries/${first.id}`, save)).status).toBe(200);
  expect((await ask('GET', `libraries/${first.id}`)).body.name).toBe('Saved');
}, 120_000);
