import { PAINTERS_WHEEL, WHEELS, type Wheel, type WheelId } from '../colour/wheel';
import { DEFAULT_SQUINT } from '../picture/squint';
import { valueOfEdge } from '../picture/value-map';
import { readAccents, type AccentPlace } from './accents';
import { readChroma, type ChromaReading } from './chroma';
import { chromaByLight, type ChromaByLight } from './chroma-by-light';
import { colourParts, type ColourParts } from './colour-parts';
import { readHarmony, type HarmonyReading } from './harmony';
import { readHues, type HueReading } from './hues';
import { readKeyColour, type KeyColour } from './key-colour';
import { readSideValues, type Correction, type SideValues } from './light-and-shadow';
import { readsAs, type ReadsAs } from './reads-as';
import type { MeasureSources } from './sources';
import { readTemperature, type TemperatureReading } from './temperature-spread';
import { readWarmCool, type WarmCoolReading } from './warm-cool';
import { zoneEdges, type ZoneCut } from './zones';

/** The part that is the same on every wheel of families. */
export interface WheellessStudy {
  /** Of light and shadow as they are corrected. */
  sideValues: SideValues;
  temperature: TemperatureReading & WarmCoolReading;
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

export interface ColourSettings {
  /** The zones that temperature is read by. */
  zones: ZoneCut;
  /** A share of the diagonal (0–0.05). */
  squint?: number;
  corrections?: readonly Correction[];
}

/** The whole colour reading. Throws a RangeError when no pixel is opaque. */
export function readColourStudy(
  sources: MeasureSources,
  { wheel = PAINTERS_WHEEL, ...settings }: ColourSettings & { wheel?: Wheel },
): ColourStudy {
  const { parts, wheelless } = readWithoutWheel(sources, settings);
  return { ...wheelless, ...readOnWheel(parts, wheel) };
}

/** The whole colour reading on every wheel. Throws a RangeError when no pixel is opaque. */
export function readKeptColours(sources: MeasureSources, settings: ColourSettings): KeptColours {
  const { parts, wheelless } = readWithoutWheel(sources, settings);
  const wheels = WHEELS.map((wheel) => [wheel.id, readOnWheel(parts, wheel)]);
  return { wheelless, wheels: Object.fromEntries(wheels) as KeptColours['wheels'] };
}

function readWithoutWheel(
  sources: MeasureSources,
  { zones, squint = DEFAULT_SQUINT, corrections = [] }: ColourSettings,
): { parts: ColourParts; wheelless: WheellessStudy } {
  const { picture } = sources;
  const through = sources.through(squint);
  const grid = sources.grid();
  const split = sources.split(squint);
  const { sides, histograms } = sources.sides(squint, corrections);
  const parts = colourParts(histograms);
  const thresholds = zoneEdges(through.counts, zones).map(valueOfEdge);
  const { masses, borders } = sources.masses(squint);
  const wheelless = {
    sideValues: readSideValues(sources.plain(), sides),
    temperature: {
      ...readTemperature(parts, grid, thresholds),
      ...readWarmCool(masses, borders),
    },
    chroma: {
      ...readChroma(parts),
      byLight: chromaByLight(grid, sides, picture, valueOfEdge(split.edge)),
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
