import { readBalance, type Balance } from '@/core/measure/balance';
import type { Edge } from '@/core/measure/borders';
import {
  brightnessPicture,
  misledPixels,
  readBrightness,
  type BrightnessReading,
} from '@/core/measure/brightness';
import type { FocusReading } from '@/core/measure/focus';
import {
  readLightAndShadow,
  sideMap,
  sidePicture,
  type Correction,
  type LightAndShadow,
} from '@/core/measure/light-and-shadow';
import { mergingMasses, type Merging } from '@/core/measure/separation';
import { edgeShares, type ValueStudy } from '@/core/measure/value-study';
import { readCounts, type ValueReading } from '@/core/measure/values';
import {
  zoneBodies,
  zoneColours,
  zoneEdges,
  zoneGreys,
  zoneMap,
  zoneOutlines,
  type ZoneBody,
  type ZoneCut,
} from '@/core/measure/zones';
import type { Place } from '@/core/picture/framing';
import type { Picture } from '@/core/picture/picture';
import { greyPicture, NO_VALUE } from '@/core/picture/value-map';
import { veil } from '@/core/picture/veil';
import { bilinear } from '@/core/raster/bilinear';
import { valuePlan, type PlanSettings, type Plan } from '@/core/plan/value-plan';
import type { DerivedImages } from './derived-images';

/** Zones as a study has them: always a number. */
export type ZoneSettings = ZoneCut & { squint: number };
export type ZoneLook = 'greys' | 'colours' | 'outlines';

/** A line to draw over the picture, in fractions of it. */
export interface DrawnLine {
  kind: Edge | 'merging';
  points: Place[];
}

/** The part of a picture that stays while the rest steps back. */
export type ValuePart =
  | { kind: 'zone'; index: number; settings: ZoneSettings }
  | { kind: 'side'; side: 'light' | 'shadow'; squint: number; corrections: Correction[] }
  | { kind: 'misled'; family: string; step: number }
  | { kind: 'masses'; which: number[]; squint: number };

export interface SeparationReading {
  merging: Merging[];
  edges: ValueStudy['edges'];
  masses: number;
}

/** What the Desk's worker is asked in the step Values. `quick` is for following a hand: at half the size. */
export function valueCalls(held: () => DerivedImages, handOver: (picture: Picture) => Picture) {
  const at = (quick: boolean) => (quick ? held().half() : held());
  /** A copy of what has to stay here. */
  const copy = ({ width, height, data }: Picture) =>
    handOver({ width, height, data: data.slice() });

  return {
    greys: (): Picture => handOver(greyPicture(held().picture)),

    brightness: (): Picture => handOver(brightnessPicture(held().picture)),

    /** The picture as through half-closed eyes. */
    squint: (radius: number, quick: boolean): Picture => copy(at(quick).through(radius).picture),

    readValues(settings: ZoneSettings, quick: boolean): ValueReading & { counts: number[] } {
      const { counts } = at(quick).through(settings.squint);
      const reading = readCounts(at(quick).plain().counts, counts, settings);
      return { ...reading, counts: Array.from(counts) };
    },

    zoneBodies(settings: ZoneSettings): ZoneBody[] {
      const through = held().through(settings.squint);
      return zoneBodies(through, zoneEdges(through.counts, settings));
    },

    zones(settings: ZoneSettings, look: ZoneLook, quick: boolean): Picture {
      const through = at(quick).through(settings.squint);
      const edges = zoneEdges(through.counts, settings);
      const draw = { greys: zoneGreys, colours: zoneColours, outlines: zoneOutlines }[look];
      return handOver(draw(through, edges));
    },

    readLight: (squint: number, corrections: Correction[]): LightAndShadow =>
      readLightAndShadow(held().plain(), held().through(squint), held().framed(corrections)),

    sides(squint: number, corrections: Correction[]): Picture {
      const sides = sideMap(held().through(squint), held().framed(corrections));
      return handOver(sidePicture(held().plain(), sides));
    },

    readBrightness: (step: number): BrightnessReading => readBrightness(held().plain(), step),

    /** Hatching where the greys of lightness and of brightness part by more than a step. */
    misledMarks(step: number): Picture {
      const { map } = misledPixels(held().plain(), step);
      const { width, height } = held().picture;
      return handOver(hatching(map, width, height));
    },

    readSeparation(squint: number, half: number): SeparationReading {
      const { masses, borders } = held().masses(squint);
      return {
        merging: mergingMasses(masses, borders, half),
        edges: edgeShares(borders),
        masses: masses.masses.length,
      };
    },

    /** The borders between masses as lines; all of them, or only where masses merge. */
    edgeLines(squint: number, merging: number | null): DrawnLine[] {
      const { masses, borders } = held().masses(squint);
      if (merging === null)
        return borders.flatMap(({ lines }) =>
          lines.map(({ edge, points }) => ({ kind: edge, points })),
        );
      const pairs = mergingMasses(masses, borders, merging).map(({ pair }) => pair.join());
      return borders
        .filter(({ one, other }) => pairs.includes([one, other].join()))
        .flatMap(({ lines }) => lines.map(({ points }) => ({ kind: 'merging', points })));
    },

    readFocus(): Omit<FocusReading, 'busy'> & { balance: Balance } {
      const { places, quiet } = held().focus();
      return { places, quiet, balance: readBalance(held().grid()) };
    },

    /** A veil over what is quiet, the thicker the quieter. */
    busy(): Picture {
      const grid = held().grid();
      const { busy } = held().focus();
      const { width, height } = held().picture;
      const data = new Uint8ClampedArray(width * height * 4);
      const at = new Float64Array(1);
      for (let y = 0, i = 0; y < height; y++) {
        for (let x = 0; x < width; x++, i += 4) {
          const u = ((x + 0.5) / width) * grid.across - 0.5;
          bilinear(busy, grid.width, 1, u, ((y + 0.5) / height) * grid.down - 0.5, at);
          const [strength] = at;
          data[i] = data[i + 1] = data[i + 2] = 119;
          data[i + 3] = 225 * (1 - Math.min(1, strength * 1.6)) ** 1.5;
        }
      }
      return handOver({ width, height, data });
    },

    plan(settings: PlanSettings): Plan {
      return valuePlan(held().through(settings.squint), settings);
    },
  };
}

