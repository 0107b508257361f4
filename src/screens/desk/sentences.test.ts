import { MUNSELL_SCALE } from '@/core/colour/value-scale';
import { oklabFromHex } from '@/core/colour/hex';
import type { Oklab } from '@/core/colour/oklab';
import type { TraySwatch } from '@/contracts/study';
import { lookSentence } from './steps/look/look-sentence';
import { DEFAULT_TARGET, readProportion } from '@/core/palette/proportion';
import {
  testSentence,
  paletteSentence,
  proportionSentence,
  duplicatesSentence,
  widestGap,
} from '@/palette/palette-sentence';
import type { Separation } from '@/core/measure/separation';
import { greysSentence } from './steps/values/greys-sentence';
import { balanceSentence, focusSentence } from './steps/values/focus-sentence';
import { lightSentence } from './steps/values/light-sentence';
import { against, mergingSentence, separationSentence } from './steps/values/separation-sentence';
import { twoFrames } from './stage/two-frames';
import { zoneNames } from './zone-names';
import { valueSentence } from './steps/values/value-sentence';

const swatch = (hex: string, share: number | null, name = hex): TraySwatch => ({
  id: hex,
  name,
  note: '',
  colour: oklabFromHex(hex) as Oklab,
  share,
  locked: false,
  origin: 'extracted',
  area: null,
  spread: null,
  role: null,
  follows: null,
  components: [],
  change: null,
  recipe: null,
  mediumRecipes: [],
  parts: [],
});

describe('findings', () => {
  it('say the aim', () => {
    expect(lookSentence({ aims: [], kind: null })).toBe(
      'Say what this study is for: one aim, two at most.',
    );
    expect(lookSentence({ aims: ['values', 'speed'], kind: 'photograph' })).toBe(
      'A study of values and speed, from a photograph.',
    );
    expect(lookSentence({ aims: ['values'], kind: 'own work' })).toBe(
      'A study of values, from own work.',
    );
  });

  it('say how many values carry it, what they take, where lights and darks stop, key and range', () => {
    const zones = [
      { from: 0, to: 4, share: 0.46, mean: 2 },
      { from: 4, to: 6, share: 0.38, mean: 5 },
      { from: 6, to: 10, share: 0.16, mean: 8 },
    ];
    const reading = {
      median: 4.5,
      p5: 1.2,
      p95: 7.9,
      key: 'middle',
      range: 'full',
      carriedBy: 3,
      light: 7,
      shadow: 3,
      curve: [2.4, 1.1, 0.5, 0.3, 0.2, 0.2, 0.1, 0.1, 0.1],
      inShadow: [0, 1, 2, 2, 3, 3, 4, 4, 5],
      zones,
    } as const;
    const whole = { ...reading, zones, curve: [...reading.curve], inShadow: [...reading.inShadow] };
    const ends = {
      lights: { usual: 6.5, large: 7.9, small: [] },
      darks: { usual: 2, large: 1.2, small: [] },
    };
    const lamp = { value: 9, share: 0.003, x: 0.9, y: 0.1 };
    const lit = { ...ends, lights: { ...ends.lights, large: 3.7, small: [lamp] } };
    const carried = { values: 3, light: 1, shadow: 2 };
    expect(valueSentence(whole, carried, 'natural', MUNSELL_SCALE, ends)).toBe(
      'Three values carry it, one in the light, two in the shadow: dark 46 %, middle 38 %, light 16 %. The lights stop at 7.9, the darks at 1.2. A middle key of full range.',
    );
    expect(valueSentence(whole, carried, 'natural', MUNSELL_SCALE, lit)).toContain(
      'The lights stop at 3.7, but for a small light (upper right, under 1 %) that reaches 9.0; the darks at 1.2.',
    );
    // The shares belong to natural zones of that number alone.
    for (const [by, breaks] of [
      [carried, 'even'],
      [{ values: 4, light: 2, shadow: 2 }, 'natural'],
    ] as const)
      expect(valueSentence(whole, by, breaks, MUNSELL_SCALE, ends)).not.toContain('46 %');
    expect(
      valueSentence(whole, { values: 1, light: 1, shadow: 0 }, 'even', MUNSELL_SCALE, null),
    ).toBe('One value carries it. A middle key of full range.');
    const onNine = valueSentence(
      whole,
      carried,
      'even',
      { steps: 9, first: 1, highIs: 'dark' },
      ends,
    );
    expect(onNine).toContain('The lights stop at 2.7, the darks at 8.0');
  });

  it('name up to five zones and number more', () => {
    expect(zoneNames(3)).toEqual(['dark', 'middle', 'light']);
    expect(zoneNames(7)[0]).toBe('1, darkest');
    expect(zoneNames(7).at(-1)).toBe('7, lightest');
    expect(zoneNames(9)).toHaveLength(9);
  });

  it('say how many colours, from where to where, and what takes most', () => {
    expect(paletteSentence([], MUNSELL_SCALE)).toMatch(/^No colours yet/);
    expect(
      paletteSentence([swatch('#000000', 0.7, 'night'), swatch('#ffffff', 0.3)], MUNSELL_SCALE),
    ).toBe('Two colours, from value 0.0 to 10.0. Night takes most, 70 %.');
    expect(paletteSentence([swatch('#ffffff', null)], MUNSELL_SCALE)).toBe(
      'One colour, at value 10.0.',
    );
  });

  it('find the widest gap in value, if there is one', () => {
    expect(
      widestGap([swatch('#000000', 1), swatch('#303030', 1), swatch('#f0f0f0', 1)])?.to,
    ).toBeGreaterThan(9);
    expect(widestGap([swatch('#808080', 1), swatch('#909090', 1)])).toBeNull();
    expect(widestGap([])).toBeNull();
  });
});

