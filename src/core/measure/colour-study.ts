import { PAINTERS_WHEEL, WHEELS, type Wheel, type WheelId } from '../colour/wheel';
import { blocksOf, sampledBlocks } from '../picture/blocks';
import { colourGrid, type ColourGrid } from '../picture/colour-grid';
import type { Picture } from '../picture/picture';
import { DEFAULT_SQUINT, squinter } from '../picture/squint';
import { valueImageOf, valueOfEdge, type ValueImage } from '../picture/value-map';
import { readAccents, type AccentPlace } from './accents';
import { readChroma, type ChromaReading } from './chroma';
import { chromaByLight, type ChromaByLight } from './chroma-by-light';
import { colourParts, type ColourParts } from './colour-parts';
import { FOCUS_CELLS } from './focus';
import { readHarmony, type HarmonyReading } from './harmony';
import { readHues, type HueReading } from './hues';
import { readKeyColour, type KeyColour } from './key-colour';
import { sideMap, splitEdge, type Correction } from './light-and-shadow';
import { MASS_CELLS, massesOf, type Masses } from './masses';
import { readsAs, type ReadsAs } from './reads-as';
import { readTemperature, type TemperatureReading } from './temperature-spread';
import { zoneEdges, type ZoneCut } from './zones';

/** The part that is the same on every wheel of families. */
export interface WheellessStudy {
  temperature: TemperatureReading;
  chroma: ChromaReading & { byLight: ChromaByLight; accents: AccentPlace[] };
  readsAs: ReadsAs[];
}

/** What depends on the wheel. */
export interface WheelStudy {
  hues: HueReading;
  keyColour: KeyColour | null;
  harmony: HarmonyReading;
}

/** All that is read of a picture's colours. */
export type ColourStudy = WheellessStudy & WheelStudy;

/** What is stored of a picture's colours: a reading for every wheel, because a person may choose another. */
export interface KeptColours {
  wheelless: WheellessStudy;
  wheels: Record<WheelId, WheelStudy>;
}

/** The inputs of a colour reading. */
export interface ColourSources {
  picture: Picture;
  /** The squinted picture, with its values. */
  through: ValueImage;
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
  { squint, ...settings }: ColourSettings & { squint?: number },
): ColourStudy {
  return readColours(sourcesOf(picture, squint), settings);
}

/** `readColourStudy` of what is known of a picture already. */
export function readColours(
  sources: ColourSources,
  { wheel = PAINTERS_WHEEL, ...settings }: ColourSettings,
): ColourStudy {
  const { parts, wheelless } = readWithoutWheel(sources, settings);
  return { ...wheelless, ...readOnWheel(parts, wheel) };
}

/** The whole colour reading on every wheel. Throws a RangeError when no pixel is opaque. */
export function readKeptColours(
  picture: Picture,
  { squint, ...settings }: Omit<ColourSettings, 'wheel'> & { squint?: number },
): KeptColours {
  const { parts, wheelless } = readWithoutWheel(sourcesOf(picture, squint), settings);
  const wheels = WHEELS.map((wheel) => [wheel.id, readOnWheel(parts, wheel)]);
  return { wheelless, wheels: Object.fromEntries(wheels) as KeptColours['wheels'] };
}

function sourcesOf(picture: Picture, squint = DEFAULT_SQUINT): ColourSources {
  const blocks = blocksOf(picture);
  const squinted = squinter(picture, () => blocks)(squint);
  return {
    picture,
    through: valueImageOf(squinted),
    grid: colourGrid(picture, blocks, FOCUS_CELLS),
    masses: massesOf(colourGrid(squinted, sampledBlocks(squinted), MASS_CELLS)),
  };
}

function readWithoutWheel(
  { picture, through, grid, masses }: ColourSources,
  { zones, corrections = [] }: Omit<ColourSettings, 'wheel'>,
): { parts: ColourParts; wheelless: WheellessStudy } {
  const sides = sideMap(through, corrections);
  const parts = colourParts(picture, sides);
  const thresholds = zoneEdges(through.counts, zones).map(valueOfEdge);
  const wheelless = {
    temperature: readTemperature(parts, grid, thresholds),
    chroma: {
      ...readChroma(parts),
      byLight: chromaByLight(grid, sides, picture, valueOfEdge(splitEdge(through))),
      accents: readAccents(grid),
    },
    readsAs: readsAs(masses),
  };
  return { parts, wheelless };
}

function readOnWheel(parts: ColourParts, wheel: Wheel): WheelStudy {
  return {
    hues: readHues(parts, wheel),
    keyColour: readKeyColour(parts, wheel),
    harmony: readHarmony(parts, wheel),
  };
}
