import { readdirSync } from 'node:fs';
import path from 'node:path';
import sharp from 'sharp';
import { readHidden } from '@/core/amplify/hidden';
import { NO_PUSH, type Push } from '@/core/amplify/push';
import { pushable, pushedRows, rowsOf } from '@/core/amplify/pushed';
import { readValueLock } from '@/core/amplify/value-lock';
import { oklabFromBytes, type Bytes } from '@/core/colour/hex';
import type { Picture } from '@/core/picture/picture';
import { demoFolder } from '@/server/demo/story';

const folder = path.join(demoFolder(), 'pictures');
const names = readdirSync(folder).filter((name) => /\.(webp|jpg|png)$/.test(name));

async function small(name: string, side: number): Promise<Picture> {
  const { data, info } = await sharp(path.join(folder, name))
    .resize(side, side, { fit: 'inside' })
    .toColourspace('srgb')
    .ensureAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  return { width: info.width, height: info.height, data: new Uint8ClampedArray(data) };
}

/** The mean turn of hue in degrees over pixels with a chroma above 0.02. */
function turned(before: Picture, after: Picture): number {
  let sum = 0;
  let count = 0;
  const at = ({ data }: Picture, i: number) =>
    oklabFromBytes([data[i], data[i + 1], data[i + 2]] as Bytes);
  for (let i = 0; i < before.data.length; i += 4 * 7) {
    const one = at(before, i);
    if (Math.hypot(one.a, one.b) <= 0.02) continue;
    const other = at(after, i);
    const turn = ((Math.atan2(one.b, one.a) - Math.atan2(other.b, other.a)) * 180) / Math.PI;
    sum += Math.abs(((turn + 540) % 360) - 180);
    count++;
  }
  return sum / Math.max(1, count);
}

describe('the pictures of the demo, pushed', () => {
  it.each(names)('keep their values, and by the two lifts their hues: %s', async (name) => {
    const picture = await small(name, 640);
    const subject = pushable(picture);
    const rows = rowsOf(subject);
    const pushes: Push[] = [
      { ...NO_PUSH, lift: 1 },
      { ...NO_PUSH, quiet: 1 },
      { ...NO_PUSH, spread: 1 },
      { ...NO_PUSH, spread: 1, cast: 'local' },
    ];
    for (const push of pushes) {
      const after = { ...picture, data: pushedRows(subject, rows, push) };
      expect(readValueLock(picture, after).mean).toBeLessThan(0.5);
      if (push.spread === 0) expect(turned(picture, after)).toBeLessThan(1);
    }
  });

  it('give up the colours that the fog was composed with', async () => {
    const subject = pushable(await small('passing-loop.jpg', 800));
    const listed = readHidden(subject, { ...NO_PUSH, spread: 0.5 }).colours.map(
      ({ is, place }) => `${is} ${place}`,
    );
    // Its truth, by what they are: plum at the top, moss under it, then rust, a thread of slate.
    for (const one of [
      /^violet along the upper edge$/,
      /^(yellow-green|green) across the upper part$/,
      /^(orange|red-orange) across the upper part$/,
      /^blue across the middle$/,
    ])
      expect(listed.some((line) => one.test(line)) ? 'listed' : String(one)).toBe('listed');
  });

  it('list nothing that is the mean of a pattern and nowhere in it', async () => {
    const subject = pushable(await small('enamel-tile.webp', 1600));
    const { colours } = readHidden(subject, { ...NO_PUSH, spread: 0.5 });
    for (const { share } of colours) expect(share).toBeLessThan(0.3);
  });
});
