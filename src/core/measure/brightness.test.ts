import { greyBytes, paintedBy } from '../testing';
import { valueOfLuminance } from '../colour/value';
import { luminance, toLinear } from '../colour/srgb';
import { NO_VALUE, valueImageOf } from '../picture/value-map';
import { brightnessPicture, misledPixels, readBrightness } from './brightness';

/** Two reds of one brightness number, and a grey: half, a quarter, a quarter. */
const PURE: [number, number, number] = [220, 20, 20];
const PINK: [number, number, number] = [220, 160, 160];
const picture = paintedBy(80, 20, (x) => (x < 40 ? PURE : x < 60 ? PINK : greyBytes(5)));

describe('lightness and brightness', () => {
  it('tells two reds of one brightness apart', () => {
    const { parted, causes } = readBrightness(valueImageOf(picture), 2);
    expect(parted).toBeCloseTo(0.5, 9);
    const [{ family, share, value, byBrightness }] = causes;
    expect(causes).toHaveLength(1);
    expect(family).toBe('red');
    expect(share).toBeCloseTo(0.5, 9);
    const [r, g, b] = PURE.map((byte) => toLinear(byte / 255));
    expect(Math.abs(value - valueOfLuminance(luminance(r, g, b)))).toBeLessThan(0.06);
    expect(Math.abs(byBrightness - valueOfLuminance(toLinear(220 / 255)))).toBeLessThan(0.06);
  });

  it('draws each pixel in the grey of its largest channel', () => {
    const { data } = brightnessPicture(picture);
    expect(Array.from(data.slice(0, 4))).toEqual([220, 220, 220, 255]);
    expect(data[50 * 4]).toBe(220);
  });

  it('finds nothing to part in greys, and leaves transparent pixels out', () => {
    const greys = valueImageOf(paintedBy(30, 10, (x) => greyBytes(x / 3)));
    expect(readBrightness(greys, 0.5)).toMatchObject({ parted: 0, causes: [] });
    const holes = valueImageOf(paintedBy(4, 1, (x) => [0, 0, 255, x < 2 ? 255 : 0]));
    const { families, map } = misledPixels(holes, 1);
    expect(families).toHaveLength(1);
    expect(Array.from(map)).toEqual([0, 0, NO_VALUE, NO_VALUE]);
    expect(readBrightness(holes, 1).parted).toBe(1);
  });
});
