import fc from 'fast-check';
import { layStave } from './stave-layout';

describe('the stave', () => {
  const anyShares = fc.array(fc.option(fc.double({ min: 0, max: 1, noNaN: true })), {
    minLength: 1,
    maxLength: 20,
  });

  it('fills its width, side by side, none under a finger’s width while there is room', () => {
    fc.assert(
      fc.property(anyShares, (shares) => {
        const columns = layStave(shares, 1000, 40);
        const total = columns.reduce((sum, { width }) => sum + width, 0);
        expect(total).toBeCloseTo(1000, 5);
        columns.forEach((column, i) => {
          expect(column.width).toBeGreaterThanOrEqual(40 - 1e-6);
          expect(column.block).toBeLessThanOrEqual(column.width + 1e-6);
          if (i > 0) expect(column.left).toBeCloseTo(columns[i - 1].left + columns[i - 1].width, 6);
        });
      }),
    );
  });

  it('draws blocks in proportion to their shares', () => {
    const [a, b, c] = layStave([0.6, 0.3, 0.1], 1000, 40);
    expect([a.block, b.block, c.block]).toEqual([600, 300, 100]);
  });

  it('keeps an accent’s block small inside a column one can hit', () => {
    const [, accent] = layStave([0.99, 0.01], 1000, 40);
    expect(accent.width).toBe(40);
    expect(accent.block).toBeLessThan(12);
  });

  it('lays thousands in bounded time', () => {
    const shares = Array.from({ length: 5000 }, (_, i) => 1 / (i + 1));
    const begun = performance.now();
    const columns = layStave(shares, 1000, 14);
    expect(performance.now() - begun).toBeLessThan(500);
    expect(columns.reduce((sum, { width }) => sum + width, 0)).toBeCloseTo(1000, 4);
  });

  it('has nothing to lay for nothing, and crowds evenly where there is no room', () => {
    expect(layStave([], 1000, 40)).toEqual([]);
    const crowded = layStave(Array(50).fill(0.02), 1000, 40);
    expect(crowded.every(({ width }) => Math.abs(width - 20) < 1e-6)).toBe(true);
  });
});
