import { spreadWave } from './wavefront';

describe('a wave over cells', () => {
  it('reaches each cell once, the nearest first, and does not leap across the sides', () => {
    const steps = new Int32Array(12).fill(-1);
    steps[0] = 0;
    const order: number[] = [];
    spreadWave([0], 4, 12, (cell, from) => {
      if (steps[cell] >= 0) return false;
      steps[cell] = steps[from] + 1;
      order.push(steps[cell]);
      return true;
    });
    expect([...steps]).toEqual([0, 1, 2, 3, 1, 2, 3, 4, 2, 3, 4, 5]);
    expect(order).toEqual([...order].sort((a, b) => a - b));
  });

  it('stays out of what it is refused', () => {
    const reached = new Set([1]);
    spreadWave([1], 3, 9, (cell) => {
      if (reached.has(cell) || Math.floor(cell / 3) === 1) return false;
      reached.add(cell);
      return true;
    });
    expect([...reached].sort()).toEqual([0, 1, 2]);
  });
});
