import { polesOfInaccessibility } from './pole-of-inaccessibility';

describe('the pole of inaccessibility of each label', () => {
  it('is the cell that is farthest from other labels and from the border', () => {
    const width = 7;
    const labels = new Int16Array(7 * 9);
    // A second label in the two lowest rows.
    labels.fill(1, 7 * 7);
    const [upper, lower] = polesOfInaccessibility(labels, width, 2);
    expect(upper % width).toBe(3);
    expect([3, 4]).toContain(Math.floor(upper / width));
    expect(Math.floor(lower / width)).toBeGreaterThanOrEqual(7);
  });

  it('lies within its label, even where the label bends round its middle', () => {
    const width = 9;
    const labels = new Int16Array(81).fill(1);
    for (let i = 0; i < 81; i++) {
      const [x, y] = [i % 9, Math.floor(i / 9)];
      if (x < 2 || y > 6) labels[i] = 0;
    }
    const [bent] = polesOfInaccessibility(labels, width, 2);
    expect(labels[bent]).toBe(0);
  });
});
