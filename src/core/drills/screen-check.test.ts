import fc from 'fast-check';
import { DARK_STEPS, LIGHT_STEPS, screenLimits } from './screen-check';

const all = (isTold: boolean) => DARK_STEPS.map(() => isTold);

describe('the check of a screen', () => {
  it('leaves out what lies beyond the last step that was not told apart', () => {
    expect(screenLimits({ dark: all(true), light: all(true) })).toEqual({
      darkest: DARK_STEPS[0],
      lightest: LIGHT_STEPS[0],
    });
    expect(
      screenLimits({ dark: [true, false, true, true, true, true], light: all(true) }),
    ).toMatchObject({ darkest: DARK_STEPS[2] });
    expect(
      screenLimits({ dark: all(true), light: [false, false, false, true, true, true] }),
    ).toMatchObject({ lightest: LIGHT_STEPS[3] });
  });

  it('has no limits for a screen that parts none, or for a check that was not ended', () => {
    expect(screenLimits({ dark: all(false), light: all(true) })).toBeNull();
    expect(screenLimits({ dark: all(true), light: [true, true] })).toBeNull();
  });

  it('never widens what is shown where one more is not told apart', () => {
    const told = fc.array(fc.boolean(), { minLength: 6, maxLength: 6 });
    fc.assert(
      fc.property(told, told, fc.nat(5), (dark, light, at) => {
        const wide = screenLimits({ dark, light });
        const fewer = dark.map((one, i) => one && i !== at);
        const narrow = screenLimits({ dark: fewer, light });
        if (narrow) expect(narrow.darkest).toBeGreaterThanOrEqual(wide!.darkest);
      }),
    );
  });
});