const of = (hex: string) => oklabFromHex(hex) as Oklab;

describe('findings of value', () => {
  const side = (value: number, temperature: number, meanChroma: number, share: number) => ({
    share,
    value,
    colour: of('#888888'),
    temperature,
    chroma: meanChroma,
    meanChroma,
  });

  it('say how light and shadow part', () => {
    const reading = { threshold: 5, corrected: 0 };
    expect(
      lightSentence(
        { ...reading, light: side(7, 0.3, 0.05, 0.46), shadow: side(3.5, -0.5, 0.03, 0.54) },
        MUNSELL_SCALE,
      ),
    ).toBe('The light takes 46 %, 3.5 steps above the shadow. Colour in the shadow is duller.');
    const alike = { light: side(7, 0.1, 0.05, 0.5), shadow: side(6, 0.12, 0.05, 0.5) };
    expect(lightSentence({ ...reading, ...alike }, { ...MUNSELL_SCALE, steps: 6 })).toBe(
      'The light takes 50 %, 0.5 of a step above the shadow. Colour in the shadow is as strong as in the light.',
    );
    expect(
      lightSentence({ ...reading, light: side(7, 0, 0, 1), shadow: null }, MUNSELL_SCALE),
    ).toBe('All of it is in the light; there is nothing to part.');
  });

  it('say whether two colours part, and whether they would in grey', () => {
    const read = (steps: number, difference: number, inGrey: number) =>
      separationSentence(
        { steps, difference, inGrey, colour: 0.1 } satisfies Separation,
        MUNSELL_SCALE,
      );
    expect(read(0.1, 2, 1)).toMatch(/^They hardly part at all: 0.1 of a step/);
    expect(read(1, 12, 9)).toBe('They part by one step, in grey as well.');
    expect(read(0.02, 30, 0.4)).toBe(
      'They part by colour alone: no step of value. In grey they would be one.',
    );
    expect(read(0.4, 30, 6)).toMatch(/in grey only just/);
  });

  it('say what merges in black and white', () => {
    const mass = (hex: string) => ({
      share: 0.1,
      colour: of(hex),
      value: 3,
      place: { x: 0.1, y: 0.1 },
    });
    const merging = {
      one: mass('#203060'),
      other: mass('#702020'),
      pair: [0, 1] as [number, number],
      steps: 0.2,
      colour: 0.2,
      place: { x: 0.9, y: 0.5 },
    };
    expect(mergingSentence([], 1)).toMatch(/all one mass/);
    expect(mergingSentence([], 4)).toMatch(/it reads in black and white/);
    expect(mergingSentence([merging], 4)).toMatch(
      /^One pair of neighbours merges in black and white: navy and maroon, on the right\.$/,
    );
    expect(mergingSentence([merging, merging], 4)).toMatch(
      /^Two pairs of neighbours merge .*, above all/,
    );
  });

  it('say where the eye goes and rests, and where the weight lies', () => {
    const place = {
      x: 0.9,
      y: 0.1,
      reason: 'value' as const,
      strength: 1,
      radius: 0.03,
      meets: [of('#202020'), of('#f0f0f0')] as [Oklab, Oklab],
    };
    expect(focusSentence([place], [{ x: 0.5, y: 0.9, share: 0.2 }])).toMatch(
      /^Contrast is strongest upper right, by value: .* against .*\. It rests at the bottom, over 20 % of the picture\.$/,
    );
    expect(focusSentence([place], [])).toMatch(/It rests nowhere for long/);
    expect(focusSentence([], [])).toMatch(/Nothing stands out/);
    expect(against([of('#777777'), of('#888888')])).toMatch(/ against a lighter one$/);
    expect(balanceSentence({ centre: { x: 0.5, y: 0.5 }, left: 0.5, upper: 0.5 })).toBe(
      'The weight balances in the middle: 50 % of it is on the left, 50 % in the upper half.',
    );
    expect(balanceSentence({ centre: { x: 0.44, y: 0.58 }, left: 0.6, upper: 0.4 })).toMatch(
      /balances 6 % left of and 8 % below the middle/,
    );
  });

  it('say which colours brightness misleads about', () => {
    const cause = { family: 'blue', share: 0.2, colour: of('#2030a0'), value: 2, byBrightness: 5 };
    expect(greysSentence({ step: 1, parted: 0.25, causes: [cause] }, MUNSELL_SCALE)).toBe(
      'By misleading grey 25 % of it reads more than a step too light, blue above all: 20 %, by 3.0 steps.',
    );
    expect(greysSentence({ step: 1, parted: 0, causes: [] }, MUNSELL_SCALE)).toMatch(
      /^Neither grey misleads here/,
    );
  });

  it('stand two pictures so that they are largest', () => {
    const stage = { width: 788, height: 536 };
    for (const aspect of [0.5, 1, 1.6, 4]) {
      const [one, other] = twoFrames(aspect, stage);
      expect(one.width / one.height).toBeCloseTo(aspect, 6);
      expect(one.x).toBeGreaterThanOrEqual(0);
      expect(other.x + other.width).toBeLessThanOrEqual(stage.width);
      expect(other.y + other.height).toBeLessThanOrEqual(stage.height);
      const areBeside = one.y === other.y;
      expect(areBeside ? one.x + one.width : one.y + one.height).toBeLessThan(
        areBeside ? other.x : other.y,
      );
    }
    expect(twoFrames(4, stage)[0].x).toBe(twoFrames(4, stage)[1].x);
  });
});

