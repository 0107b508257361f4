import fc from 'fast-check';
import { luminanceOfValue, quickValueOfLuminance, valueOfLuminance, valueWord } from './value';
import { fromScale, onScale, scaleMarks, type ValueScale } from './value-scale';

describe('Munsell value', () => {
  it.each([
    [0.1927, 5, 0.01],
    [0.0305, 2, 0.01],
    [0.5762, 8, 0.01],
    [1, 10, 1e-9],
    [0, 0, 0],
  ])('of Y = %d is %d', (Y, value, tolerance) => {
    expect(Math.abs(valueOfLuminance(Y) - value)).toBeLessThanOrEqual(tolerance);
  });

  it('inverts the published polynomial', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 10, noNaN: true }), (value) => {
        expect(valueOfLuminance(luminanceOfValue(value))).toBeCloseTo(value, 6);
      }),
    );
  });

  it('comes from the table within 0.001', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 1, noNaN: true }), (Y) => {
        expect(Math.abs(quickValueOfLuminance(Y) - valueOfLuminance(Y))).toBeLessThan(0.001);
      }),
      { numRuns: 2000 },
    );
  });

  it('is worded at 2.5, 4.5, 6.5 and 8.5', () => {
    const words = [0, 2.49, 2.5, 4.49, 4.5, 6.49, 6.5, 8.49, 8.5, 10].map(valueWord);
    expect(words).toEqual([
      'very dark',
      'very dark',
      'dark',
      'dark',
      'middle',
      'middle',
      'light',
      'light',
      'very light',
      'very light',
    ]);
  });
});

describe('a value scale', () => {
  const anyScale: fc.Arbitrary<ValueScale> = fc.record({
    steps: fc.integer({ min: 2, max: 11 }),
    first: fc.constantFrom(0 as const, 1 as const),
    highIs: fc.constantFrom('light' as const, 'dark' as const),
  });

  it('counts from 1 at white to 9 at black, where the person wants it so', () => {
    const scale: ValueScale = { steps: 9, first: 1, highIs: 'dark' };
    expect(onScale(10, scale)).toBe(1);
    expect(onScale(0, scale)).toBe(9);
    expect(onScale(5, scale)).toBe(5);
    expect(scaleMarks(scale).map(({ mark }) => mark)).toEqual([9, 8, 7, 6, 5, 4, 3, 2, 1]);
  });

  it('changes only what is shown: any scale gives the value back', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 10, noNaN: true }), anyScale, (value, scale) => {
        expect(fromScale(onScale(value, scale), scale)).toBeCloseTo(value, 9);
      }),
    );
  });

  it('marks its steps from dark to light', () => {
    fc.assert(
      fc.property(anyScale, (scale) => {
        const values = scaleMarks(scale).map(({ value }) => value);
        expect(values).toHaveLength(scale.steps);
        expect(values[0]).toBeCloseTo(0, 9);
        expect(values.at(-1)).toBeCloseTo(10, 9);
        expect([...values].sort((a, b) => a - b)).toEqual(values);
      }),
    );
  });
});
