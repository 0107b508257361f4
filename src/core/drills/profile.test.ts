import { PAINTERS_WHEEL } from '../colour/wheel';
import { randomFrom } from '../seeded';
import { profileOf, type Measured } from './profile';
import { allRegions, VALUE_THIRDS, type ColourRegion } from './region';
import { learner } from './testing/learner';

const SEEDS = Array.from({ length: 20 }, (_, i) => i * 101 + 7);

describe('the profile', () => {
  const lean = ({ value }: ColourRegion) => ({ dark: -0.4, middle: 0.1, light: 0.6 })[value];

  it('measures a learner in 150 answers: within 0.2 step by third, within 15 % of the spread', () => {
    let [spreads, biases] = [0, 0];
    for (const seed of SEEDS) {
      const person = learner(seed, { lean, spread: 0.6, learning: 0.006 });
      const random = randomFrom(seed + 1);
      const answers: Measured[] = [];
      const truth = new Map<string, number[]>(VALUE_THIRDS.map((third) => [third, []]));
      for (let i = 0; i < 150; i++) {
        const region = allRegions()[Math.floor(random() * allRegions().length)];
        truth.get(region.value)!.push(person.bias(region));
        answers.push({ region, off: person.off(region) });
      }
      const profile = profileOf(answers)!;
      if (Math.abs(profile.spread / 0.6 - 1) <= 0.15) spreads++;
      for (const third of VALUE_THIRDS) {
        const own = truth.get(third)!;
        const real = own.reduce((sum, one) => sum + one, 0) / own.length;
        const { bias } = profile.leanings.find(({ is }) => is === third)!;
        if (Math.abs(profile.bias + bias - real) <= 0.2) biases++;
      }
    }
    expect(spreads).toBeGreaterThanOrEqual(19);
    expect(biases).toBeGreaterThanOrEqual(0.95 * 3 * SEEDS.length);
  });

  it('measures how far answers spread in each part: wide lights are told from narrow darks', () => {
    const wide = { dark: 0.3, middle: 0.6, light: 0.9 };
    let within = 0;
    for (const seed of SEEDS) {
      const random = randomFrom(seed);
      const people = Object.fromEntries(
        VALUE_THIRDS.map((third, i) => [
          third,
          learner(seed + i, { lean: () => 0, spread: wide[third], learning: 0 }),
        ]),
      );
      const answers = Array.from({ length: 150 }, (): Measured => {
        const region = allRegions()[Math.floor(random() * allRegions().length)];
        return { region, off: people[region.value].off(region) };
      });
      const { leanings } = profileOf(answers)!;
      const spreadOf = (third: string) => leanings.find(({ is }) => is === third)!.spread;
      expect(spreadOf('dark')).toBeLessThan(spreadOf('light'));
      within += VALUE_THIRDS.filter(
        (third) => Math.abs(spreadOf(third) / wide[third] - 1) <= 0.25,
      ).length;
    }
    expect(within).toBeGreaterThanOrEqual(0.8 * 3 * SEEDS.length);
  });

  it('doesn’t blame the dark for a family that was mostly met there', () => {
    const dark: ColourRegion = { value: 'dark', family: 'violet', intensity: 'dull' };
    const others = PAINTERS_WHEEL.families.filter((family) => family !== 'violet');
    const answers: Measured[] = Array.from({ length: 120 }, (_, i) => ({
      region:
        i % 3 === 0
          ? dark
          : { ...dark, value: VALUE_THIRDS[i % 2 === 0 ? 0 : 2], family: others[i % 11] },
      off: i % 3 === 0 ? 0.9 : 0,
    }));
    const { leanings, bias } = profileOf(answers)!;
    const of = (is: string) => leanings.find((one) => one.is === is)!.bias;
    expect(of('violet')).toBeGreaterThan(0.4);
    expect(Math.abs(of('dark'))).toBeLessThan(0.2);
    expect(bias).toBeCloseTo(0.3, 1);
  });

  it('says nothing of no answers, and is sure of little after few', () => {
    expect(profileOf([])).toBeNull();
    const region = allRegions()[40];
    const one = profileOf([{ region, off: 1 }])!;
    expect(one).toMatchObject({ count: 1, bias: 1 });
    const few = profileOf([
      { region, off: 1 },
      { region: allRegions()[0], off: -1 },
    ])!;
    for (const { bias, error } of few.leanings) expect(Math.abs(bias)).toBeLessThan(2 * error);
  });
});
