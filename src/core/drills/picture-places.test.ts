import { valueOfOklab } from '../colour/value';
import { PAINTERS_WHEEL } from '../colour/wheel';
import { pictureOf } from '../picture/picture';
import { randomFrom } from '../seeded';
import { DRILL_KINDS, questionOf } from './kinds';
import { picturePlaces } from './picture-places';

const SIDE = 200;
/** Left dark blue, right light yellow; the lower half is noise of both. */
const picture = pictureOf(
  SIDE,
  SIDE,
  Uint8ClampedArray.from({ length: SIDE * SIDE * 4 }, (_, i) => {
    const [x, y, c] = [(i >> 2) % SIDE, Math.floor((i >> 2) / SIDE), i % 4];
    const isDark = y < SIDE / 2 ? x < SIDE / 2 : (x * 7 + y * 13) % 5 < 2;
    return c === 3 ? 255 : isDark ? [30, 45, 90][c] : [225, 205, 120][c];
  }),
);
const places = picturePlaces(picture, { id: 'p', title: 'Halves' }, 12, randomFrom(4));

describe('places of a picture', () => {
  it('have one colour, know what they are seen against, and lie inside', () => {
    expect(places.length).toBeGreaterThan(6);
    for (const { x, y, colour, around } of places) {
      expect(y).toBeLessThan(0.5);
      const value = valueOfOklab(colour);
      expect(Math.min(Math.abs(value - 1.9), Math.abs(value - 8.2))).toBeLessThan(0.4);
      expect(Math.abs(x - 0.5)).toBeGreaterThan(0.01);
      // What lies about a dark place is no darker, about a light one no lighter.
      const lighter = valueOfOklab(around) - value;
      expect(value < 5 ? lighter : -lighter).toBeGreaterThan(-0.01);
    }
    expect(picturePlaces(picture, { id: 'p', title: 'Halves' }, 12, randomFrom(4))).toEqual(places);
  });

  it('are shown in their picture by questions of one colour, with the same answer', () => {
    const making = {
      difficulty: 0.8,
      wheel: PAINTERS_WHEEL,
      screen: { darkest: 1, lightest: 9.5 },
      colours: places.map(({ colour }) => colour),
      places,
    };
    for (const id of ['value', 'intensity', 'family']) {
      const kind = DRILL_KINDS.find((one) => one.id === id)!;
      const questions = [1, 2, 3, 4].flatMap((seed) => questionOf(kind, seed, making) ?? []);
      const shown = questions.filter((question) => question.shown.as === 'place');
      expect(shown.length).toBeGreaterThan(0);
      for (const question of shown)
        expect(question.shown).toMatchObject({ colour: question.about, place: { picture: 'p' } });
    }
  });

  it('are none in a picture without any, and none that is transparent', () => {
    const clear = pictureOf(20, 20, new Uint8ClampedArray(1600));
    expect(picturePlaces(clear, { id: 'c', title: '' }, 5, randomFrom(1))).toEqual([]);
  });
});
