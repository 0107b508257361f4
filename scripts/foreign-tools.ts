import { spawnSync } from 'node:child_process';
import { mkdtemp } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';

/** Where files are written that other programs open. */
export const folder = await mkdtemp(path.join(tmpdir(), 'prism-foreign-'));
export const at = (name: string) => path.join(folder, name);
let failed = 0;
export const failures = () => failed;

export function program(
  command: string,
  args: readonly string[],
  env: Record<string, string> = {},
): string | null {
  const { status, stdout, stderr, error } = spawnSync(command, args, {
    encoding: 'utf8',
    timeout: 180_000,
    maxBuffer: 64 * 1024 * 1024,
    env: { ...process.env, ...env },
  });
  if (error) return null;
  return status === 0 ? stdout : `exit ${status}: ${stderr || stdout}`;
}

export function report(
  format: string,
  by: string,
  read: string | null,
  same: boolean,
  how: string,
): void {
  const verdict = read === null ? 'not installed' : same ? 'same' : 'DIFFERS';
  if (read !== null && !same) {
    failed++;
    console.log(read.slice(0, 600));
  }
  console.log(`${format.padEnd(20)} ${by.padEnd(22)} ${verdict.padEnd(14)} ${how}`);
}

export const equal = (one: unknown, other: unknown) =>
  JSON.stringify(one) === JSON.stringify(other);
