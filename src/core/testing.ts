import fc from 'fast-check';
import { oklabFromBytes } from './colour/hex';
import { greyOfValue } from './picture/value-map';
import { pictureOf, type Picture } from './picture/picture';

/** For tests: any 8-bit colour. */
export const anyBytes = fc.tuple(
  fc.integer({ min: 0, max: 255 }),
  fc.integer({ min: 0, max: 255 }),
  fc.integer({ min: 0, max: 255 }),
);
export const anySrgb = anyBytes.map(oklabFromBytes);

/** For tests: the 8-bit grey of a Munsell value. */
export function greyBytes(value: number): [number, number, number] {
  const byte = greyOfValue(value);
  return [byte, byte, byte];
}

type Rgba = readonly [number, number, number] | readonly [number, number, number, number];

/** For tests: a picture from a colour for each pixel. */
export function paintedBy(
  width: number,
  height: number,
  colourAt: (x: number, y: number) => Rgba,
): Picture {
  const data = new Uint8ClampedArray(width * height * 4);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const [r, g, b, alpha = 255] = colourAt(x, y);
      data.set([r, g, b, alpha], (y * width + x) * 4);
    }
  return pictureOf(width, height, data);
}

/** For tests: small pictures of any colours, some pixels transparent but never all. */
export const anyPicture = fc
  .record({
    width: fc.integer({ min: 1, max: 12 }),
    height: fc.integer({ min: 1, max: 12 }),
    seed: fc.array(anyBytes, { minLength: 1, maxLength: 24 }),
    holes: fc.boolean(),
  })
  .map(({ width, height, seed, holes }) =>
    paintedBy(width, height, (x, y) => {
      const i = y * width + x;
      return [...seed[(i * 7) % seed.length], holes && i % 5 === 3 ? 0 : 255];
    }),
  );
