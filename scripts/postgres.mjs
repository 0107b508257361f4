// A PostgreSQL server for the tests, where one is installed: a cluster of its own in a temporary
// folder, on a unix socket alone.
import { execFileSync, spawnSync } from 'node:child_process';
import { chownSync, existsSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';

const INSTALLED = '/usr/lib/postgresql';

/** The folder of the newest server's programs, or null. */
function programs() {
  if (!existsSync(INSTALLED)) return null;
  const versions = readdirSync(INSTALLED).sort((a, b) => Number(b) - Number(a));
  const found = versions.map((version) => path.join(INSTALLED, version, 'bin'));
  return found.find((bin) => existsSync(path.join(bin, 'initdb'))) ?? null;
}

/** PostgreSQL won't run as root: then it runs as the user that Debian's package made for it. */
function owner() {
  if (process.getuid?.() !== 0) return {};
  const id = (flag) => Number(execFileSync('id', [flag, 'postgres'], { encoding: 'utf8' }));
  return { uid: id('-u'), gid: id('-g') };
}

/** Starts a server and answers its URL and what ends it; null where none is installed or it won't start. */
export function startPostgres() {
  const bin = programs();
  if (!bin) return null;
  try {
    const user = owner();
    const folder = mkdtempSync(path.join(tmpdir(), 'bold-prism-pg-'));
    if (user.uid !== undefined) chownSync(folder, user.uid, user.gid);
    const data = path.join(folder, 'data');
    const program = (name, ...args) =>
      spawnSync(path.join(bin, name), args, {
        ...user,
        stdio: 'ignore',
        cwd: folder,
        timeout: 60_000,
      }).status === 0;
    const stop = () => {
      program('pg_ctl', '-D', data, '-m', 'immediate', 'stop');
      rmSync(folder, { recursive: true, force: true });
    };
    const started =
      program('initdb', '-D', data, '-A', 'trust', '-U', 'prism', '-E', 'UTF8', '--no-sync') &&
      program(
        'pg_ctl',
        '-D',
        data,
        '-w',
        '-l',
        path.join(folder, 'log'),
        '-o',
        `-k ${folder} -c listen_addresses='' -c fsync=off`,
        'start',
      );
    if (started) return { url: `postgresql://prism@localhost/postgres?host=${folder}`, stop };
    stop();
  } catch (error) {
    console.error(error.message);
  }
  return null;
}
