import { MUNSELL_SCALE } from '@/core/colour/value-scale';
import { stepOfKey, valueSteps } from './value-steps';

const press = (code: string, shiftKey = false) => ({ code, shiftKey });

describe('the values that can be answered', () => {
  it('are the steps of the scale and, where it is coarse, parts of them, from dark to light', () => {
    const munsell = valueSteps(MUNSELL_SCALE);
    expect(munsell).toHaveLength(21);
    expect(munsell.slice(0, 3)).toEqual([
      { value: 0, mark: 0 },
      { value: 0.5, mark: null },
      { value: 1, mark: 1 },
    ]);
    const five = valueSteps({ steps: 5, first: 1, highIs: 'dark' });
    expect(five.map(({ value }) => value)).toEqual([...five.keys()].map((i) => i * 0.5));
    expect(five.filter(({ mark }) => mark !== null).map(({ mark }) => mark)).toEqual([
      5, 4, 3, 2, 1,
    ]);
  });

  it('have a key each: a figure is its step, with Shift what lies above it', () => {
    const steps = valueSteps(MUNSELL_SCALE);
    expect(stepOfKey(press('Digit4'), steps)!.value).toBe(4);
    expect(stepOfKey(press('Numpad4'), steps)!.value).toBe(4);
    expect(stepOfKey(press('Digit4', true), steps)!.value).toBe(4.5);
    expect(stepOfKey(press('Digit0'), steps)!.value).toBe(0);
    expect(stepOfKey(press('KeyA'), steps)).toBeNull();
  });

  it('have 0 for ten where the scale begins with one, and none beyond its end', () => {
    const ten = valueSteps({ steps: 10, first: 1, highIs: 'light' });
    expect(stepOfKey(press('Digit0'), ten)).toMatchObject({ mark: 10, value: 10 });
    expect(stepOfKey(press('Digit0', true), ten)).toBeNull();
    expect(
      stepOfKey(press('Digit7'), valueSteps({ steps: 5, first: 0, highIs: 'light' })),
    ).toBeNull();
  });
});
