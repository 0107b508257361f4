import fc from 'fast-check';
import sharp from 'sharp';
import { pictureOf } from '../picture/picture';
import { closedRegions } from './closed-regions';
import { DrawingError } from './drawing-error';
import { fillRegions, groundLaid, regionPaper } from './fill-regions';
import { labelOutlines } from './outlines';
import { readDrawing } from './read-drawing';
import { MAX_TILES, REPEATS, tilePlaces } from './repeat';
import { traceFlat } from './trace-flat';
import { sizeOf } from './view-box';

/** Lines as text: `#` is ink. */
function inkOf(rows: readonly string[]) {
  const width = rows[0].length;
  return {
    ink: Uint8Array.from(rows.join(''), (sign) => (sign === '#' ? 1 : 0)),
    width,
    height: rows.length,
  };
}

/** A frame of `side`, parted by an upright line in the middle with a gap in it. */
function parted(side: number, gap: number) {
  const middle = side >> 1;
  const rows = Array.from({ length: side }, (_, y) =>
    Array.from({ length: side }, (_cell, x) => {
      const isFrame = x === 0 || y === 0 || x === side - 1 || y === side - 1;
      const isLine = x === middle && Math.abs(y - middle) >= gap / 2;
      return isFrame || isLine ? '#' : '.';
    }).join(''),
  );
  return inkOf(rows);
}

const options = { gap: 4, smallest: 4, repeats: false };

async function pixels(svg: string): Promise<{ data: Buffer; width: number; height: number }> {
  // What is drawn begins with `<svg` for this renderer.
  const { data, info } = await sharp(Buffer.from(`<!-- <svg -->${svg.replace(/^<\?.*\?>\s*/, '')}`))
    .ensureAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  return { data, width: info.width, height: info.height };
}

describe('the regions between lines', () => {
  it('are what is closed off, the largest first, and go on below the lines', () => {
    const { ink, width, height } = parted(31, 0);
    const { labels, sizes, bridged } = closedRegions(ink, width, height, options);
    expect(sizes).toEqual([29 * 14, 29 * 14]);
    expect(bridged).toEqual([]);
    expect(labels[15 * 31 + 5]).not.toBe(labels[15 * 31 + 25]);
    expect(labels.every((label) => label >= 0)).toBe(true);
  });

  it('are closed over a small gap, which is said; a wide one leaves them one', () => {
    const small = parted(31, 3);
    const found = closedRegions(small.ink, 31, 31, options);
    expect(found.sizes).toHaveLength(2);
    expect(found.bridged).toHaveLength(1);
    expect(found.bridged[0].between).toEqual([0, 1]);
    expect(Math.abs(found.bridged[0].x - 15.5)).toBeLessThan(2);
    expect(Math.abs(found.bridged[0].y - 15.5)).toBeLessThan(2);
    expect(found.bridged[0].width).toBeLessThanOrEqual(5);
    const wide = parted(31, 12);
    const open = closedRegions(wide.ink, 31, 31, options);
    expect(open.sizes).toHaveLength(1);
    expect(open.bridged).toEqual([]);
  });

  it('are one along two lines that run towards each other', () => {
    // A wedge that narrows from 26 to 4; its sides run in steps, so that its width wavers about the gap's.
    const rows = Array.from({ length: 40 }, (_, y) =>
      Array.from({ length: 160 }, (_cell, x) => {
        const half = Math.round(Math.max(2, 11 - x / 15)) + (Math.floor(x / 12) % 2);
        return x < 2 || Math.abs(y - 20) >= half ? '#' : '.';
      }).join(''),
    );
    const { ink, width, height } = inkOf(rows);
    for (const gap of [4, 6, 8]) {
      const { sizes, bridged } = closedRegions(ink, width, height, { ...options, gap });
      expect([gap, sizes.length, bridged.length]).toEqual([gap, 1, 0]);
    }
  });

  it('of a tile go on at its other side', () => {
    // A line up and down the middle: on a tile the left and the right are one.
    const { ink, width, height } = inkOf(Array.from({ length: 12 }, () => '......##......'));
    const regions = (repeats: boolean) =>
      closedRegions(ink, width, height, { gap: 1, smallest: 2, repeats }).sizes;
    expect(regions(false)).toEqual([72, 72]);
    expect(regions(true)).toEqual([144]);
  });

  it('that are narrower than a gap and closed are found too; a picture of ink has none', () => {
    const { ink, width, height } = inkOf([
      '#########',
      '#.......#',
      '#########',
      '#.......#',
      '#.......#',
      '#.......#',
      '#.......#',
      '#.......#',
      '#.......#',
      '#########',
    ]);
    const { sizes } = closedRegions(ink, width, height, { ...options, smallest: 3 });
    expect(sizes).toEqual([42, 7]);
    expect(() => closedRegions(new Uint8Array(9).fill(1), 3, 3, options)).toThrow(DrawingError);
  });

  it('are filled below the lines, every other byte as it was', async () => {
    const text =
      '<?xml version="1.0"?>\n<svg xmlns="http://www.w3.org/2000/svg" width="62" height="62" viewBox="0 0 31 31"><path d="M0 .5H30.5V30.5H.5V0M15.5 0V31" fill="none" stroke="#000000"/></svg>';
    const { ink } = parted(31, 0);
    const regions = closedRegions(ink, 31, 31, options);
    const { size } = readDrawing(text);
    const filled = fillRegions(text, regions, { width: 31, height: 31 }, size.box);
    expect(filled.replace(/<g id="filled-regions".*<\/g>/, '')).toBe(text);
    const drawing = readDrawing(filled);
    expect(new Set(drawing.paints.map(({ hex }) => hex))).toEqual(
      new Set([regionPaper(0), regionPaper(1), '#000000']),
    );
    const { data, width } = await pixels(filled);
    const at = (x: number, y: number) => [
      ...data.subarray(4 * (y * width + x), 4 * (y * width + x) + 3),
    ];
    expect(at(10, 20)).not.toEqual(at(50, 20));
    expect(Math.min(...at(10, 20))).toBeGreaterThan(240);
    expect(() => fillRegions('<svg/>', regions, { width: 31, height: 31 }, size.box)).toThrow(
      DrawingError,
    );
    const many = { ...regions, sizes: Array.from({ length: 401 }, () => 1) };
    expect(() => fillRegions(text, many, { width: 31, height: 31 }, size.box)).toThrow(
      '401 regions',
    );
  });

  it('have papers of which no two are alike', () => {
    expect(new Set(Array.from({ length: 400 }, (_, i) => regionPaper(i))).size).toBe(400);
  });
});

