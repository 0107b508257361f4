// Adds to package-lock.json an entry for every optional dependency it lacks. A registry that serves
// only this machine's platform leaves the others' packages out, and `npm ci` then refuses the lock,
// here and elsewhere. Idempotent; run it after every change of dependencies.
import { readFileSync, writeFileSync } from 'node:fs';

const FILE = 'package-lock.json';
const lock = JSON.parse(readFileSync(FILE, 'utf8'));
const { packages } = lock;
let added = 0;

/** Where node would find `name` from the package at `from`, or null. */
function resolve(from, name) {
  let at = from;
  for (;;) {
    const key = `${at ? `${at}/` : ''}node_modules/${name}`;
    if (packages[key]) return key;
    if (!at) return null;
    const cut = at.lastIndexOf('/node_modules/');
    at = cut < 0 ? '' : at.slice(0, cut);
  }
}

for (const [path, entry] of Object.entries(packages)) {
  for (const [name, range] of Object.entries(entry.optionalDependencies ?? {})) {
    const found = resolve(path, name);
    const exact = /^\d/.test(range);
    if (found && (!exact || packages[found].version === range)) continue;
    if (!exact) continue;
    const key = found ? `${path}/node_modules/${name}` : `node_modules/${name}`;
    packages[key] = { version: range, optional: true, ...(entry.dev && { dev: true }) };
    added++;
  }
}

if (added > 0) {
  lock.packages = Object.fromEntries(Object.entries(packages).sort(([a], [b]) => (a < b ? -1 : 1)));
  writeFileSync(FILE, JSON.stringify(lock, null, 2) + '\n');
}
console.log(`package-lock.json: ${added} optional packages added`);
