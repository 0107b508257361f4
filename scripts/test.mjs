// `npm test`: everything a change has to pass, from a fresh clone. Ends with "N passed, N failed".
import { existsSync, readFileSync, rmSync } from 'node:fs';
import path from 'node:path';
import { ensureChromium } from './chromium.mjs';
import { startPostgres } from './postgres.mjs';
import { install, requireNode, root, runBeside, runNode } from './lib.mjs';

requireNode();
let passed = 0;
let failed = 0;
const failures = [];

/** A check that passes or fails as one. */
function check(name, work) {
  const start = performance.now();
  console.log(`\n── ${name}`);
  const ok = work() === 0;
  console.log(
    `── ${name}: ${ok ? 'passed' : 'FAILED'} in ${((performance.now() - start) / 1000).toFixed(0)} s`,
  );
  tally(name, ok ? 1 : 0, ok ? 0 : 1);
  return ok;
}

/** A check of its own process, its output kept until it is over: two of them run beside each other. */
async function checkBeside(name, commands) {
  const start = performance.now();
  let output = '';
  let code = 0;
  for (const args of commands) code ||= await runBeside(args, (text) => (output += text));
  const seconds = ((performance.now() - start) / 1000).toFixed(0);
  console.log(`\n── ${name}: ${code === 0 ? 'passed' : 'FAILED'} in ${seconds} s`);
  if (code !== 0) console.log(output);
  tally(name, code === 0 ? 1 : 0, code === 0 ? 0 : 1);
  return code === 0;
}

/** A suite that writes a report of its own; one that never got to its tests counts as a failure. */
function suite(name, report, work, read) {
  const file = path.join(root, report);
  rmSync(file, { force: true });
  console.log(`\n── ${name}`);
  const code = work();
  const counts = existsSync(file)
    ? read(JSON.parse(readFileSync(file, 'utf8')))
    : { passed: 0, failed: 0 };
  const silent = counts.passed + counts.failed === 0 || (code !== 0 && counts.failed === 0);
  tally(name, counts.passed, counts.failed + (silent ? 1 : 0));
}

function tally(name, good, bad) {
  passed += good;
  failed += bad;
  if (bad > 0) failures.push(name);
}

function end() {
  if (failures.length > 0) console.log(`\nFailed: ${failures.join(', ')}`);
  console.log(`\n${passed} passed, ${failed} failed`);
  process.exit(failed > 0 ? 1 : 0);
}

if (!check('install', install)) end();
const tool = (script, ...args) => [path.join(root, 'node_modules', script), ...args];
const textChecks = async () => {
  await checkBeside('format', [
    tool('prettier/bin/prettier.cjs', '--check', '--log-level', 'warn', '.'),
  ]);
  await checkBeside('lint', [tool('eslint/bin/eslint.js', '--max-warnings', '0', '.')]);
};
const codeChecks = async () => {
  await checkBeside('types', [
    tool('next/dist/bin/next', 'typegen'),
    tool('typescript/bin/tsc', '--noEmit'),
  ]);
  await checkBeside('module boundaries', [
    tool(
      'dependency-cruiser/bin/dependency-cruise.mjs',
      '--config',
      '.dependency-cruiser.cjs',
      'src',
      'cli',
      'demo',
    ),
  ]);
  await checkBeside('nothing unused', [
    tool('knip/bin/knip.js', '--no-progress', '--no-config-hints'),
  ]);
  return checkBeside('build', [[path.join(root, 'scripts/build.mjs')]]);
};
const [, isBuilt] = await Promise.all([textChecks(), codeChecks()]);
// Eight or so on two quiet cores.
const JEST_MINUTES = 35;
const jest = (report, args = [], env = {}) =>
  runNode(
    'jest/bin/jest.js',
    ['--json', `--outputFile=${report}`, ...args],
    { NODE_OPTIONS: '--experimental-vm-modules --no-warnings', ...env },
    JEST_MINUTES,
  );
const jestCounts = (report) => ({
  passed: report.numPassedTests,
  failed: report.numFailedTests + report.numRuntimeErrorTestSuites,
});
suite('unit tests', 'build/jest.json', () => jest('build/jest.json'), jestCounts);
const postgres = startPostgres();
if (postgres) {
  const report = 'build/jest-postgres.json';
  suite(
    'services on a PostgreSQL server',
    report,
    () => jest(report, ['src/server/services'], { PRISM_TEST_DATABASE_URL: postgres.url }),
    jestCounts,
  );
  postgres.stop();
} else console.log('\n── services on a PostgreSQL server: no server is installed here');
if (!isBuilt) end();
if (!check('chromium', () => (ensureChromium() ? 0 : 1))) end();
suite(
  'browser tests',
  'build/playwright.json',
  () => runNode('@playwright/test/cli.js', ['test'], {}, 57),
  ({ stats }) => ({ passed: stats.expected, failed: stats.unexpected + stats.flaky }),
);
end();
