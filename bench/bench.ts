// What each heavy operation costs, as a ratio to one plain sRGB → OKLab conversion of the same
// picture in the same run; and how good palettes are beside others. `npm run bench`; with `--drop` also from a dropped file to its palette. With
// `--pictures`: what is said of the demo’s pictures and of Debian’s photographs, as one page.
import { benchDrawers } from './drawers';
import { dropToPalette } from './drop';
import { benchHidden } from './hidden';
import { benchLayers } from './layers';
import { benchPatterns } from './patterns';
import { benchTransfer } from './transfer';
import { benchMixing } from './mixing';
import { benchOperations, photograph } from './operations';
import { comparePalettes } from './palettes';
import { readPictures } from './pictures';
import { benchWall } from './wall';

const PARTS: Record<string, () => Promise<unknown>> = {
  operations: async () => console.log(await benchOperations()),
  hidden: benchHidden,
  palettes: comparePalettes,
  drawers: async () => console.log(await benchDrawers()),
  mixing: async () => benchMixing(),
  layers: async () => benchLayers(),
  transfer: async () => benchTransfer(),
  patterns: benchPatterns,
  wall: async () => console.log(await benchWall()),
};

const at = process.argv.indexOf('--only');
const isReading = process.argv.includes('--pictures');
const only = at < 0 ? (isReading ? [] : Object.keys(PARTS)) : [process.argv[at + 1]];
for (const part of only) {
  if (!(part in PARTS)) throw new Error(`--only takes one of ${Object.keys(PARTS).join(', ')}`);
  await PARTS[part]();
}

if (isReading) await readPictures();

if (process.argv.includes('--drop')) {
  console.log('\nFrom dropping the 12-megapixel JPEG to seeing its palette, in the browser:');
  const seconds = await dropToPalette(await photograph());
  console.log(
    `${seconds.map((one) => one.toFixed(2)).join(', ')} s (each a new file; the first has a cold server)`,
  );
}
