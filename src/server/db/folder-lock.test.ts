import { mkdtemp } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { spawn } from 'node:child_process';
import { lockFolder } from './folder-lock';

const newFolder = () => mkdtemp(path.join(tmpdir(), 'bold-prism-lock-'));

describe('the folder lock', () => {
  it('is one process’s at a time, and free again after it', async () => {
    const folder = await newFolder();
    const lock = await lockFolder(folder);
    await expect(lockFolder(folder)).rejects.toThrow(/Another Bold Prism is already using/);
    await lock.release();
    await (await lockFolder(folder)).release();
  });

  it('is taken over from a process that was killed', async () => {
    const folder = await newFolder();
    const { createHash } = await import('node:crypto');
    const id = createHash('sha256').update(path.resolve(folder)).digest('hex').slice(0, 20);
    const socket = path.join(tmpdir(), `bold-prism-${id}.sock`);
    const child = spawn(
      process.execPath,
      [
        '-e',
        `require('net').createServer().listen(${JSON.stringify(socket)}, () => console.log('up'))`,
      ],
      { stdio: ['ignore', 'pipe', 'inherit'] },
    );
    await new Promise((resolve) => child.stdout.once('data', resolve));
    await expect(lockFolder(folder)).rejects.toThrow(/Another/);
    child.kill('SIGKILL');
    await new Promise((resolve) => child.once('exit', resolve));
    await (await lockFolder(folder)).release();
  });
});
