import fc from 'fast-check';
import { oklabFromBytes, type Bytes } from '../colour/hex';
import { oklchFromOklab, type Oklab } from '../colour/oklab';
import { temperature } from '../colour/temperature';
import { valueOfOklab } from '../colour/value';
import type { Picture } from '../picture/picture';
import { greyBytes, paintedBy } from '../testing';
import { lightWarmth } from './mood-light';
import { MOOD_SETTINGS, moodEffect, moodPicture, MOODS, type MoodSettings } from './moods';

const AS_IT_IS: MoodSettings = {
  lightHue: 0,
  lightChroma: 0,
  shadowHue: 0,
  shadowChroma: 0,
  key: 0,
  range: 1,
  apart: 0,
  chroma: 1,
  greens: 0,
  air: 0,
};
const THRESHOLD = 5;

/** A sky that turns slowly, above lit and shaded ground with some green. */
const scene = paintedBy(120, 90, (x, y) => {
  if (y < 45) {
    const t = y / 45 + x / 500;
    return [150 + t * 60, 175 + t * 45, 215 + t * 20].map(Math.round) as unknown as Bytes;
  }
  const lit = x < 60;
  if (y > 70) return lit ? [110, 150, 70] : [45, 62, 30];
  return lit ? [205, 190, 165] : [70, 62, 58];
});
const at = ({ data, width }: Picture, x: number, y: number): Oklab =>
  oklabFromBytes(data.slice((y * width + x) * 4, (y * width + x) * 4 + 3) as unknown as Bytes);

/** The sky far, the ground near. */
const FAR_ABOVE = Uint8Array.from({ length: 120 * 90 }, (_, pixel) =>
  Math.floor(pixel / 120) < 60 ? 255 : 0,
);

it('the air takes what is far toward its own light, and leaves what is near', () => {
  const clear = moodPicture(scene, AS_IT_IS, THRESHOLD, FAR_ABOVE);
  const veiled = moodPicture(scene, { ...AS_IT_IS, air: 1 }, THRESHOLD, FAR_ABOVE);
  expect(at(veiled, 90, 85)).toEqual(at(clear, 90, 85));
  const [wall, shade] = [at(veiled, 30, 55), at(veiled, 90, 55)];
  const [wallWas, shadeWas] = [at(clear, 30, 55), at(clear, 90, 55)];
  expect(wall.L - shade.L).toBeLessThan(0.3 * (wallWas.L - shadeWas.L));
  expect(oklchFromOklab(wall).C).toBeLessThan(0.3 * oklchFromOklab(wallWas).C);
  expect(shade.L).toBeGreaterThan(shadeWas.L + 0.1);
});

it('a mood that does nothing leaves the picture as it is', () => {
  const same = moodPicture(scene, AS_IT_IS, THRESHOLD);
  let most = 0;
  for (let i = 0; i < same.data.length; i++)
    most = Math.max(most, Math.abs(same.data[i] - scene.data[i]));
  // Near the ends values bend.
  expect(most).toBeLessThanOrEqual(3);
});

describe.each(MOODS)('%s', (mood) => {
  const settings = MOOD_SETTINGS[mood];
  const result = moodPicture(scene, settings, THRESHOLD);

  it('has the key and the range that are said', () => {
    const { median, range } = moodEffect(scene, result);
    expect(Math.sign(Math.round((median[1] - median[0]) * 5))).toBe(
      Math.sign(Math.round(settings.key * 5)),
    );
    if (settings.range < 0.8) expect(range[1]).toBeLessThan(range[0] * 0.95);
  });

  it('takes light and shadow apart in hue', () => {
    const [lit, shade] = [at(result, 30, 60), at(result, 90, 60)];
    const [wasLit, wasShade] = [at(scene, 30, 60), at(scene, 90, 60)];
    const apart = (one: Oklab, other: Oklab) => temperature(one) - temperature(other);
    const of = (hue: number, chroma: number) =>
      temperature({
        a: chroma * Math.cos((hue * Math.PI) / 180),
        b: chroma * Math.sin((hue * Math.PI) / 180),
      });
    const wanted =
      of(settings.lightHue, settings.lightChroma) - of(settings.shadowHue, settings.shadowChroma);
    const own = settings.chroma * apart(wasLit, wasShade);
    expect(Math.abs(apart(lit, shade) - own - wanted)).toBeLessThan(0.35);
  });

  it('has no break in a sky that turns slowly', () => {
    const steps = (picture: Picture) => {
      let most = 0;
      for (let y = 0; y < 44; y++) {
        const [one, next] = [at(picture, 60, y), at(picture, 60, y + 1)];
        most = Math.max(most, Math.hypot(one.L - next.L, one.a - next.a, one.b - next.b));
      }
      return most;
    };
    // A step of one byte is the least that a picture has.
    expect(steps(result)).toBeLessThanOrEqual(2 * steps(scene) + 0.004);
  });

  it('keeps the order of values', () => {
    const order = (picture: Picture) =>
      [at(picture, 10, 5), at(picture, 30, 60), at(picture, 90, 60), at(picture, 90, 85)].map(
        valueOfOklab,
      );
    const [before, after] = [order(scene), order(result)];
    for (let i = 0; i < 4; i++)
      for (let j = 0; j < 4; j++)
        if (before[i] > before[j] + 1) expect(after[i]).toBeGreaterThan(after[j] - 0.05);
  });
});

