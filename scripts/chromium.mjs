// Finds the browser for the browser tests, and installs Debian's where it is missing.
import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';

export function ensureChromium() {
  const wanted = process.env.PRISM_CHROMIUM ?? '/usr/bin/chromium';
  if (existsSync(wanted)) return wanted;
  console.log('Installing Chromium for the browser tests …');
  const asRoot = process.getuid?.() === 0 ? [] : ['sudo', '-n'];
  for (const args of [
    ['update', '-qq'],
    ['install', '-y', '-qq', '--no-install-recommends', 'chromium'],
  ]) {
    const [command, ...rest] = [...asRoot, 'apt-get', ...args];
    spawnSync(command, rest, {
      stdio: ['ignore', 'ignore', 'inherit'],
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    });
  }
  if (existsSync(wanted)) return wanted;
  console.error(
    `The browser tests need Chromium, and ${wanted} is missing and could not be installed.\n` +
      'On Debian: sudo apt-get install chromium. Elsewhere: set PRISM_CHROMIUM to the path of a Chromium or Chrome.',
  );
  return null;
}
