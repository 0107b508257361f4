import { ciede2000 } from '../colour/ciede2000';
import { labFromOklab } from '../colour/cielab';
import { bytesFromOklab, hexFromOklab, oklabFromBytes, oklabFromHex } from '../colour/hex';
import { oklabDistance, type Oklab } from '../colour/oklab';
import { pictureOf, type Picture } from '../picture/picture';
import { overprints, printed } from './inks';
import { flatPlatesOf, platesOf, proofOf } from './plates';

const of = (hex: string) => oklabFromHex(hex) as Oklab;
const THREE = { paper: of('#f4f0e4'), inks: [of('#e8c22c'), of('#c8423a'), of('#2d5f9a')] };
const far = (one: Oklab, other: Oklab) => ciede2000(labFromOklab(one), labFromOklab(other));

describe('plates', () => {
  it('of a picture add back to its proof, and the proof to the picture where the inks reach it', () => {
    const width = 24;
    const data = new Uint8ClampedArray(width * width * 4);
    for (let y = 0; y < width; y++)
      for (let x = 0; x < width; x++) {
        const cover = [x / (width - 1), y / (width - 1), ((x * 7 + y * 3) % width) / (width - 1)];
        data.set([...bytesFromOklab(printed(THREE, cover)), 255], (y * width + x) * 4);
      }
    const picture = pictureOf(width, width, data);
    const { plates, proof } = platesOf(THREE, picture);
    expect(plates).toHaveLength(3);
    const again = proofOf(THREE, width, width, plates);
    const misses: number[] = [];
    for (let at = 0; at < width * width; at++) {
      expect(far(colourAt(again, at), colourAt(proof, at))).toBeLessThan(1);
      misses.push(far(colourAt(picture, at), colourAt(proof, at)));
    }
    misses.sort((one, other) => one - other);
    expect(misses[misses.length >> 1]).toBeLessThan(2.5);
  });

  it('without tone take the nearest overprint, and print what they look like', () => {
    const all = overprints(THREE);
    const data = new Uint8ClampedArray(
      all.flatMap(({ colour }) => [...bytesFromOklab(colour), 255]),
    );
    const picture = pictureOf(all.length, 1, data);
    const { plates, proof } = flatPlatesOf(THREE, picture);
    all.forEach(({ inks, colour }, at) => {
      expect(plates.map((plate) => plate[at])).toEqual(
        plates.map((_, i) => (inks.includes(i) ? 255 : 0)),
      );
      expect(oklabDistance(colourAt(proof, at), colour)).toBeLessThan(0.01);
    });
    const again = proofOf(THREE, all.length, 1, plates);
    for (let at = 0; at < all.length; at++)
      expect(hexFromOklab(colourAt(again, at))).toBe(hexFromOklab(colourAt(proof, at)));
  });
});

function colourAt({ data }: Picture, at: number): Oklab {
  return oklabFromBytes([data[at * 4], data[at * 4 + 1], data[at * 4 + 2]]);
}