it.each(MOODS)(
  '%s: a colour goes to the value that its grey goes to, however dark and strong it is',
  (mood) => {
    // The scene holds the median; each column is a colour beside the grey of its value.
    const colours: Bytes[] = [
      [10, 30, 12],
      [30, 6, 40],
      [60, 10, 4],
      [4, 10, 60],
      [200, 40, 30],
      [40, 90, 200],
      [250, 240, 120],
    ];
    const strip = paintedBy(colours.length * 2, 40, (x, y) => {
      if (y > 3) return [120, 120, 120];
      const colour = colours[x >> 1];
      return x % 2 === 0 ? colour : greyBytes(valueOfOklab(oklabFromBytes(colour)));
    });
    const plain = { ...MOOD_SETTINGS[mood], lightChroma: 0, shadowChroma: 0 };
    const result = moodPicture(strip, plain, THRESHOLD);
    colours.forEach((_, i) => {
      const [colour, grey] = [at(result, 2 * i, 0), at(result, 2 * i + 1, 0)].map(valueOfOklab);
      expect(Math.abs(colour - grey)).toBeLessThan(0.15);
    });
  },
);

it('greens cool where no sun is, and not in the light', () => {
  const turned = moodPicture(scene, { ...AS_IT_IS, greens: 16 }, THRESHOLD);
  const hue = (picture: Picture, x: number) => oklchFromOklab(at(picture, x, 85)).h;
  expect(hue(turned, 90) - hue(scene, 90)).toBeGreaterThan(6);
  expect(Math.abs(hue(turned, 30) - hue(scene, 30))).toBeLessThan(7);
});

it('whatever the sliders say, it is a picture within what can be painted', () => {
  const degrees = fc.double({ min: 0, max: 360, noNaN: true });
  fc.assert(
    fc.property(
      fc.record({
        lightHue: degrees,
        lightChroma: fc.double({ min: 0, max: 0.1, noNaN: true }),
        shadowHue: degrees,
        shadowChroma: fc.double({ min: 0, max: 0.1, noNaN: true }),
        key: fc.double({ min: -4, max: 4, noNaN: true }),
        range: fc.double({ min: 0.2, max: 1.6, noNaN: true }),
        apart: fc.double({ min: -1, max: 1.5, noNaN: true }),
        chroma: fc.double({ min: 0, max: 1.5, noNaN: true }),
        greens: fc.double({ min: -20, max: 20, noNaN: true }),
        air: fc.double({ min: 0, max: 1, noNaN: true }),
      }),
      (settings) => {
        const { data } = moodPicture(scene, settings, THRESHOLD, FAR_ABOVE);
        for (let i = 3; i < data.length; i += 4) if (data[i] !== 255) throw new Error('alpha');
        const [dark, light] = [at({ ...scene, data }, 90, 85), at({ ...scene, data }, 10, 40)];
        expect(valueOfOklab(dark)).toBeGreaterThan(0.1);
        expect(valueOfOklab(light)).toBeLessThan(9.95);
      },
    ),
    { numRuns: 40 },
  );
});

it('a mood’s light is as warm as it looks', () => {
  const warmth = (mood: (typeof MOODS)[number]) => lightWarmth(MOOD_SETTINGS[mood]);
  expect(warmth('golden evening')).toBe(1);
  expect(warmth('lamp')).toBe(1);
  expect(warmth('moonlight')).toBeLessThan(-0.3);
  expect(Math.abs(warmth('fog'))).toBeLessThan(0.2);
});
