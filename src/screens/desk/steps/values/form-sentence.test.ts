import { MUNSELL_SCALE } from '@/core/colour/value-scale';
import type { FormStudy, MassForm } from '@/core/form/form-study';
import type { Gradient } from '@/core/form/gradients';
import {
  contourWords,
  formSentence,
  gradientWords,
  haloWords,
  reflectionWords,
  shadowWords,
  varietyWord,
} from './form-sentence';

const rises = (towards: number): Gradient => ({ towards, from: 1, to: 2, fit: 0.8 });
const NONE = { value: null, temperature: null, chroma: null };
const mass = (L: number, x: number, y: number): MassForm => ({
  share: 0.2,
  colour: { L, a: 0.001, b: 0 },
  value: L * 10,
  place: { x, y },
  gradients: NONE,
  variety: 0.004,
});
const LIGHT = mass(0.9, 0.5, 0.1);
const DARK = mass(0.42, 0.9, 0.9);
const FORM: FormStudy = {
  masses: [LIGHT, DARK],
  main: [LIGHT, DARK],
  halos: [],
  lines: [],
  shadows: [],
  reflections: [],
};
const halo = {
  tone: 'light',
  mass: 0,
  beside: 1,
  step: 0.8,
  along: 0.5,
  place: { x: 0.1, y: 0.5 },
} as const;

describe('the sentences of form', () => {
  it('join value and temperature where they change along one way, and part them where they do not', () => {
    expect(gradientWords({ ...NONE, value: rises(0), temperature: rises(20) })).toBe(
      'goes from a cooler dark left to a warmer light right',
    );
    expect(gradientWords({ ...NONE, value: rises(0), temperature: rises(170) })).toBe(
      'goes from a warmer dark left to a cooler light right',
    );
    expect(gradientWords({ ...NONE, value: rises(90), temperature: rises(0) })).toBe(
      'grows lighter toward the top and warmer toward the right',
    );
    expect(gradientWords({ ...NONE, chroma: rises(225) })).toBe(
      'grows more intense toward the lower left',
    );
    expect(gradientWords({ ...NONE, temperature: rises(270), chroma: rises(268) })).toBe(
      'grows warmer and more intense toward the bottom',
    );
    // A full turn is the right again.
    expect(gradientWords({ ...NONE, value: rises(359) })).toBe('grows lighter toward the right');
    expect(gradientWords(NONE)).toBeNull();
  });

  it('say how broken a colour is', () => {
    expect([0.002, 0.012, 0.03].map(varietyWord)).toEqual(['even', 'varied', 'broken']);
  });

  it('open with what turns, and the plainest of what was found besides', () => {
    expect(formSentence(FORM, MUNSELL_SCALE)).toBe(
      'The main masses are even: none changes from side to side.',
    );
    const turning = { ...LIGHT, gradients: { ...NONE, value: rises(90) } };
    const sentence = formSentence({ ...FORM, main: [turning], halos: [halo] }, MUNSELL_SCALE);
    expect(sentence).toBe(
      'The very light grey at the top grows lighter toward the top. A light halo stands on the left.',
    );
  });

  it('name both sides of an edge, who throws light, and what water would not do', () => {
    expect(haloWords(halo, FORM.masses, MUNSELL_SCALE)).toBe(
      'A light halo in the very light grey beside the dark grey, on the left: 0.8 of a step, along 50 % of their edge',
    );
    expect(
      contourWords({ ...halo, tone: 'dark', masses: [0, 1], step: 2 }, FORM.masses, MUNSELL_SCALE),
    ).toMatch(/^A dark line between very light grey and dark grey, on the left: 2\.0 steps/);
    const spot = { place: { x: 0.5, y: 0.5 }, colour: DARK.colour, value: 2 };
    const shadow = { mass: 1, light: 135, core: spot, cast: null };
    expect(
      shadowWords(
        { ...shadow, reflected: { ...spot, step: 1, from: 0 } },
        FORM.masses,
        MUNSELL_SCALE,
      ),
    ).toBe(
      'Lit from the upper left; darkest in the middle, and beyond it lighter again by one step, likely thrown by the very light grey at the top.',
    );
    const pair = { above: 0, below: 1, waterline: 0.5, overlap: 0.8 };
    expect(reflectionWords({ ...pair, value: -1, chroma: -0.02 }, FORM.masses, MUNSELL_SCALE)).toBe(
      'Very light grey at the top has its likeness below it, darker by one step and duller',
    );
    expect(reflectionWords({ ...pair, value: 1, chroma: 0 }, FORM.masses, MUNSELL_SCALE)).toMatch(
      /lighter by one step and as intense; water would do the opposite$/,
    );
  });
});
