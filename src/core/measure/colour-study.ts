import { PAINTERS_WHEEL, type Wheel } from '../colour/wheel';
import { blocksOf, sampledBlocks } from '../picture/blocks';
import { colourGrid, type ColourGrid } from '../picture/colour-grid';
import type { Picture } from '../picture/picture';
import { PLAIN_SQUINT, squinter } from '../picture/squint';
import { sightOf, VALUE_BINS, type Sight } from '../picture/value-map';
import { readAccents, type AccentPlace } from './accents';
import { readChroma, type ChromaReading } from './chroma';
import { chromaByLight, type ChromaByLight } from './chroma-by-light';
import { colourParts } from './colour-parts';
import { FOCUS_CELLS } from './focus';
import { readHarmony, type HarmonyReading } from './harmony';
import { readHues, type HueReading } from './hues';
import { readKeyColour, type KeyColour } from './key-colour';
import { sideMap, splitEdge, type Correction } from './light-and-shadow';
import { MASS_CELLS, massesOf, type Masses } from './masses';
import { readsAs, type ReadsAs } from './reads-as';
import { readTemperature, type TemperatureReading } from './temperature-spread';
import { zoneEdges, type ZoneCut } from './zones';

/** All that is read of a picture's colours. */
export interface ColourStudy {
  hues: HueReading;
  keyColour: KeyColour | null;
  temperature: TemperatureReading;
  chroma: ChromaReading & { byLight: ChromaByLight; accents: AccentPlace[] };
  harmony: HarmonyReading;
  readsAs: ReadsAs[];
}

/** What a picture's colours are read of. */
export interface ColourSources {
  picture: Picture;
  /** As squinted at, with its values. */
  through: Sight;
  /** On `FOCUS_CELLS` cells. */
  grid: ColourGrid;
  /** Of the squinted picture. */
  masses: Masses;
}

export interface ColourSettings {
  /** The zones that temperature is read by. */
  zones: ZoneCut;
  wheel?: Wheel;
  corrections?: readonly Correction[];
}

/** The whole colour reading. Throws a RangeError when no pixel is opaque. */
export function readColourStudy(
  picture: Picture,
  { squint = PLAIN_SQUINT, ...settings }: ColourSettings & { squint?: number },
): ColourStudy {
  const blocks = blocksOf(picture);
  const squinted = squinter(picture, () => blocks)(squint);
  const sources = {
    picture,
    through: sightOf(squinted),
    grid: colourGrid(picture, blocks, FOCUS_CELLS),
    masses: massesOf(colourGrid(squinted, sampledBlocks(squinted), MASS_CELLS)),
  };
  return readColours(sources, settings);
}

/** `readColourStudy` of what is known of a picture already. */
export function readColours(
  { picture, through, grid, masses }: ColourSources,
  { zones, wheel = PAINTERS_WHEEL, corrections = [] }: ColourSettings,
): ColourStudy {
  const sides = sideMap(through, corrections);
  const parts = colourParts(picture, sides);
  const thresholds = zoneEdges(through.counts, zones).map(valueOfEdge);
  return {
    hues: readHues(parts, wheel),
    keyColour: readKeyColour(parts, wheel),
    temperature: readTemperature(parts, grid, thresholds),
    chroma: {
      ...readChroma(parts),
      byLight: chromaByLight(grid, sides, picture, valueOfEdge(splitEdge(through))),
      accents: readAccents(grid),
    },
    harmony: readHarmony(parts, wheel),
    readsAs: readsAs(masses),
  };
}

function valueOfEdge(edge: number): number {
  return (edge / VALUE_BINS) * 10;
}
