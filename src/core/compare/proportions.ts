import { naturalEdges } from '../measure/thresholds';
import { smoothed } from './scale-steps';
import type { Grid } from './value-grid';

export const THREE_ZONES = ['dark', 'middle', 'light'] as const;
export type ThreeZone = (typeof THREE_ZONES)[number];
type Shares = Readonly<Record<ThreeZone, number>>;

/** How much of the picture is dark, middle and light, by where the model parts. */
export interface Proportions {
  model: Shares;
  study: Shares;
  /** Whether they are off by more than a painter lets pass. */
  areOff: boolean;
}

const BINS = 200;
const SMOOTH = 1.5;
/** Shares that are off by this much are said. */
const MAX_OFF = 0.05;

/** Proportions of light and dark at the squint, by the model's three natural zones. The study's shift is taken out. */
export function proportionsOf(model: Grid, study: Grid): Proportions {
  const [m, s] = [model, study].map((one) => smoothed(one, SMOOTH));
  const counts = new Float64Array(BINS);
  const binOf = (value: number) => Math.min(BINS - 1, Math.max(0, Math.floor((value / 10) * BINS)));
  const both = Array.from(model.mask, (there, c) => (there && study.mask[c] ? c : -1)).filter(
    (c) => c >= 0,
  );
  for (const c of both) counts[binOf(m[c])]++;
  const edges = naturalEdges(counts, 3);
  const shares = (values: Float32Array): Shares => {
    const zones = [0, 0, 0];
    for (const c of both) zones[edges.filter((edge) => binOf(values[c]) >= edge).length]++;
    const [dark, middle, light] = zones.map((n) => n / Math.max(1, both.length));
    return { dark, middle, light };
  };
  const [own, painted] = [shares(m), shares(s)];
  return {
    model: own,
    study: painted,
    areOff: THREE_ZONES.some((zone) => Math.abs(own[zone] - painted[zone]) > MAX_OFF),
  };
}
