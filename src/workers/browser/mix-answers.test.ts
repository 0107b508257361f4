import { oklabFromHex } from '@/core/colour/hex';
import type { Oklab } from '@/core/colour/oklab';
import type { RecipeAnswer } from '@/contracts/desk-query/mix-queries';
import { deskQuerySchema } from '@/contracts/desk-query/desk-query';
import { knownPigment } from '@/core/mixing/read-mix';
import { tubeOf } from '@/core/mixing/tube';
import { mixAnswers } from './mix-answers';

const of = (hex: string) => oklabFromHex(hex) as Oklab;
const workerTube = (id: string, strength = 1) => {
  const { K, S } = tubeOf(id, [knownPigment(id)], strength).optics;
  return { id: `tube ${id}`, pigments: [id], K: [...K], S: [...S] };
};
const tubes = ['PW6', 'PY42', 'PR101', 'PB29', 'PBk9'].map((id) => workerTube(id));
const ask = (part: Partial<Parameters<typeof mixAnswers.recipes>[0]> = {}): RecipeAnswer[][] =>
  mixAnswers.recipes({
    kind: 'recipes',
    colours: [of('#8a7050'), of('#5a6a86')],
    tubes,
    maxTubes: 4,
    black: false,
    ...part,
  });

it('each colour has its recipes, of the tubes that were given and within the limits', () => {
  const answers = ask({ maxTubes: 3 });
  expect(answers).toHaveLength(2);
  for (const recipes of answers) {
    expect(recipes.length).toBeGreaterThan(0);
    for (const { parts } of recipes) {
      expect(parts.length).toBeLessThanOrEqual(3);
      for (const { tube } of parts) {
        expect(tubes.map(({ id }) => id)).toContain(tube);
        expect(tube).not.toBe('tube PBk9');
      }
    }
  }
});

it('what is known is not mixed again, and another strength is another answer', () => {
  const [first] = ask();
  const [again, other] = ask({ colours: [of('#8a7050'), of('#404850')] });
  expect(again).toBe(first);
  expect(other).not.toBe(first);
  const [stronger] = ask({
    tubes: tubes.with(3, workerTube('PB29', 3)),
    colours: [of('#5a6a86')],
  });
  expect(stronger[0].parts).not.toEqual(ask({ colours: [of('#5a6a86')] })[0][0].parts);
});

it('with nothing but black there is still an answer', () => {
  const [recipes] = ask({ tubes: [tubes[4]], colours: [of('#ffffff')] });
  expect(recipes[0].parts).toEqual([{ tube: 'tube PBk9', parts: 1 }]);
});

it('a query without tubes is none', () => {
  const query = { kind: 'recipes', colours: [], tubes: [], maxTubes: 4, black: false };
  expect(deskQuerySchema.safeParse(query).success).toBe(false);
  expect(deskQuerySchema.safeParse({ ...query, tubes }).success).toBe(true);
  expect(deskQuerySchema.safeParse({ ...query, tubes, maxTubes: 5 }).success).toBe(false);
});
