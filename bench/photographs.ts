import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readdirSync } from 'node:fs';
import path from 'node:path';

/** Debian's packages of wallpapers, and how the names of those begin that are photographs. */
const PACKAGES: Record<string, readonly string[]> = {
  'mate-backgrounds': [
    'Aqua',
    'Blinds',
    'Dune',
    'FreshFlower',
    'Garden',
    'GreenMeadow',
    'LadyBird',
    'RainDrops',
    'Storm',
    'TwoWings',
    'Wood',
    'YellowFlower',
  ],
  'lomiri-wallpapers-20.04': ['Kleiber', 'Infinite-Sea'],
  'lomiri-wallpapers-16.04': [
    'aitzgorri',
    'Bridge',
    'Dragonfly',
    'free',
    'friends',
    'life',
    'picosdeeuropa',
    'Picture_0B',
    'Picture_1A',
    'seeding',
    'sunset',
    'Wine',
  ],
};

export interface Photograph {
  name: string;
  file: string;
}

/**
 * The photographs among Debian's wallpapers, unpacked into a folder and not installed. Throws where a
 * package can't be fetched.
 */
export function photographs(folder: string): Photograph[] {
  mkdirSync(folder, { recursive: true });
  return Object.entries(PACKAGES).flatMap(([name, beginnings]) => {
    const unpacked = path.join(folder, name);
    if (!existsSync(unpacked)) fetchPackage(name, folder, unpacked);
    const files = readdirSync(unpacked, { recursive: true, encoding: 'utf8' });
    return beginnings.flatMap((beginning) => {
      const file = files.find((one) => isPicture(path.basename(one), beginning));
      return file ? [{ name: beginning, file: path.join(unpacked, file) }] : [];
    });
  });
}

function isPicture(name: string, beginning: string): boolean {
  const rest = name.startsWith(beginning) ? name.slice(beginning.length) : '';
  return /^[._][^/]{0,80}(jpg|png)$/.test(rest);
}

function fetchPackage(name: string, folder: string, into: string): void {
  const download = () => spawnSync('apt-get', ['download', name], { cwd: folder, stdio: 'ignore' });
  if (download().status !== 0) {
    // The lists of packages may be old, or missing.
    spawnSync('apt-get', ['update'], { stdio: 'ignore' });
    if (download().status !== 0) throw new Error(`The package ${name} can’t be fetched.`);
  }
  const archive = readdirSync(folder).find((one) => one.startsWith(`${name}_`));
  if (!archive || spawnSync('dpkg-deb', ['-x', archive, into], { cwd: folder }).status !== 0)
    throw new Error(`The package ${name} can’t be unpacked.`);
}
