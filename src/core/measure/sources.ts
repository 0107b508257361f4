import { keepLast, once } from '../once';
import { blocksOf, sampledBlocks, type Blocks } from '../picture/blocks';
import { colourGrid, type ColourGrid } from '../picture/colour-grid';
import type { Picture } from '../picture/picture';
import { squinter } from '../picture/squint';
import { valueHundredths, valueImageOf, type ValueImage } from '../picture/value-map';
import { bordersOf, type Border } from './borders';
import { FOCUS_CELLS } from './focus';
import { sideColours, sideMap, type Correction, type SideColours } from './light-and-shadow';
import { splitLight, type LightSplit } from './light-split';
import { MASS_CELLS, massesOf, type Masses } from './masses';

/** What several measures of a picture need, each made when it is first wanted. */
export interface MeasureSources {
  picture: Picture;
  blocks: () => Blocks;
  plain: () => ValueImage;
  /** As squinted at (a share of the diagonal); the last squint is kept. Throws a RangeError outside 0–0.05. */
  through: (squint: number) => ValueImage;
  /** On `FOCUS_CELLS` cells. */
  grid: () => ColourGrid;
  /** Of the squinted picture. */
  masses: (squint: number) => { masses: Masses; borders: Border[] };
  /** Light and shadow of the squinted picture, before corrections. */
  split: (squint: number) => LightSplit;
  /** The same after corrections, with the picture's own colours; the last without any is kept. */
  sides: (squint: number, corrections: readonly Correction[]) => SideColours;
}

export function measureSources(picture: Picture): MeasureSources {
  const blocks = once(() => blocksOf(picture));
  const hundredths = once(() => valueHundredths(picture));
  const plain = once(() => valueImageOf(picture, hundredths()));
  const squint = squinter(picture, blocks, hundredths);
  const through = keepLast((radius: number): ValueImage => {
    const squinted = squint(radius);
    return squinted === picture ? plain() : valueImageOf(squinted);
  });
  const massesIn = (squinted: Picture, isMirrored: boolean) => {
    const masses = massesOf(colourGrid(squinted, sampledBlocks(squinted, isMirrored), MASS_CELLS));
    return { masses, borders: bordersOf(masses) };
  };
  const masses = keepLast((radius: number) => massesIn(through(radius).picture, false));
  const split = keepLast((radius: number) => {
    const squinted = through(radius);
    const there = { ...masses(radius), isMirrored: false };
    const mirrored = { ...massesIn(squinted.picture, true), isMirrored: true };
    return splitLight(squinted, [there, mirrored]);
  });
  const uncorrected = keepLast((radius: number) => sideColours(picture, split(radius).sides));
  return {
    picture,
    blocks,
    plain,
    through,
    grid: once(() => colourGrid(picture, blocks(), FOCUS_CELLS)),
    masses,
    split,
    sides: (radius, corrections) =>
      corrections.length === 0
        ? uncorrected(radius)
        : sideColours(picture, sideMap(split(radius), corrections)),
  };
}
