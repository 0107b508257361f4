import { MUNSELL_SCALE } from '@/core/colour/value-scale';
import { oklabFromHex } from '@/core/colour/hex';
import type { Oklab } from '@/core/colour/oklab';
import { valueOfOklab } from '@/core/colour/value';
import { NO_MOVES, type ColourMoves } from '@/core/palette/colour-change';
import { changeWords } from './change-words';
import { typedColour } from './typed-colour';

const of = (hex: string) => oklabFromHex(hex) as Oklab;
const was = of('#8a6f4d');
const said = (moves: Partial<ColourMoves>, from = was) =>
  changeWords({ was, from, moves: { ...NO_MOVES, ...moves } }, MUNSELL_SCALE);

describe('how a change is told', () => {
  it('says each move by its size and its way', () => {
    expect(said({ value: -2 })).toBe('; then 2.0 steps darker');
    expect(said({ value: 0.5, warmth: -0.3, chroma: 0.02, turn: 1.5 })).toBe(
      '; then 0.5 of a step lighter, cooler by 0.3, stronger by 0.02 and 1.5 of a family onward',
    );
    expect(said({ turn: -0.1 }, of('#336699'))).toBe('; then typed and 0.1 of a family back');
    expect(said({})).toBe('');
  });
});

describe('a colour that is typed', () => {
  it('is read as hex, as a function of CSS, or as a value', () => {
    for (const text of ['#336699', '336699', ' #369 ', 'rgb(51 102 153)', 'hsl(210, 50%, 40%)'])
      expect(typedColour(text, was)).toEqual(of('#336699'));
    expect(typedColour('oklch(0.6 0.05 70)', was)).toMatchObject({ L: expect.closeTo(0.6, 9) });
    expect(valueOfOklab(typedColour('6.5', was) as Oklab)).toBeCloseTo(6.5, 2);
    expect(valueOfOklab(typedColour('10', was) as Oklab)).toBeCloseTo(10, 2);
  });

  it('is none until it is one', () => {
    for (const text of ['', '#33', 'blue', '11', '-1', 'rgb(1 2', '#336699 and #000000'])
      expect(typedColour(text, was)).toBeNull();
  });
});
