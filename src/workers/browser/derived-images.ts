import { keepMap } from '@/core/amplify/protect';
import { pushable, pushableLike, pushedRows, rowsOf, type Pushable } from '@/core/amplify/pushed';
import { allowedMap } from '@/core/amplify/allowed';
import { once } from '@/core/once';
import { blocksOf, sampledBlocks, type Blocks } from '@/core/picture/blocks';
import { colourGrid, type ColourGrid } from '@/core/picture/colour-grid';
import { halfSizePicture } from '@/core/picture/half-size';
import type { Picture } from '@/core/picture/picture';
import { squinter } from '@/core/picture/squint';
import type { Stroke } from '@/core/picture/strokes';
import { valueHundredths, valueImageOf, type ValueImage } from '@/core/picture/value-map';
import { bordersOf, type Border } from '@/core/measure/borders';
import { FOCUS_CELLS, readFocus, type FocusReading } from '@/core/measure/focus';
import { MASS_CELLS, massesOf, type Masses } from '@/core/measure/masses';
import type { PushSettings } from '@/contracts/push-request';

/** Keeps what was last made for a key. */
function keepLast<K, T>(make: (key: K) => T): (key: K) => T {
  let kept: { key: K; value: T } | null = null;
  return (key) => {
    if (kept?.key !== key) kept = { key, value: make(key) };
    return kept.value;
  };
}

/** The same for what is known by a key made of it. */
function keyed<T, R>(keyOf: (settings: T) => string, make: (settings: T) => R): (settings: T) => R {
  let kept: { key: string; made: R } | null = null;
  return (settings) => {
    const key = keyOf(settings);
    if (kept?.key !== key) kept = { key, made: make(settings) };
    return kept.made;
  };
}

/** A developed picture and what is made of it for its measures, each when it is first wanted. */
export interface DerivedImages {
  picture: Picture;
  /** Strokes on the original as strokes on this picture. */
  framed: <T extends Stroke>(strokes: readonly T[]) => T[];
  plain: () => ValueImage;
  /** As squinted at; the last squint is kept. */
  through: (squint: number) => ValueImage;
  grid: () => ColourGrid;
  pushable: () => Pushable;
  /** With its quiet colours brought up; the last is kept. */
  pushed: (settings: PushSettings) => Picture;
  focus: () => FocusReading;
  masses: (squint: number) => { masses: Masses; borders: Border[] };
  /** The same at half the size: quick enough to follow a hand. */
  half: () => DerivedImages;
}

/** `ready` makes the picture ready to be pushed. */
export function deriveImages(
  picture: Picture,
  framed: DerivedImages['framed'],
  ready: (picture: Picture) => Pushable = pushable,
): DerivedImages {
  const blocks = once((): Blocks => blocksOf(picture));
  const hundredths = once(() => valueHundredths(picture));
  const plain = once(() => valueImageOf(picture, hundredths()));
  const squint = squinter(picture, blocks, hundredths);
  const through = keepLast((radius: number): ValueImage => {
    const squinted = squint(radius);
    return squinted === picture ? plain() : valueImageOf(squinted);
  });
  const grid = once(() => colourGrid(picture, blocks(), FOCUS_CELLS));
  const subject = once(() => ready(picture));
  const rows = once(() => rowsOf(subject()));

  const keep = keyed(
    ({ kept, parts, only, values, corrections }: PushSettings) =>
      JSON.stringify([kept, parts, only, only.kind === 'all' ? null : [values, corrections]]),
    ({ kept, parts, only, values, corrections }: PushSettings) =>
      keepMap(
        { ...rows(), width: picture.width, height: picture.height },
        {
          ...kept,
          strokes: framed(parts),
          only: allowedMap(only, through(values.squint), {
            zones: values,
            corrections: framed(corrections),
          }),
        },
      ),
  );
  const pushed = keyed(
    (settings: PushSettings) => JSON.stringify(settings),
    (settings: PushSettings): Picture => ({
      width: picture.width,
      height: picture.height,
      data: pushedRows(subject(), rows(), settings.push, keep(settings)),
    }),
  );
  return {
    picture,
    framed,
    plain,
    through,
    grid,
    pushable: subject,
    pushed,
    focus: once(() => readFocus(grid())),
    masses: keepLast((radius: number) => {
      const squinted = through(radius).picture;
      const masses = massesOf(colourGrid(squinted, sampledBlocks(squinted), MASS_CELLS));
      return { masses, borders: bordersOf(masses) };
    }),
    half: once(() =>
      deriveImages(halfSizePicture(blocks()), framed, (small) => pushableLike(small, subject())),
    ),
  };
}