describe('findings of the palette', () => {
  it('say how many colours there really are', () => {
    expect(duplicatesSentence(13, [4, 2, 5])).toBe('13 colours are really five.');
    expect(duplicatesSentence(4, [])).toBe('No two are this near to each other.');
    expect(duplicatesSentence(1, [])).toMatch(/not yet two/);
  });

  it('say what dominates, in area and in weight, and what is off its target', () => {
    const palette = [
      { ...swatch('#f0f0e8', 0.6, 'paper'), role: 'main' as const },
      { ...swatch('#181820', 0.38, 'ink'), role: 'second' as const },
      { ...swatch('#c03028', 0.02, 'red'), role: 'accent' as const },
    ];
    const weighed = palette.map(({ colour, share, role }) => ({ colour, share: share ?? 0, role }));
    const said = proportionSentence(palette, readProportion(weighed, DEFAULT_TARGET));
    expect(said).toBe(
      'Paper takes most, 60 %, but ink weighs most. Against the target the accent has less.',
    );
    const plain = palette.map((one) => ({ ...one, role: null }));
    const unweighed = weighed.map((one) => ({ ...one, role: null }));
    expect(proportionSentence(plain, readProportion(unweighed, DEFAULT_TARGET))).toBe(
      'Paper takes most, 60 %, but ink weighs most.',
    );
    expect(proportionSentence([], readProportion([], DEFAULT_TARGET))).toMatch(/^No colours/);
  });

  it('say how far the picture is from the palette, and what it loses', () => {
    const missing = [
      { colour: oklabFromHex('#c03028') as Oklab, share: 0.1, point: null, difference: 20 },
    ];
    expect(testSentence({ mean: 4.04, failed: 0.12, shares: [], missing }, 8)).toMatch(
      /^On average the picture is 4\.0 from these eight; they fail 12 % of it; most of that is .*red/,
    );
    expect(testSentence({ mean: 1, failed: 0, shares: [], missing: [] }, 1)).toBe(
      'On average the picture is 1.0 from this colour, and nothing of it is lost.',
    );
  });
});
