import fc from 'fast-check';
import { normalEquations } from './normal-equations';
import type { Grid } from './value-grid';

/** The same by the derivatives of each cell, entry by entry. */
function byDerivatives(model: Grid, warped: Grid, unit: number): number[][] {
  const { width, height } = model;
  const rows = Array.from({ length: 8 }, () => new Array<number>(9).fill(0));
  for (let y = 1; y < height - 1; y++)
    for (let x = 1; x < width - 1; x++) {
      const c = y * width + x;
      const around = [c, c - 1, c + 1, c - width, c + width];
      if (!model.mask[c] || around.some((at) => !warped.mask[at])) continue;
      const off = warped.data[c] - model.data[c];
      const w = 1 / (1 + (off / 0.8) ** 2);
      const mean = (by: number) =>
        [warped, model].reduce((sum, { data }) => sum + (data[c + by] - data[c - by]) / 4, 0);
      const [gx, gy] = [mean(1), mean(width)];
      const [u, v] = [(x - (width - 1) / 2) / unit, (y - (height - 1) / 2) / unit];
      const along = -(gx * u + gy * v);
      const d = [gx * u, gx * v, gx, gy * u, gy * v, gy, along * u, along * v];
      for (let i = 0; i < 8; i++) {
        for (let j = 0; j < 8; j++) rows[i][j] += w * d[i] * d[j];
        rows[i][8] -= w * d[i] * off;
      }
    }
  return rows;
}

describe('the normal equations of an alignment', () => {
  it('are those of the derivatives of each cell, holes left out', () => {
    const grids = fc
      .tuple(fc.integer({ min: 3, max: 9 }), fc.integer({ min: 3, max: 9 }))
      .chain(([width, height]) => {
        const grid = fc
          .tuple(
            fc.array(fc.integer({ min: -200, max: 200 }), {
              minLength: width * height,
              maxLength: width * height,
            }),
            fc.array(fc.integer({ min: 0, max: 9 }), {
              minLength: width * height,
              maxLength: width * height,
            }),
          )
          .map(([data, mask]): Grid => ({
            width,
            height,
            data: Float32Array.from(data, (n) => n / 64),
            mask: Uint8Array.from(mask, (n) => (n > 0 ? 1 : 0)),
          }));
        return fc.tuple(grid, grid);
      });
    fc.assert(
      fc.property(grids, fc.integer({ min: 2, max: 8 }), ([model, warped], unit) => {
        const found = normalEquations(model, warped, unit);
        byDerivatives(model, warped, unit).forEach((row, i) =>
          row.forEach((entry, j) => expect(found[i][j]).toBeCloseTo(entry, 6)),
        );
      }),
    );
  });
});
