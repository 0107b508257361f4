import { oklabFromHex } from '@/core/colour/hex';
import type { Oklab } from '@/core/colour/oklab';
import { MUNSELL_SCALE } from '@/core/colour/value-scale';
import { PAINTERS_WHEEL } from '@/core/colour/wheel';
import { stepsOf } from '@/core/mixing/recipe-steps';
import { tubesOf } from '@/core/mixing/testing/mixtures';
import { partWords, recipeWords } from '@/core/mixing/recipe-words';
import { changeBetween, missWords } from '@/ui/miss-words';
import { stepSentence } from './words';

const of = (hex: string) => oklabFromHex(hex) as Oklab;

it('amounts are said as they are measured out', () => {
  expect([0.05, 0.1, 0.25, 0.5, 1, 12, 2.5].map(partWords)).toEqual([
    '1⁄20',
    '1⁄10',
    '¼',
    '½',
    '1',
    '12',
    '2.5',
  ]);
  expect(
    recipeWords([
      { name: 'White', parts: 6 },
      { name: 'Ochre', parts: 0.5 },
    ]),
  ).toBe('6 White · ½ Ochre');
});

it('a miss is said by how much and which way', () => {
  expect(missWords(of('#808080'), of('#808080'), MUNSELL_SCALE)).toBe('as near as makes no odds');
  expect(missWords(of('#808080'), of('#6c6c6c'), MUNSELL_SCALE)).toMatch(/too dark$/);
  expect(missWords(of('#808080'), of('#8c7c6c'), MUNSELL_SCALE)).toMatch(
    /too warm and .* too strong$/,
  );
  expect(missWords(of('#8c7c6c'), of('#808080'), MUNSELL_SCALE)).toMatch(
    /too cool and .* too dull$/,
  );
});

it('a step says what it does, and warns of what takes over', () => {
  expect(changeBetween(of('#808080'), of('#818080'), MUNSELL_SCALE)).toBe('hardly anything');
  const [white, blue] = tubesOf(['PW6', 'PB15.3']);
  const [body, speck] = stepsOf([
    { tube: white, parts: 8 },
    { tube: blue, parts: 0.25 },
  ]).map((step) => stepSentence(step, MUNSELL_SCALE, PAINTERS_WHEEL));
  expect(body).toBe('The body of the pile.');
  expect(speck).toMatch(/^It turns toward blue.*darker.*cooler.*takes over at a touch/);
});
