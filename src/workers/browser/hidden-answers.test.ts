import { pushable } from '@/core/amplify/pushed';
import { bytesFromOklab } from '@/core/colour/hex';
import { oklabFromOklch } from '@/core/colour/oklab';
import type { QueryKind, QueryOf } from '@/contracts/desk-query/desk-query';
import type { Picture } from '@/core/picture/picture';
import { paintedBy } from '@/core/testing';
import { deriveImages } from './derived-images';
import { answerQuery } from './answers';
import { pushSettings } from './testing/push-settings';

/** A light warm grey with a cooler patch right of its middle. */
const ground = oklabFromOklch({ L: 0.75, C: 0.012, h: 70 });
const cool = { ...ground, a: ground.a - 0.006, b: ground.b - 0.02 };
const fog = paintedBy(300, 200, (x, y) =>
  bytesFromOklab(x > 190 && x < 270 && y > 60 && y < 140 ? cool : ground),
);
const held = deriveImages(fog, (strokes) => [...strokes]);
const sources = { working: fog, images: held };
const ask = <K extends QueryKind>(query: QueryOf<K>) => answerQuery<K>(query, sources);
const SPREAD = pushSettings({ spread: 0.6 });
const pixel = ({ width, data }: Picture, x: number, y: number) =>
  Array.from(data.subarray((y * width + x) * 4, (y * width + x) * 4 + 4));

describe('what the Desk’s worker says of hidden colours', () => {
  it('finds the patch, draws it pushed, and the whole at half the size for a hand', () => {
    const { colours } = ask({ kind: 'hidden', settings: SPREAD, wheel: 'painters' });
    expect(colours.map(({ readsAs }) => readsAs)).toEqual(['blue']);
    const pushed = ask({ kind: 'pushed', settings: SPREAD, quick: false });
    expect(pixel(pushed, 230, 100)[2]).toBeGreaterThan(pixel(fog, 230, 100)[2] + 8);
    const local = pushSettings({ spread: 0.6, cast: 'local' });
    const [whole, half] = [
      ask({ kind: 'pushed', settings: local, quick: false }),
      ask({ kind: 'pushed', settings: local, quick: true }),
    ];
    expect([half.width, half.height]).toEqual([150, 100]);
    pixel(half, 115, 50).forEach((byte, k) =>
      expect(Math.abs(byte - pixel(whole, 230, 100)[k])).toBeLessThan(6),
    );
  });

  it('gives away copies: what it keeps can’t be written on', () => {
    ask({ kind: 'pushed', settings: SPREAD, quick: false }).data.fill(0);
    expect(pixel(ask({ kind: 'pushed', settings: SPREAD, quick: false }), 10, 10)[3]).toBe(255);
  });

  it('keeps what is asked to be kept', () => {
    const parts = [
      { id: 'p', tool: 'brush' as const, radius: 0.05, points: [{ x: 0.77, y: 0.5 }] },
    ];
    const kept = ask({ kind: 'pushed', settings: { ...SPREAD, parts }, quick: false });
    expect(pixel(kept, 230, 100)).toEqual(pixel(fog, 230, 100));
    expect(pixel(kept, 200, 70)).not.toEqual(pixel(fog, 200, 70));
  });

  it('guards and proves', () => {
    expect(ask({ kind: 'guards', settings: SPREAD }).guards.warnings).not.toContain('lossy');
    const rough = deriveImages(
      fog,
      (strokes) => [...strokes],
      (picture) => pushable(picture, 40),
    );
    const { warnings } = answerQuery<'guards'>(
      { kind: 'guards', settings: SPREAD },
      { working: fog, images: rough },
    ).guards;
    expect(warnings).toContain('lossy');
    expect(ask({ kind: 'guards', settings: SPREAD }).lock.mean).toBeLessThan(0.5);
    const [before] = pixel(ask({ kind: 'pushedGreys', settings: SPREAD }), 230, 100);
    const [after] = pixel(ask({ kind: 'pushedGreys', settings: pushSettings({}) }), 230, 100);
    expect(Math.abs(before - after)).toBeLessThanOrEqual(1);
  });

  it('maps, outlines and leaves one clear', () => {
    const map = ask({ kind: 'hiddenMap', settings: SPREAD, wheel: 'painters' });
    expect(pixel(map, 220, 90)).toEqual(pixel(map, 240, 110));
    const [r, g, b] = pixel(map, 20, 20);
    expect([g, b]).toEqual([r, r]);
    const [rings] = ask({ kind: 'hiddenOutlines', wheel: 'painters' });
    expect(rings).toHaveLength(1);
    const veil = ask({ kind: 'veil', part: { kind: 'hidden', index: 0, wheel: 'painters' } });
    expect([pixel(veil, 230, 100)[3], pixel(veil, 20, 20)[3] > 0]).toEqual([0, true]);
  });
});
