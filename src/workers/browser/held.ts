import { pushed, type Push } from '@/core/amplify/push';
import { blocksOf, sampledBlocks, type Blocks } from '@/core/picture/blocks';
import { colourGrid, type ColourGrid } from '@/core/picture/colour-grid';
import { halved } from '@/core/picture/halve';
import type { Picture } from '@/core/picture/picture';
import { squinter } from '@/core/picture/squint';
import type { Stroke } from '@/core/picture/strokes';
import { hundredthsOf, sightOf, type Sight } from '@/core/picture/value-map';
import { bordersOf, type Border } from '@/core/measure/borders';
import { FOCUS_CELLS, readFocus, type FocusReading } from '@/core/measure/focus';
import { MASS_CELLS, massesOf, type Masses } from '@/core/measure/masses';

/** Makes a thing when it is first asked for, and keeps it. */
function once<T>(make: () => T): () => T {
  let made: { value: T } | null = null;
  return () => (made ??= { value: make() }).value;
}

/** Keeps what was last made for a key. */
function last<K, T>(make: (key: K) => T): (key: K) => T {
  let kept: { key: K; value: T } | null = null;
  return (key) => {
    if (kept?.key !== key) kept = { key, value: make(key) };
    return kept.value;
  };
}

/** A developed picture and what is made of it for its measures, each when it is first wanted. */
export interface Held {
  picture: Picture;
  /** Strokes on the original as strokes on this picture. */
  framed: <T extends Stroke>(strokes: readonly T[]) => T[];
  plain: () => Sight;
  /** As squinted at; the last squint is kept. */
  through: (squint: number) => Sight;
  grid: () => ColourGrid;
  /** With its quiet colours brought up; the last is kept. */
  pushed: (push: Push) => Picture;
  focus: () => FocusReading;
  masses: (squint: number) => { masses: Masses; borders: Border[] };
  /** The same at half the size: quick enough to follow a hand. */
  half: () => Held;
}

export function hold(picture: Picture, framed: Held['framed']): Held {
  const blocks = once((): Blocks => blocksOf(picture));
  const hundredths = once(() => hundredthsOf(picture));
  const plain = once(() => sightOf(picture, hundredths()));
  const squint = squinter(picture, blocks, hundredths);
  const through = last((radius: number): Sight => {
    const squinted = squint(radius);
    return squinted === picture ? plain() : sightOf(squinted);
  });
  const grid = once(() => colourGrid(picture, blocks(), FOCUS_CELLS));
  let lastPush: { key: string; picture: Picture } | null = null;
  return {
    picture,
    framed,
    plain,
    through,
    grid,
    pushed: (push) => {
      const key = JSON.stringify(push);
      if (lastPush?.key !== key) lastPush = { key, picture: pushed(picture, push) };
      return lastPush.picture;
    },
    focus: once(() => readFocus(grid())),
    masses: last((radius: number) => {
      const squinted = through(radius).picture;
      const masses = massesOf(colourGrid(squinted, sampledBlocks(squinted), MASS_CELLS));
      return { masses, borders: bordersOf(masses) };
    }),
    half: once(() => hold(halved(blocks()), framed)),
  };
}
