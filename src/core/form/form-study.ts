import { LIGHT, SHADOW } from '../measure/light-split';
import type { MeasureSources } from '../measure/sources';
import { colourGrid } from '../picture/colour-grid';
import { MASS_CELLS, type Mass } from '../measure/masses';
import { contourLines, halosAlong, type ContourLine, type Halo } from './halos';
import { gradientsOf, type MassGradients } from './gradients';
import { readReflections, type Reflection } from './reflections';
import { labelsOn, RIM_CELLS, rimProfiles } from './rim-profiles';
import { litShares, readShadowForms, type ShadowForm } from './shadow-forms';
import { varietyAtOneValue } from './variety';

/** One of the main masses, and what happens in it. */
export interface MassForm extends Mass {
  gradients: MassGradients;
  /** How much colour varies in it at one value: a standard deviation in OKLab a, b. */
  variety: number;
}

/** How masses turn, meet, and lie in their shadows; numbers of masses are indices into `masses`. */
export interface FormStudy {
  /** All masses, the largest first. */
  masses: Mass[];
  /** The main ones. */
  main: MassForm[];
  halos: Halo[];
  lines: ContourLine[];
  shadows: ShadowForm[];
  reflections: Reflection[];
}

/** Smaller masses are not main ones. */
const MAIN_SHARE = 0.015;
const MAX_MAIN = 12;

/** What is read of the form and the edges of a picture, its masses through a squint (a share of the diagonal). */
export function readForm(sources: MeasureSources, squint: number): FormStudy {
  const { masses, borders } = sources.masses(squint);
  const { picture } = sources;
  const grid = colourGrid(picture, sources.blocks(), MASS_CELLS);
  const main = masses.masses.filter(({ share }) => share >= MAIN_SHARE).slice(0, MAX_MAIN);
  const gradients = gradientsOf(masses, grid, main.length);
  const variety = varietyAtOneValue(masses, grid, main.length);
  const fine = colourGrid(picture, sources.blocks(), RIM_CELLS);
  const labels = labelsOn(masses, fine);
  const rims = rimProfiles(masses.masses, fine, labels);
  const { sides } = sources.split(squint);
  const cellSides = Uint8Array.from(masses.labels, (_, c) => {
    const x = Math.floor((((c % grid.width) + 0.5) / grid.across) * picture.width);
    const y = Math.floor(((Math.floor(c / grid.width) + 0.5) / grid.down) * picture.height);
    const side =
      sides[Math.min(picture.height - 1, y) * picture.width + Math.min(picture.width - 1, x)];
    return side === LIGHT ? LIGHT : SHADOW;
  });
  return {
    masses: masses.masses,
    main: main.map((mass, i) => ({ ...mass, gradients: gradients[i], variety: variety[i] })),
    halos: halosAlong(rims),
    lines: contourLines(rims),
    shadows: readShadowForms(masses, borders, fine, labels, litShares(masses, cellSides)),
    reflections: readReflections(masses),
  };
}
