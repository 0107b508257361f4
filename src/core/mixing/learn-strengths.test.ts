import { oklabFromLab, labFromOklab } from '../colour/cielab';
import { randomFrom } from '../seeded';
import { learnedStrengths, missOfMixture, type MadeMixture } from './learn-strengths';
import { mixLab } from './mix-lab';
import { tubesOf, TWELVE } from './testing/mixtures';

const tubes = tubesOf(TWELVE.slice(0, 8)).map(({ optics }) => optics);

/** A simulated painter: strengths off by up to a factor of two, and an eye or camera that is off by ΔE00 1.5. */
function painter(seed: number) {
  const random = randomFrom(seed);
  const truth = tubes.map(() => 2 ** (2 * random() - 1));
  const gauss = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
  const make = (noise: number): MadeMixture => {
    const left = tubes.map((_, i) => i);
    const count = random() < 0.5 ? 2 : 3;
    const parts = Array.from({ length: count }, () => ({
      tube: left.splice(Math.floor(random() * left.length), 1)[0],
      parts: 1 + Math.floor(random() * 6),
    }));
    const { L, a, b } = mixLab(
      parts.map(({ tube }) => tubes[tube]),
      parts.map(({ tube, parts: amount }) => amount * truth[tube]),
    );
    const C = Math.hypot(a, b);
    const off = (scale: number) => (noise * scale * gauss()) / Math.sqrt(3);
    return {
      parts,
      result: oklabFromLab({ L: L + off(1), a: a + off(1 + 0.03 * C), b: b + off(1 + 0.03 * C) }),
    };
  };
  return { truth, make };
}

const median = (list: number[]) => list.toSorted((one, other) => one - other)[list.length >> 1];

it('ten tries halve the median miss of tubes that are off by up to a factor of two', () => {
  const ratios = Array.from({ length: 12 }, (_, seed) => {
    const { make } = painter(seed + 1);
    const learned = learnedStrengths(
      tubes,
      Array.from({ length: 10 }, () => make(1.5)),
    );
    const others = Array.from({ length: 60 }, () => make(0));
    const misses = (strengths: number[]) =>
      median(others.map((mixture) => missOfMixture(tubes, mixture, strengths)));
    return misses(learned) / misses(tubes.map(() => 1));
  });
  expect(median(ratios)).toBeLessThan(0.5);
});

it('learns nothing from nothing, and nothing of what was in no mixture', () => {
  expect(learnedStrengths(tubes, [])).toEqual(tubes.map(() => 1));
  const { make } = painter(5);
  const tried = Array.from({ length: 4 }, () => make(0)).filter(({ parts }) =>
    parts.every(({ tube }) => tube !== 7),
  );
  expect(learnedStrengths(tubes, tried)[7]).toBe(1);
});

it('one clean try moves toward the truth, and does not run away with it', () => {
  const result = oklabFromLab(mixLab([tubes[0], tubes[6]], [4, 2]));
  const learned = learnedStrengths(tubes, [
    {
      parts: [
        { tube: 0, parts: 4 },
        { tube: 6, parts: 1 },
      ],
      result,
    },
  ]);
  expect(learned[6] / learned[0]).toBeGreaterThan(1.4);
  expect(learned[6] / learned[0]).toBeLessThan(2.1);
  expect(labFromOklab(result).L).toBeGreaterThan(0);
});
