import { MUNSELL_SCALE } from '@/core/colour/value-scale';
import type { PlaneReading } from '@/core/depth/plane-reading';
import { recessionOf } from '@/core/depth/recession';
import { facingSentence, recessionSentence } from './depth-sentence';

const plane = (figures: Partial<PlaneReading>): PlaneReading => ({
  share: 0.3,
  colour: { L: 0.5, a: 0, b: 0 },
  value: 5,
  contrast: 4,
  chroma: 0.06,
  temperature: 0.2,
  masses: [0],
  ...figures,
});
const said = (far: Partial<PlaneReading> | null, middle: Partial<PlaneReading> | null = null) =>
  recessionSentence(
    recessionOf({ near: plane({}), middle: middle && plane(middle), far: far && plane(far) }),
    MUNSELL_SCALE,
  );

describe('how depth is told in words', () => {
  it('says whether what is far steps back, in what and by how much', () => {
    expect(said({ contrast: 1.5, chroma: 0.03, temperature: -0.4 })).toBe(
      'What lies far steps back from what is near: less contrast by 2.5 steps, duller by 0.030 and cooler by 0.6.',
    );
    expect(said({ chroma: 0.1, temperature: 0.5 })).toBe(
      'What lies far is held forward against what is near: stronger in colour by 0.040 and warmer by 0.3.',
    );
    expect(said({ contrast: 6, temperature: -0.2 })).toBe(
      'What lies far steps back in part: cooler by 0.4. In the rest it is held forward: more contrast by 2.0 steps.',
    );
    expect(said({ contrast: 2, value: 7 })).toBe(
      'What lies far steps back from what is near: less contrast by 2.0 steps. It is lighter by 2.0 steps.',
    );
    expect(said({ value: 4.3 })).toMatch(/nothing steps back\. It is darker by 0\.7 of a step\.$/);
    expect(said({})).toBe(
      'What lies far and what is near are alike in contrast, intensity and temperature; nothing steps back.',
    );
    expect(said(null, { contrast: 2 })).toBe(
      'The middle distance steps back from what is near: less contrast by 2.0 steps.',
    );
    expect(said(null)).toBe('It all lies at one distance.');
  });

  it('says the order in value of ground, uprights and sky', () => {
    const [dark, middle, light] = [2, 5, 8].map((value) => plane({ value }));
    expect(facingSentence({ sky: light, ground: middle, upright: dark }, MUNSELL_SCALE)).toBe(
      'The sky (8.0) is lightest, what stands upright (2.0) darkest, the ground (5.0) between.',
    );
    expect(facingSentence({ sky: dark, ground: light, upright: null }, MUNSELL_SCALE)).toBe(
      'The ground (8.0) is lightest, the sky (2.0) darkest.',
    );
    expect(
      facingSentence({ sky: middle, ground: plane({ value: 5.1 }), upright: null }, MUNSELL_SCALE),
    ).toBe('The ground (5.1) and the sky (5.0) are of one value.');
    expect(facingSentence({ sky: null, ground: null, upright: dark }, MUNSELL_SCALE)).toBeNull();
  });
});
