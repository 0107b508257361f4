import fc from 'fast-check';
import { inGamut } from '../colour/gamut';
import { oklabFromBytes } from '../colour/hex';
import { oklchFromOklab, type Oklab } from '../colour/oklab';
import { temperature } from '../colour/temperature';
import { valueOfOklab } from '../colour/value';
import { PAINTERS_WHEEL, wheelPosition } from '../colour/wheel';
import { edgeOfChroma, isMoved, movedColour, MOVES, NO_MOVES } from './colour-change';

const byte = fc.integer({ min: 0, max: 255 });
const colours = fc.tuple(byte, byte, byte).map((bytes) => oklabFromBytes(bytes));
const amount = (move: keyof typeof MOVES) =>
  fc.double({ min: -MOVES[move].most, max: MOVES[move].most, noNaN: true });
const moves = fc.record({
  value: amount('value'),
  warmth: amount('warmth'),
  chroma: amount('chroma'),
  turn: amount('turn'),
});
const hueApart = (one: Oklab, other: Oklab) =>
  Math.abs(((oklchFromOklab(one).h - oklchFromOklab(other).h + 540) % 360) - 180);

describe('a colour that is moved', () => {
  it('stays inside sRGB, whatever is wanted', () => {
    fc.assert(
      fc.property(colours, moves, (colour, all) => {
        expect(inGamut(movedColour(colour, all))).toBe(true);
      }),
    );
  });

  it('has the value that was wanted, while hue, warmth and strength move', () => {
    fc.assert(
      fc.property(colours, moves, (colour, all) => {
        fc.pre(isMoved(all));
        const wanted = Math.min(10, Math.max(0, valueOfOklab(colour) + all.value));
        expect(Math.abs(valueOfOklab(movedColour(colour, all)) - wanted)).toBeLessThan(0.02);
      }),
    );
  });

  it('holds its hue while value and strength move, as long as it has one', () => {
    fc.assert(
      fc.property(colours, amount('value'), amount('chroma'), (colour, value, chroma) => {
        const moved = movedColour(colour, { ...NO_MOVES, value, chroma });
        fc.pre(oklchFromOklab(colour).C > 0.01 && oklchFromOklab(moved).C > 0.005);
        expect(hueApart(colour, moved)).toBeLessThan(0.5);
      }),
    );
  });

  it('is itself where nothing moves, to the last digit', () => {
    fc.assert(
      fc.property(colours, (colour) => {
        expect(movedColour(colour, NO_MOVES)).toBe(colour);
      }),
    );
  });

  it('goes where a painter says', () => {
    const brown = oklabFromBytes([138, 111, 77]);
    const at = (part: Partial<typeof NO_MOVES>) => movedColour(brown, { ...NO_MOVES, ...part });
    expect(valueOfOklab(at({ value: 0.5 })) - valueOfOklab(brown)).toBeCloseTo(0.5, 3);
    expect(temperature(at({ warmth: 0.2 })) - temperature(brown)).toBeCloseTo(0.2, 2);
    expect(temperature(at({ warmth: -0.4 })) - temperature(brown)).toBeCloseTo(-0.4, 2);
    expect(oklchFromOklab(at({ chroma: -0.02 })).C).toBeCloseTo(oklchFromOklab(brown).C - 0.02, 3);
    const place = (colour: Oklab) => wheelPosition(oklchFromOklab(colour).h, PAINTERS_WHEEL);
    expect(place(at({ turn: 1 })) - place(brown)).toBeCloseTo(1, 3);
    expect(oklchFromOklab(at({ chroma: -1 })).C).toBeLessThan(1e-6);
  });

  it('has an edge where a screen can show no stronger', () => {
    const brown = oklabFromBytes([138, 111, 77]);
    const edge = edgeOfChroma(brown, NO_MOVES);
    const chromaAt = (chroma: number) =>
      oklchFromOklab(movedColour(brown, { ...NO_MOVES, chroma })).C;
    expect(chromaAt(edge - 0.005)).toBeCloseTo(oklchFromOklab(brown).C + edge - 0.005, 3);
    expect(chromaAt(edge + 0.05)).toBeCloseTo(chromaAt(edge), 2);
  });
});