/** How far the lines of a hatching stand apart and how wide they are, in shares of the longer side. */
const HATCH = { apart: 1 / 70, wide: 1 / 400 };

/** Slanting lines, black in white, over all that a map does not mark with `NO_VALUE`. */
function hatching(map: Uint8Array, width: number, height: number): Picture {
  const side = Math.max(width, height);
  const apart = Math.max(4, Math.round(side * HATCH.apart));
  const wide = Math.max(1, Math.round(side * HATCH.wide));
  const data = new Uint8ClampedArray(width * height * 4);
  for (let y = 0, p = 0; y < height; y++)
    for (let x = 0; x < width; x++, p++) {
      const along = (x + y) % apart;
      if (map[p] === NO_VALUE || along >= 2 * wide) continue;
      const grey = along < wide ? 0 : 255;
      data[p * 4] = data[p * 4 + 1] = data[p * 4 + 2] = grey;
      data[p * 4 + 3] = 255;
    }
  return { width, height, data };
}

/** A veil that leaves one part of the picture clear. */
export function valueVeil(held: DerivedImages, part: ValuePart): Picture {
  const { width, height } = held.picture;
  const over = (map: Uint8Array, shown: (entry: number) => boolean) =>
    veil(map, width, height, shown, NO_VALUE);
  switch (part.kind) {
    case 'zone': {
      const through = held.through(part.settings.squint);
      const zones = zoneMap(through.map, zoneEdges(through.counts, part.settings));
      return over(zones, (zone) => zone === part.index);
    }
    case 'side': {
      const sides = sideMap(held.through(part.squint), held.framed(part.corrections));
      return over(sides, (side) => side === (part.side === 'light' ? 1 : 0));
    }
    case 'misled': {
      const { families, map } = misledPixels(held.plain(), part.step);
      const index = families.indexOf(part.family);
      // Here what agrees steps back as well.
      return veil(map, width, height, (family) => family === index, -1);
    }
    case 'masses': {
      const { grid, labels } = held.masses(part.squint).masses;
      const map = new Uint8Array(width * height);
      for (let y = 0, p = 0; y < height; y++) {
        const row = Math.floor((y / height) * grid.down) * grid.width;
        for (let x = 0; x < width; x++, p++)
          map[p] = part.which.includes(labels[row + Math.floor((x / width) * grid.across)]) ? 1 : 0;
      }
      return over(map, (entry) => entry === 1);
    }
  }
}
