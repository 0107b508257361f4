import { oklabFromHex } from '../colour/hex';
import { linearFromOklab, oklabDistance, oklabFromLinear, type Oklab } from '../colour/oklab';
import { paintedBy } from '../testing';
import { byPaper, guessCard, guessDab } from './card-photo';

const of = (hex: string) => oklabFromHex(hex) as Oklab;

it('the patches of a card are found, and taken for what they are', () => {
  const ground: [number, number, number] = [96, 92, 88];
  const patch: [number, [number, number, number]][] = [
    [40, [240, 238, 232]],
    [150, [30, 24, 92]],
    [260, [120, 140, 205]],
  ];
  const card = paintedBy(360, 160, (x, y) => {
    const found = y > 30 && y < 130 ? patch.find(([left]) => x > left && x < left + 70) : undefined;
    return found ? found[1] : ground;
  });
  const guess = guessCard(card);
  expect(guess.paper?.colour.L).toBeGreaterThan(0.9);
  expect(guess.massTone?.x).toBeGreaterThan(140 / 360);
  expect(guess.massTone?.colour.L).toBeLessThan(0.35);
  expect(guess.tint?.x).toBeGreaterThan(250 / 360);
  expect(guess.tint?.colour.b).toBeLessThan(-0.05);
});

it('a dab beside paper is found, whichever is larger', () => {
  for (const wide of [60, 130]) {
    const photo = paintedBy(320, 120, (x, y) => {
      if (y < 20 || y > 100) return [70, 66, 60];
      if (x > 20 && x < 140) return [235, 232, 228];
      return x > 160 && x < 160 + wide ? [110, 70, 50] : [70, 66, 60];
    });
    const guess = guessDab(photo);
    expect(guess.paper?.x).toBeLessThan(0.2);
    expect(guess.dab?.x).toBeGreaterThan(0.45);
  }
});

it('a picture without patches guesses nothing', () => {
  const plain = paintedBy(60, 40, () => [120, 120, 120]);
  expect(guessCard(plain)).toEqual({});
  expect(guessDab(plain)).toEqual({});
});

it('the paper takes the light’s colour and strength away', () => {
  const blue = of('#3f5fb0');
  const paper = oklabFromLinear({ r: 0.86, g: 0.86, b: 0.86 });
  const lit = (colour: Oklab) => {
    const { r, g, b } = linearFromOklab(colour);
    return oklabFromLinear({ r: r * 0.7, g: g * 0.55, b: b * 0.4 });
  };
  expect(oklabDistance(byPaper(lit(blue), lit(paper)), blue)).toBeLessThan(1e-6);
  expect(byPaper(blue, { L: 0, a: 0, b: 0 })).toEqual(blue);
});