describe('a ground', () => {
  it('is laid below all else, in the drawing’s own units and its own name for svg', async () => {
    const text =
      '<v:svg xmlns:v="http://www.w3.org/2000/svg" viewBox="-5 -5 10 10" width="20" height="20"><v:rect width="5" height="5" fill="#ff0000"/></v:svg>';
    const laid = groundLaid(text, readDrawing(text).size.box, '#00ff00');
    const { data } = await pixels(laid);
    expect([...data.subarray(0, 4)]).toEqual([0, 255, 0, 255]);
    const middle = 4 * (15 * 20 + 15);
    expect([...data.subarray(middle, middle + 3)]).toEqual([255, 0, 0]);
  });
});

describe('outlines', () => {
  it('drawn again are the map they were made of', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.integer({ min: 1, max: 9 }),
        fc.integer({ min: 1, max: 9 }),
        fc.array(fc.integer({ min: -1, max: 3 }), { minLength: 81, maxLength: 81 }),
        async (width, height, some) => {
          const labels = some.slice(0, width * height);
          const fills = ['#ff0000', '#00ff00', '#0000ff', '#808080'];
          const paths = labelOutlines(labels, width, height, 4)
            .map((path, i) => `<path fill="${fills[i]}" d="${path}"/>`)
            .join('');
          const { data } = await pixels(
            `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" shape-rendering="crispEdges"><g>${paths}</g></svg>`,
          );
          labels.forEach((label, c) => {
            const own = [...data.subarray(4 * c, 4 * c + 4)];
            if (label < 0) expect(own[3]).toBe(0);
            else
              expect(own).toEqual([
                ...[1, 3, 5].map((at) => parseInt(fills[label].slice(at, at + 2), 16)),
                255,
              ]);
          });
        },
      ),
      { numRuns: 60 },
    );
  });
});

