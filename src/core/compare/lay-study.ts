import { linearFromOklab, writeOklab } from '../colour/oklab';
import { luminance } from '../colour/srgb';
import { quickValueOfLuminance } from '../colour/value';
import { MASS_CELLS } from '../measure/masses';
import { blocksOf } from '../picture/blocks';
import { colourGrid, type ColourGrid } from '../picture/colour-grid';
import type { Place } from '../picture/framing';
import type { Picture } from '../picture/picture';
import type { Quad } from '../raster/homography';
import { quantileOf } from '../raster/quantile';
import { falloffOf, type Falloff } from './even-light';
import { laidOn, type LaidOn } from './laid-on';
import {
  CARD_REFLECTANCE,
  marginSamples,
  PAPER_REFLECTANCE,
  placeSample,
  type KnownSample,
} from './reference';
import { MIN_CONFIDENCE, register, type Registration } from './registration';
import { steadyCells } from './steady-cells';
import type { StudyCells } from './shift';

export interface LayOptions {
  /** The model's corners in the study's photograph, clockwise from the upper left, in fractions of it. */
  corners?: Quad;
  /** A place of white paper or of a grey card in the photograph, in fractions of it. */
  white?: Place;
  /** A file made on a screen: its colours are what they are. */
  isDigital?: boolean;
}

/** By what a study's colours are known: its file, paper around it, a place that was named. */
export type KnownBy = 'file' | 'paper' | 'place';

/** A study in the frame of its model, freed of the light that fell on it. */
export interface LaidStudy {
  registration: Registration;
  /** Null where nothing of known colour is seen: evening the light takes the shift away with it. */
  knownBy: KnownBy | null;
  /** The model in cells, and the study in the same. */
  grid: ColourGrid;
  cells: StudyCells;
  /** What the light was: how it falls, and what white would send by channel, in logarithms. */
  falloff: Falloff;
  balance: Logs;
}

/** Lays the photograph of a study on its model and evens its light. Null where the study isn't found in it. */
export function layStudy(
  model: Picture,
  photo: Picture,
  { corners, white, isDigital = false }: LayOptions = {},
): LaidStudy | null {
  const registration = register(model, photo, corners);
  // Corners that were set by hand are believed.
  if (!registration || (registration.confidence < MIN_CONFIDENCE && !corners)) return null;
  const { toPhoto } = registration;
  const grid = colourGrid(model, blocksOf(model), MASS_CELLS);
  const steady = steadyCells(grid);
  const laid = laidOn(grid, photo, toPhoto);
  const place = white && !isDigital ? placeSample(photo, toPhoto, white) : null;
  const paper = isDigital ? [] : marginSamples(photo, toPhoto, model.width / model.height, laid);
  const falloff: Falloff = isDigital ? () => 0 : falloffOf(grid, laid, steady, paper);
  const { balance, knownBy } = isDigital
    ? { balance: [0, 0, 0] as const, knownBy: 'file' as const }
    : balanceOf(grid, laid, falloff, place, paper);
  const cells = studyCells(grid, laid, falloff, balance);
  return { registration, knownBy, grid, cells, falloff, balance };
}

/** The logarithm of the light that white would send, by channel. */
type Logs = readonly [number, number, number];

/** The logarithm of the light that white would send, by channel, and by what it is known. */
function balanceOf(
  model: ColourGrid,
  laid: LaidOn,
  falloff: Falloff,
  place: KnownSample | null,
  paper: readonly KnownSample[],
): { balance: Logs; knownBy: KnownBy | null } {
  const middle = (samples: readonly KnownSample[], k: number) =>
    quantileOf(
      Float64Array.from(samples, ({ u, v, logs }) => logs[k] - falloff(u, v)),
      0.5,
    );
  const by = (samples: readonly KnownSample[], reflectance: number): Logs =>
    [0, 1, 2].map((k) => middle(samples, k) - Math.log(reflectance)) as unknown as Logs;
  if (place) {
    // Paper and an 18 % card are some four steps apart: the study says which of them it is.
    const [asPaper, asCard] = [PAPER_REFLECTANCE, CARD_REFLECTANCE].map((reflectance) => {
      const balance = by([place], reflectance);
      const study = studyCells(model, laid, falloff, balance);
      return { balance, off: Math.abs(medianDifference(model, study)) };
    });
    return { balance: (asPaper.off <= asCard.off ? asPaper : asCard).balance, knownBy: 'place' };
  }
  if (paper.length > 0) return { balance: by(paper, PAPER_REFLECTANCE), knownBy: 'paper' };
  return { balance: likeModel(model, laid, falloff), knownBy: null };
}

function medianDifference(model: ColourGrid, study: StudyCells): number {
  const differences: number[] = [];
  study.mask.forEach((there, c) => {
    if (there) differences.push(study.value[c] - model.value[c]);
  });
  return quantileOf(Float64Array.from(differences), 0.5);
}

const DARK = 1e-4;

/** Without anything of known colour: as the study would be had it the model's light on the whole. */
function likeModel(model: ColourGrid, { light, mask }: LaidOn, falloff: Falloff): Logs {
  const logs: number[][] = [[], [], []];
  for (let c = 0; c < mask.length; c++) {
    if (!mask[c] || !model.mask[c] || model.value[c] < 1) continue;
    const { r, g, b } = linearFromOklab({
      L: model.oklab[c * 3],
      a: model.oklab[c * 3 + 1],
      b: model.oklab[c * 3 + 2],
    });
    const own = [r, g, b];
    const at = falloff(...middleOf(model, c));
    for (let k = 0; k < 3; k++)
      logs[k].push(
        Math.log(Math.max(DARK, light[c * 3 + k])) - at - Math.log(Math.max(DARK, own[k])),
      );
  }
  return logs.map((channel) => quantileOf(Float64Array.from(channel), 0.5)) as unknown as Logs;
}

function middleOf({ width, across, down }: ColourGrid, c: number): [u: number, v: number] {
  return [((c % width) + 0.5) / across, (Math.floor(c / width) + 0.5) / down];
}

/** The study's colours, freed of the light that fell on it. */
function studyCells(
  model: ColourGrid,
  { light, mask }: LaidOn,
  falloff: Falloff,
  balance: Logs,
): StudyCells {
  const oklab = new Float32Array(light.length);
  const value = new Float32Array(mask.length);
  for (let c = 0; c < mask.length; c++) {
    if (!mask[c]) continue;
    const at = falloff(...middleOf(model, c));
    const [r, g, b] = balance.map((log, k) => light[c * 3 + k] * Math.exp(-log - at));
    writeOklab(r, g, b, oklab, c * 3);
    value[c] = quickValueOfLuminance(luminance(r, g, b));
  }
  return { oklab, value, mask };
}
