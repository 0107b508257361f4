import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { demoFolder } from '@/server/demo/story';

/** The command line as one file, which the tests' set-up makes: it starts sooner than from its sources. */
const BUNDLE = ['build/prism.mjs'];
/** As `npm run prism` starts it. */
const SOURCES = ['node_modules/tsx/dist/cli.mjs', 'cli/prism.ts'];

export const prism = (...args: string[]) => run(BUNDLE, args);
export const prismOfSources = (...args: string[]) => run(SOURCES, args);

function run(program: readonly string[], args: readonly string[]) {
  const { status, stdout, stderr } = spawnSync(process.execPath, [...program, ...args], {
    encoding: 'utf8',
    timeout: 30_000,
    env: { ...process.env, NODE_OPTIONS: '' },
  });
  return { status, stdout, stderr };
}

export const demoPicture = (name: string) => path.join(demoFolder(), 'pictures', name);

/** A folder for the files of one test file, and names in it. It is taken away after the tests. */
export function testFolder(): (name: string) => string {
  const folder = mkdtempSync(path.join(tmpdir(), 'prism-cli-'));
  afterAll(() => rmSync(folder, { recursive: true }));
  return (name) => path.join(folder, name);
}