describe('a flat picture', () => {
  const flat = (rows: readonly string[], colours: Readonly<Record<string, readonly number[]>>) => {
    const width = rows[0].length;
    const data = rows
      .join('')
      .split('')
      .flatMap((sign) => [...colours[sign]]);
    return pictureOf(width, rows.length, new Uint8ClampedArray(data));
  };
  const COLOURS = {
    r: [200, 30, 40, 255],
    b: [20, 60, 160, 255],
    // Between the two, as an edge is.
    e: [150, 40, 80, 255],
    '.': [0, 0, 0, 0],
  };

  it('is traced to a shape for each of its colours, edges to the nearer, and drawn again is itself', async () => {
    const rows = ['rrrebbbb', 'rrrebbbb', 'rrrebbbb', 'rrrebb..', 'rrrebb..'];
    const svg = traceFlat(flat(rows, COLOURS));
    const drawing = readDrawing(svg);
    expect(drawing.paints.map(({ hex }) => hex)).toEqual(['#143ca0', '#c81e28']);
    const { data, width } = await pixels(svg);
    rows.forEach((row, y) =>
      [...row].forEach((sign, x) => {
        const at = 4 * (y * width + x);
        const wanted = COLOURS[sign === 'e' ? 'r' : (sign as 'r')];
        if (wanted[3] === 0) expect(data[at + 3]).toBe(0);
        else expect([...data.subarray(at, at + 4)]).toEqual(wanted);
      }),
    );
  });

  it('keeps lines of one pixel that mix nothing, and loses the edges that do', () => {
    const colours = { ...COLOURS, y: [230, 200, 60, 255] };
    const rows = ['rrrybbbb', 'rrrybbbb', 'rrrebbbb', 'yyyyyyyy', 'bbbbbbbb', 'bbbbbbbb'];
    const drawing = readDrawing(traceFlat(flat(rows, colours)));
    expect(drawing.paints.map(({ hex }) => hex)).toEqual(['#143ca0', '#e6c83c', '#c81e28']);
  });

  it('that is none is refused in a sentence', () => {
    const noise = Uint8ClampedArray.from({ length: 64 * 64 * 4 }, (_, i) =>
      i % 4 === 3 ? 255 : (i * 7919 + (i >> 3) * 104729) % 256,
    );
    expect(() => traceFlat(pictureOf(64, 64, noise))).toThrow('flat colours');
    expect(() => traceFlat(flat(['..', '..'], COLOURS))).toThrow('nothing in the picture');
  });
});

describe('a repeat', () => {
  it('covers every place of an area once', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...REPEATS),
        fc.integer({ min: 3, max: 20 }),
        fc.integer({ min: 3, max: 20 }),
        fc.integer({ min: 1, max: 60 }),
        fc.integer({ min: 1, max: 60 }),
        (repeat, tileWidth, tileHeight, width, height) => {
          const tile = { width: 2 * tileWidth, height: 2 * tileHeight };
          const places = tilePlaces(repeat, tile, { width, height });
          for (const [x, y] of [
            [0.5, 0.5],
            [width - 0.5, 0.5],
            [0.5, height - 0.5],
            [width - 0.5, height - 0.5],
            [width / 2 + 0.25, height / 2 + 0.25],
          ]) {
            const over = places.filter(
              (place) =>
                x >= place.x &&
                x < place.x + tile.width &&
                y >= place.y &&
                y < place.y + tile.height,
            );
            expect(over).toHaveLength(1);
          }
        },
      ),
    );
    expect(() =>
      tilePlaces('straight', { width: 0, height: 1 }, { width: 9, height: 9 }),
    ).toThrow();
    expect(() => tilePlaces('brick', { width: 1, height: 1 }, { width: 99, height: 99 })).toThrow(
      String(MAX_TILES),
    );
  });
});

describe('the size of a drawing', () => {
  it.each([
    [{ width: '10mm', height: '20mm' }, 37.795, 75.591],
    [{ viewBox: '0 0 30 60', width: '90' }, 90, 180],
    [{ viewBox: '-1,-2 30 60' }, 30, 60],
    [{ width: '100%', viewBox: '0 0 4 2' }, 4, 2],
    [{}, 300, 150],
    [{ width: '-5', height: 'big', viewBox: '0 0 0 5' }, 300, 150],
  ])('of %j', (attributes, width, height) => {
    const size = sizeOf(attributes as unknown as Record<string, string>);
    expect(size.width).toBeCloseTo(width, 2);
    expect(size.height).toBeCloseTo(height, 2);
  });
});
