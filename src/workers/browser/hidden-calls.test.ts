import { pushable } from '@/core/amplify/pushed';
import { bytesFromOklab } from '@/core/colour/hex';
import { oklabFromOklch } from '@/core/colour/oklab';
import type { Picture } from '@/core/picture/picture';
import { paintedBy } from '@/core/testing';
import { deriveImages } from './derived-images';
import { hiddenCalls, hiddenVeil } from './hidden-calls';
import { asking } from './testing/asking';

/** A light warm grey with a cooler patch right of its middle. */
const ground = oklabFromOklch({ L: 0.75, C: 0.012, h: 70 });
const cool = { ...ground, a: ground.a - 0.006, b: ground.b - 0.02 };
const fog = paintedBy(300, 200, (x, y) =>
  bytesFromOklab(x > 190 && x < 270 && y > 60 && y < 140 ? cool : ground),
);
const held = deriveImages(fog, (strokes) => [...strokes]);
const desk = hiddenCalls(
  () => held,
  (picture) => picture,
);
const SPREAD = asking({ spread: 0.6 });
const pixel = ({ width, data }: Picture, x: number, y: number) =>
  Array.from(data.subarray((y * width + x) * 4, (y * width + x) * 4 + 4));

describe('what the Desk’s worker says of hidden colours', () => {
  it('finds the patch, draws it pushed, and the whole at half the size for a hand', () => {
    const { colours } = desk.readHidden(SPREAD, 'painters');
    expect(colours.map(({ family }) => family)).toEqual(['blue']);
    const pushed = desk.pushed(SPREAD, false);
    expect(pixel(pushed, 230, 100)[2]).toBeGreaterThan(pixel(fog, 230, 100)[2] + 8);
    const local = asking({ spread: 0.6, cast: 'local' });
    const [whole, half] = [desk.pushed(local, false), desk.pushed(local, true)];
    expect([half.width, half.height]).toEqual([150, 100]);
    pixel(half, 115, 50).forEach((byte, k) =>
      expect(Math.abs(byte - pixel(whole, 230, 100)[k])).toBeLessThan(6),
    );
  });

  it('gives away copies: what it keeps can’t be written on', () => {
    desk.pushed(SPREAD, false).data.fill(0);
    expect(pixel(desk.pushed(SPREAD, false), 10, 10)[3]).toBe(255);
  });

  it('keeps what is asked to be kept', () => {
    const parts = [
      { id: 'p', tool: 'brush' as const, radius: 0.05, points: [{ x: 0.77, y: 0.5 }] },
    ];
    const kept = desk.pushed({ ...SPREAD, parts }, false);
    expect(pixel(kept, 230, 100)).toEqual(pixel(fog, 230, 100));
    expect(pixel(kept, 200, 70)).not.toEqual(pixel(fog, 200, 70));
  });

  it('guards and proves', () => {
    expect(desk.readGuards(SPREAD).warnings).not.toContain('lossy');
    const rough = deriveImages(
      fog,
      (strokes) => [...strokes],
      (picture) => pushable(picture, 40),
    );
    const { warnings } = hiddenCalls(
      () => rough,
      (picture) => picture,
    ).readGuards(SPREAD);
    expect(warnings).toContain('lossy');
    expect(desk.readValueLock(SPREAD).mean).toBeLessThan(0.5);
    const [before] = pixel(desk.pushedGreys(SPREAD), 230, 100);
    const [after] = pixel(desk.pushedGreys(asking({})), 230, 100);
    expect(Math.abs(before - after)).toBeLessThanOrEqual(1);
  });

  it('maps, outlines and leaves one clear', () => {
    const map = desk.hiddenMap(SPREAD, 'painters');
    expect(pixel(map, 220, 90)).toEqual(pixel(map, 240, 110));
    const [r, g, b] = pixel(map, 20, 20);
    expect([g, b]).toEqual([r, r]);
    const [rings] = desk.hiddenOutlines('painters');
    expect(rings).toHaveLength(1);
    const veil = hiddenVeil(held, 0, 'painters');
    expect([pixel(veil, 230, 100)[3], pixel(veil, 20, 20)[3] > 0]).toEqual([0, true]);
  });
});
