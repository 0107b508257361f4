// What the scripts share. Plain Node: it runs before anything is installed.
import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import path from 'node:path';

export const root = path.resolve(
  import.meta.dirname ?? new URL('.', import.meta.url).pathname,
  '..',
);
const QUIET = { NEXT_TELEMETRY_DISABLED: '1' };

export function requireNode() {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major > 20 || (major === 20 && minor >= 9)) return;
  console.error(`Bold Prism needs Node 20.9 or newer; this is ${process.versions.node}.`);
  process.exit(1);
}

/** Runs a command in the project's folder, its output shown; answers its exit code, 1 when `minutes` pass. */
export function run(command, args, env = {}, minutes = 30) {
  const { status, error } = spawnSync(command, args, {
    cwd: root,
    stdio: 'inherit',
    timeout: minutes * 60_000,
    killSignal: 'SIGKILL',
    env: { ...process.env, ...QUIET, ...env },
  });
  if (error) console.error(error.message);
  return status ?? 1;
}

/** Runs Node with `args` while others run, its output told to `onText`; answers its exit code, 1 when `minutes` pass. */
export function runBeside(args, onText, minutes = 15) {
  const child = spawn(process.execPath, args, {
    cwd: root,
    stdio: ['ignore', 'pipe', 'pipe'],
    timeout: minutes * 60_000,
    killSignal: 'SIGKILL',
    env: { ...process.env, ...QUIET },
  });
  for (const stream of [child.stdout, child.stderr])
    stream.on('data', (bytes) => onText(String(bytes)));
  return new Promise((resolve) => {
    child.once('error', (error) => {
      onText(error.message);
      resolve(1);
    });
    child.once('close', (code) => resolve(code ?? 1));
  });
}

export function runNode(script, args = [], env = {}, minutes = undefined) {
  return run(process.execPath, [path.join(root, 'node_modules', script), ...args], env, minutes);
}

function hashOf(paths) {
  const hash = createHash('sha256');
  const walk = (file) => {
    if (!existsSync(file)) return;
    if (statSync(file).isDirectory())
      for (const name of readdirSync(file).sort()) walk(path.join(file, name));
    else hash.update(path.relative(root, file)).update(readFileSync(file));
  };
  paths.forEach((name) => walk(path.join(root, name)));
  return hash.digest('hex');
}

/** Does `work` unless it was done for these very files before. Answers the exit code. */
function once(stamp, paths, needed, work) {
  const hash = hashOf(paths);
  const file = path.join(root, stamp);
  if (
    needed.every((name) => existsSync(path.join(root, name))) &&
    existsSync(file) &&
    readFileSync(file, 'utf8') === hash
  )
    return 0;
  const code = work();
  if (code === 0) {
    mkdirSync(path.dirname(file), { recursive: true });
    writeFileSync(file, hash);
  }
  return code;
}

export function install() {
  return once(
    'node_modules/.bold-prism-installed',
    ['package-lock.json'],
    ['node_modules/next'],
    () => {
      console.log('Installing …');
      return run('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error']);
    },
  );
}

export function build() {
  const sources = [
    'src',
    'public',
    'package-lock.json',
    'next.config.ts',
    'postcss.config.mjs',
    'tsconfig.json',
    'scripts/build-workers.mjs',
  ];
  return once(
    'build/.built',
    sources,
    ['.next/BUILD_ID', 'build/workers/job.mjs', 'build/workers/round-page.js'],
    () => {
      console.log('Building …');
      return (
        run(process.execPath, ['scripts/build-workers.mjs']) ||
        runNode('next/dist/bin/next', ['build'])
      );
    },
  );
}

/**
 * Starts the built app on 127.0.0.1; the child process, its output as `stdio` says.
 * @param {{ port: number, data: string, stdio?: import('node:child_process').StdioOptions, env?: Record<string, string>, flags?: string[] }} options
 * @returns {import('node:child_process').ChildProcess}
 */
export function serve({ port, data, stdio = 'inherit', env = {}, flags = [] }) {
  const next = path.join(root, 'node_modules/next/dist/bin/next');
  return spawn(process.execPath, [...flags, next, 'start', '-H', '127.0.0.1', '-p', String(port)], {
    cwd: root,
    stdio,
    env: { ...process.env, ...QUIET, NEXT_MANUAL_SIG_HANDLE: 'true', PRISM_DATA: data, ...env },
  });
}

/** Whether nobody listens on a port of 127.0.0.1. */
export function portIsFree(port) {
  return new Promise((resolve) => {
    const server = createServer();
    server.once('error', () => resolve(false));
    server.listen(port, '127.0.0.1', () => server.close(() => resolve(true)));
  });
}

/** Resolves when the address answers; rejects when the child ends first or `seconds` pass. */
export async function answering(address, child, seconds = 60) {
  const end = Date.now() + seconds * 1000;
  let over = false;
  child.once('exit', () => (over = true));
  while (Date.now() < end && !over) {
    const ok = await fetch(address).then(
      (response) => response.ok,
      () => false,
    );
    if (ok) return;
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  throw new Error(
    over
      ? 'The server ended before it answered.'
      : `No answer from ${address} within ${seconds} s.`,
  );
}
