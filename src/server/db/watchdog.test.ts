import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { text } from 'node:stream/consumers';

it('a process that stands still is ended with a word, one that works is not', async () => {
  const child = spawn(
    process.execPath,
    ['--import', 'tsx', 'src/server/db/testing/stand-still.ts'],
    { stdio: ['ignore', 'pipe', 'pipe'], env: { ...process.env, NODE_OPTIONS: '' } },
  );
  const [out, errors] = [text(child.stdout), text(child.stderr)];
  const [, signal] = await once(child, 'exit');
  expect(signal).toBe('SIGKILL');
  // It lived for four seconds with a watchdog of two.
  expect((await out).match(/alive/g)).toHaveLength(8);
  expect(await errors).toMatch(/has stood still for 2 s and is ended/);
}, 90_000);
