import { spawn, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { cp, mkdtemp, readdir, symlink, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { createInterface } from 'node:readline';
import { lockFolder } from './folder-lock';

const newFolder = () => mkdtemp(path.join(tmpdir(), 'bold-prism-lock-'));
const children: ChildProcess[] = [];

/** A process of its own that locks the folder when it is told to. */
async function contender(folder: string, env: Record<string, string> = {}) {
  const child = spawn(
    process.execPath,
    ['--import', 'tsx', 'src/server/db/testing/hold-folder.ts', folder],
    { stdio: ['pipe', 'pipe', 'inherit'], env: { ...process.env, NODE_OPTIONS: '', ...env } },
  );
  children.push(child);
  const lines = createInterface({ input: child.stdout! })[Symbol.asyncIterator]();
  const next = async () => (await lines.next()).value as string;
  expect(await next()).toBe('ready');
  return {
    lock: () => {
      child.stdin!.write('\n');
      return next();
    },
    kill: async () => {
      child.kill('SIGKILL');
      await once(child, 'exit');
    },
  };
}

afterEach(() => {
  for (const child of children.splice(0)) child.kill('SIGKILL');
});

describe('the folder lock', () => {
  it('is one process’s at a time, and free again after it', async () => {
    const folder = await newFolder();
    for (let i = 0; i < 3; i++) {
      const lock = await lockFolder(folder);
      await expect(lockFolder(folder)).rejects.toThrow(/Another Bold Prism is already using/);
      await lock.release();
    }
    expect(await readdir(folder)).toEqual(['prism-lock.3']);
  });

  it('is held by whatever path and whatever temporary folder another process has', async () => {
    const folder = await newFolder();
    const link = path.join(await newFolder(), 'link');
    await symlink(folder, link);
    const lock = await lockFolder(folder);
    const other = await contender(link, { TMPDIR: await newFolder() });
    expect(await other.lock()).toBe('refused');
    await lock.release();
    expect(await (await contender(link)).lock()).toBe('held');
  });

  it('is won by one of many after its holder was killed', async () => {
    const folder = await newFolder();
    const first = await contender(folder);
    expect(await first.lock()).toBe('held');
    await first.kill();
    for (let round = 0; round < 3; round++) {
      const all = await Promise.all(Array.from({ length: 6 }, () => contender(folder)));
      const answers = await Promise.all(all.map(({ lock }) => lock()));
      expect(answers.filter((answer) => answer === 'held')).toHaveLength(1);
      await Promise.all(all.map(({ kill }) => kill()));
    }
  });

  it('is won by one of many that ask at once', async () => {
    const folder = await newFolder();
    for (let round = 0; round < 40; round++) {
      const locks = await Promise.allSettled(Array.from({ length: 12 }, () => lockFolder(folder)));
      const won = locks.flatMap((lock) => (lock.status === 'fulfilled' ? [lock.value] : []));
      expect(won).toHaveLength(1);
      await won[0].release();
    }
  });

  it('does not hold a copy of its folder', async () => {
    const folder = await newFolder();
    const copy = path.join(await newFolder(), 'copy');
    const lock = await lockFolder(folder);
    await cp(folder, copy, { recursive: true });
    await (await lockFolder(copy)).release();
    await lock.release();
  });

  it('is free when it names a process of another boot, another start, or none at all', async () => {
    const folder = await newFolder();
    const lock = await lockFolder(folder);
    const file = path.join(folder, 'prism-lock.1/holder.json');
    const holder = JSON.parse(await (await import('node:fs/promises')).readFile(file, 'utf8'));
    await lock.release();
    for (const other of [
      { ...holder, boot: 'another' },
      { ...holder, started: '1' },
      { ...holder, pid: 2 ** 30 },
      'no lock',
    ]) {
      const highest = (await readdir(folder)).sort().at(-1)!;
      await writeFile(path.join(folder, highest, 'holder.json'), JSON.stringify(other));
      await (await lockFolder(folder)).release();
    }
  });
});
