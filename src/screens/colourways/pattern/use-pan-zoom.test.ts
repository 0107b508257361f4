import fc from 'fast-check';
import { FITTED, viewByKey, zoomed, type PanZoom } from './use-pan-zoom';

const anyNumber = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const anyView = fc.record({
  zoom: anyNumber(1.01, 20),
  x: anyNumber(-500, 500),
  y: anyNumber(-500, 500),
});

/** Which point of the fitted drawing lies at a place of the frame, both from the middle. */
const pointAt = ({ zoom, x, y }: PanZoom, place: { x: number; y: number }) => ({
  x: (place.x - x) / zoom,
  y: (place.y - y) / zoom,
});

describe('zooming', () => {
  it('holds what lies under the hand', () => {
    fc.assert(
      fc.property(
        anyView,
        anyNumber(1.01, 24),
        fc.record({ x: anyNumber(-400, 400), y: anyNumber(-300, 300) }),
        (was, zoom, place) => {
          const now = zoomed(was, zoom, place);
          expect(now.zoom).toBe(zoom);
          const [before, after] = [pointAt(was, place), pointAt(now, place)];
          expect(after.x).toBeCloseTo(before.x, 6);
          expect(after.y).toBeCloseTo(before.y, 6);
        },
      ),
    );
  });

  it('stops at the fitted size, in the middle, and far in', () => {
    expect(zoomed({ zoom: 3, x: 40, y: 9 }, 0.2, { x: 10, y: 10 })).toEqual(FITTED);
    expect(zoomed(FITTED, 1000, { x: 0, y: 0 }).zoom).toBe(24);
  });
});

describe('keys', () => {
  it('zoom in and out again to where it was', () => {
    fc.assert(
      fc.property(anyView, (was) => {
        fc.pre(was.zoom * 1.4 < 24);
        const back = viewByKey('-')!(viewByKey('+')!(was));
        expect(back.zoom).toBeCloseTo(was.zoom, 9);
        expect(back.x).toBeCloseTo(was.x, 6);
      }),
    );
  });

  it('fit and move what is larger than the frame; others are left alone', () => {
    const near = { zoom: 2, x: 10, y: 0 };
    expect(viewByKey('0')!(near)).toEqual(FITTED);
    expect(viewByKey('ArrowRight')!(near)).toEqual({ zoom: 2, x: -38, y: 0 });
    expect(viewByKey('ArrowDown')!(near)).toEqual({ zoom: 2, x: 10, y: -48 });
    expect(viewByKey('ArrowLeft')!(FITTED)).toEqual(FITTED);
    expect(viewByKey('z')).toBeNull();
  });
});
