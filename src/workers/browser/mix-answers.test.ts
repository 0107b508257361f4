import { oklabFromHex } from '@/core/colour/hex';
import type { Oklab } from '@/core/colour/oklab';
import type { RecipeAnswer } from '@/contracts/desk-query/mix-queries';
import { deskQuerySchema } from '@/contracts/desk-query/desk-query';
import { knownPigment } from '@/core/mixing/read-mix';
import { tubeOf } from '@/core/mixing/tube';
import { pictureOf } from '@/core/picture/picture';
import { deriveImages } from './derived-images';
import { mixAnswers } from './mix-answers';
import { pushSettings } from './testing/push-settings';

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

describe('media that are laid in layers', () => {
  const pencils = ['#9a4a2c', '#4c5c75', '#d9b45a', '#f6f5f2', '#1c1c1c'].map((hex, i) => ({
    id: `pencil ${i}`,
    colour: of(hex),
    strength: 1,
  }));
  const inks = {
    paper: of('#f4efe3'),
    inks: [of('#deaa37'), of('#be402b'), of('#2d5a7f')],
    strengths: [1, 1, 1],
  };
  const sources = () => {
    const data = Uint8ClampedArray.from({ length: 40 * 30 * 4 }, (_, i) =>
      i % 4 === 3 ? 255 : (i * 7) % 256,
    );
    const picture = pictureOf(40, 30, data);
    return { working: picture, images: deriveImages(picture, (strokes) => [...strokes]) };
  };

  it('pencils answer by their ids, without black in what is not nearly black', () => {
    const answers = mixAnswers.pencilRecipes({
      kind: 'pencilRecipes',
      colours: [of('#7a6a60'), of('#17181a')],
      pencils,
      blacks: ['pencil 4'],
      white: 'pencil 3',
    });
    const used = answers.map(([best]) => best.layers.map(({ pencil }) => pencil));
    expect(used[0]).not.toContain('pencil 4');
    expect(used[1]).toContain('pencil 4');
    const ids = pencils.map(({ id }) => id);
    for (const one of answers.flat())
      for (const { pencil } of one.layers) expect(ids).toContain(pencil);
  });

  it('washes answer by the ids of tubes', () => {
    const [[best]] = mixAnswers.washRecipes({
      kind: 'washRecipes',
      colours: [of('#b8c4d8')],
      tubes,
    });
    for (const { tube } of best.steps) expect(tubes.map(({ id }) => id)).toContain(tube);
  });

  it('inks answer with every overprint, a proof and plates of the picture', () => {
    const { colours, overprints } = mixAnswers.separations({
      kind: 'separations',
      colours: [of('#2d5a7f')],
      ...inks,
    });
    expect(overprints).toHaveLength(8);
    expect(colours[0].cover[2]).toBeGreaterThan(0.9);
    const made = sources();
    const proof = mixAnswers.proof({ kind: 'proof', look: 'tones', ...inks }, made);
    const plate = mixAnswers.plate({ kind: 'plate', look: 'flat', ink: 1, ...inks }, made);
    for (const picture of [proof, plate]) expect([picture.width, picture.height]).toEqual([40, 30]);
    const greys = new Set(plate.data.filter((_, i) => i % 4 !== 3));
    expect([...greys].every((byte) => byte === 0 || byte === 255)).toBe(true);
    // What is handed over is a copy: the next answer is whole.
    proof.data.fill(0);
    expect(mixAnswers.proof({ kind: 'proof', look: 'tones', ...inks }, made).data[3]).toBe(255);
  });

  it('first colours come from the strengthened picture', () => {
    const query = {
      kind: 'underpainting',
      settings: pushSettings({ spread: 0.6 }),
      count: 3,
    } as const;
    const found = mixAnswers.underpainting(query, sources());
    expect(found.length).toBeGreaterThan(0);
    expect(found.length).toBeLessThanOrEqual(3);
  });

  it('what is no such query is refused', () => {
    const query = { kind: 'separations', colours: [], ...inks };
    expect(deskQuerySchema.safeParse(query).success).toBe(true);
    expect(deskQuerySchema.safeParse({ ...query, inks: inks.inks.slice(0, 1) }).success).toBe(
      false,
    );
    expect(deskQuerySchema.safeParse({ kind: 'proof', look: 'glossy', ...inks }).success).toBe(
      false,
    );
  });
});
