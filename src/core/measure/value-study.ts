import { clampShare } from '../share';
import { readBalance, type Balance } from './balance';
import type { Border } from './borders';
import { readBrightness, type BrightnessReading } from './brightness';
import { readFocus, type FocusReading } from './focus';
import { readLightAndShadow, type Correction, type LightAndShadow } from './light-and-shadow';
import { mergingMasses, type Merging } from './separation';
import type { MeasureSources } from './sources';
import { readValueEnds, type ValueEnds } from './value-ends';
import { readCounts, type ValueReading, type ValueSettings } from './values';
import { zoneBodies, zoneEdges, type Zone, type ZoneBody } from './zones';

/** All that is read of a picture's values. */
export interface ValueStudy {
  values: Omit<ValueReading, 'zones'> & { zones: (Zone & ZoneBody)[] } & ValueEnds;
  lightAndShadow: LightAndShadow;
  brightness: BrightnessReading;
  /** Neighbouring masses that merge in value. */
  merging: Merging[];
  /** Of the border between masses, the shares that are found, soft and lost; together 1, or all 0 without any border. */
  edges: { found: number; soft: number; lost: number };
  focus: Omit<FocusReading, 'busy'>;
  balance: Balance;
}

/** Half of a Munsell step: below it two masses merge. */
const HALF_A_STEP = 0.5;

/** The whole value reading. One step is a Munsell step. Throws as `readValues` does. */
export function readValueStudy(
  sources: MeasureSources,
  settings: ValueSettings,
  corrections: readonly Correction[] = [],
): ValueStudy {
  const plain = sources.plain();
  const through = sources.through(settings.squint);
  const values = readCounts(plain.counts, through.counts, settings);
  const zones = values.zones.length;
  const bodies = zoneBodies(through, zoneEdges(through.counts, { ...settings, zones }));
  const { masses, borders } = sources.masses(settings.squint);
  const grid = sources.grid();
  const { places, quiet } = readFocus(grid);
  return {
    values: {
      ...values,
      zones: values.zones.map((zone, i) => ({ ...zone, ...bodies[i] })),
      ...readValueEnds(through.counts, masses, grid),
    },
    lightAndShadow: readLightAndShadow(
      plain,
      sources.split(settings.squint),
      sources.sides(settings.squint, corrections),
    ),
    brightness: readBrightness(plain, 1),
    merging: mergingMasses(masses, borders, HALF_A_STEP),
    edges: edgeShares(borders),
    focus: { places, quiet },
    balance: readBalance(grid),
  };
}

/** How much of all border is found, soft and lost. */
export function edgeShares(borders: readonly Border[]): ValueStudy['edges'] {
  const share = (edge: 'found' | 'soft' | 'lost') =>
    clampShare(borders.reduce((sum, border) => sum + border.length * border[edge], 0));
  return { found: share('found'), soft: share('soft'), lost: share('lost') };
}
