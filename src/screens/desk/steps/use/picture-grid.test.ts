import { grid } from './picture-grid';

describe('pictures side by side', () => {
  it('stand as large as they all fit', () => {
    const { columns, width } = grid(4, 4 / 3, { width: 790, height: 536 }, 36);
    expect(columns).toBe(2);
    expect(width * columns + 12).toBeLessThanOrEqual(790 - 32);
    expect((width * 3) / 4).toBeLessThanOrEqual((536 - 32 - 12) / 2 - 36);
  });

  it('are scrolled to where they would be too small to look at', () => {
    const { columns, width } = grid(8, 1, { width: 788, height: 536 }, 128);
    expect(columns).toBe(4);
    expect(width).toBeGreaterThan(160);
    expect(columns * width + 3 * 12).toBeLessThanOrEqual(788 - 32);
  });

  it('are one below the other on a narrow stage', () => {
    expect(grid(8, 1.5, { width: 200, height: 160 }, 128).columns).toBe(1);
    expect(grid(0, 1.5, { width: 0, height: 0 }, 36).columns).toBe(1);
  });
});
