import fc from 'fast-check';
import { anyPicture, greyBytes, paintedBy } from '../testing';
import { NO_VALUE, valueImageOf } from '../picture/value-map';
import { hexFromOklab } from '../colour/hex';
import {
  zoneBodies,
  zoneColours,
  zoneEdges,
  zoneGreys,
  zoneMap,
  zoneOutlines,
  zonesOf,
  type ZoneCut,
} from './zones';

/** Two dark squares and one light one on a middle field of 100 × 100, and a speck of dark. */
const squares = valueImageOf(
  paintedBy(100, 100, (x, y) => {
    const inSquare = (left: number, top: number, side: number) =>
      x >= left && x < left + side && y >= top && y < top + side;
    if (inSquare(10, 10, 20) || inSquare(60, 10, 10) || inSquare(90, 90, 3)) return greyBytes(2);
    return inSquare(50, 50, 30) ? greyBytes(8) : greyBytes(5);
  }),
);

describe('zones', () => {
  it('count their masses above half a per cent and know the largest', () => {
    const edges = zoneEdges(squares.counts, { zones: 3, breaks: 'natural' });
    const [dark, middle, light] = zoneBodies(squares, edges);
    expect(dark).toMatchObject({ masses: 2, largest: 0.04 });
    expect(middle).toMatchObject({
      masses: 1,
      largest: expect.closeTo(1 - 0.04 - 0.01 - 0.0009 - 0.09, 9),
    });
    expect(light).toMatchObject({ masses: 1, largest: 0.09 });
  });

  it('have the mean of their light as colour, and none where they are empty', () => {
    const image = valueImageOf(
      paintedBy(20, 10, (x) => (x < 10 ? [200, 40, 40] : [240, 240, 200])),
    );
    const edges = zoneEdges(image.counts, { zones: 3, breaks: 'hand', thresholds: [0.5, 6] });
    const bodies = zoneBodies(image, edges);
    expect(bodies.map(({ colour }) => colour && hexFromOklab(colour))).toEqual([
      null,
      '#c82828',
      '#f0f0c8',
    ]);
    const { data } = zoneColours(image, edges);
    expect(Array.from(data.slice(0, 4))).toEqual([200, 40, 40, 255]);
  });

  it('follow thresholds set by hand, in any order and at the very ends', () => {
    const cut = (thresholds: number[]): ZoneCut => ({ zones: 2, breaks: 'hand', thresholds });
    const zones = zonesOf(squares.counts, zoneEdges(squares.counts, cut([6.5, 3.5])));
    expect(zones.map(({ from }) => from)).toEqual([0, 3.5, 6.5]);
    expect(zones.map(({ share }) => share)).toEqual([
      expect.closeTo(0.0509, 9),
      expect.closeTo(0.8591, 9),
      expect.closeTo(0.09, 9),
    ]);
    const ends = zonesOf(squares.counts, zoneEdges(squares.counts, cut([0, 10])));
    expect(ends.map(({ share }) => share)).toEqual([0, 1, 0]);
    for (const thresholds of [[], [1, 2, 3, 4, 5, 6, 7, 8, 9]])
      expect(() => zoneEdges(squares.counts, cut(thresholds))).toThrow(RangeError);
  });

  it('draw every seen pixel in the grey of its own zone', () => {
    fc.assert(
      fc.property(anyPicture, fc.integer({ min: 2, max: 9 }), (picture, zones) => {
        const image = valueImageOf(picture);
        const edges = zoneEdges(image.counts, { zones, breaks: 'natural' });
        const map = zoneMap(image.map, edges);
        const drawn = zoneGreys(image, edges).data;
        const greyOfZone = new Map<number, number>();
        map.forEach((zone, p) => {
          if (zone === NO_VALUE) return expect(drawn[p * 4 + 3]).toBe(0);
          expect(greyOfZone.get(zone) ?? drawn[p * 4]).toBe(drawn[p * 4]);
          greyOfZone.set(zone, drawn[p * 4]);
        });
        // Lighter zones are drawn no darker.
        const greys = [...greyOfZone].sort(([one], [other]) => one - other).map(([, grey]) => grey);
        expect([...greys].sort((a, b) => a - b)).toEqual(greys);
      }),
      { numRuns: 40 },
    );
  });

  it('are outlined where they meet and nowhere else', () => {
    const half = valueImageOf(paintedBy(60, 40, (x) => greyBytes(x < 30 ? 3 : 7)));
    const { data } = zoneOutlines(half, zoneEdges(half.counts, { zones: 2, breaks: 'natural' }));
    const alpha = (x: number, y: number) => data[(y * 60 + x) * 4 + 3];
    for (let y = 1; y < 40; y++) {
      expect(alpha(29, y)).toBe(255);
      expect(alpha(30, y)).toBe(255);
      expect(alpha(20, y)).toBe(0);
      expect(alpha(40, y)).toBe(0);
    }
  });
});
