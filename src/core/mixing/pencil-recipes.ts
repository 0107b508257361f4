import { ciede2000 } from '../colour/ciede2000';
import { labFromOklab } from '../colour/cielab';
import { oklabDistance, oklchFromOklab, type Oklab } from '../colour/oklab';
import { valueOfOklab } from '../colour/value';
import {
  barePaper,
  burnished,
  MAX_LAYERS,
  PRESSURES,
  surfaceColour,
  WAX_FULL,
  withLayer,
  type Pencil,
  type PencilLayer,
  type PencilSurface,
} from './pencils';

export interface PencilRecipe {
  layers: PencilLayer[];
  /** What is laid at full pressure at the end, to even and to lighten; null where nothing is. */
  burnish: Pencil | null;
  colour: Oklab;
  /** CIEDE2000 from the target. */
  deltaE: number;
  /** How full the tooth is at the end, 0–1. */
  filled: number;
}

export interface PencilSettings {
  /** Layers in one recipe, up to seven. */
  maxLayers?: number;
  count?: number;
  /** Pencils that are black: used only in what is nearly black itself. */
  isBlack?: (pencil: Pencil) => boolean;
  /** What recipes may be burnished with; null burnishes none. */
  white?: Pencil | null;
}

/** Surfaces that are gone on from at each layer, and at the first, where a second decides. */
const BEAM = 6;
const FIRST_BEAM = 16;
/** Sets of so few pencils are tried in full up to three layers, and gone on from more of these. */
const SMALL_SET = 6;
const SMALL_BEAM = 48;
/** Pencils that are tried in a third layer and on: those of so many best pairs, up to a number. */
const HELPING_FROM = 40;
const MAX_HELPING = 10;
/** How many of one and of two layers are tried with white over them. */
const BURNISHED = 60;
/** A layer more has to bring a colour nearer by this. */
export const LAYER_COST = 0.4;
const BLACK_VALUE = 2;
/** OKLCH chroma under which a colour is a neutral, and how far off in hue a pencil is of its family, in degrees. */
const NEUTRAL = 0.03;
const LOCAL = 75;
/** Of more pencils only the nearest are tried. */
const MAX_TRIED = 120;

/** The pencils of a large set whose full stroke is nearest. */
function nearest(target: Oklab, pencils: readonly Pencil[]): readonly Pencil[] {
  if (pencils.length <= MAX_TRIED) return pencils;
  return pencils
    .map((pencil) => ({
      pencil,
      away: oklabDistance(
        surfaceColour(withLayer(barePaper(), { pencil, pressure: 'full' })),
        target,
      ),
    }))
    .sort((one, other) => one.away - other.away)
    .slice(0, MAX_TRIED)
    .map(({ pencil }) => pencil);
}

/** The pencils of a colour's own family; of a neutral all. */
function localTo(target: Oklab, pencils: readonly Pencil[]): readonly Pencil[] {
  const { C, h } = oklchFromOklab(target);
  if (C < NEUTRAL) return pencils;
  return pencils.filter((pencil) => {
    const stroke = oklchFromOklab(
      surfaceColour(withLayer(barePaper(), { pencil, pressure: 'full' })),
    );
    return stroke.C >= NEUTRAL && Math.abs(((stroke.h - h + 540) % 360) - 180) <= LOCAL;
  });
}

/**
 * How to come near a colour in layers: its own family first; pressure rises and never falls, since a full layer
 * closes the tooth. A beam search over pencils and pressures; the nearest before others. Throws a RangeError without pencils.
 */
export function pencilRecipes(
  target: Oklab,
  pencils: readonly Pencil[],
  { maxLayers = MAX_LAYERS, count = 4, isBlack = () => false, white = null }: PencilSettings = {},
): PencilRecipe[] {
  const usable = nearest(
    target,
    valueOfOklab(target) < BLACK_VALUE ? pencils : pencils.filter((one) => !isBlack(one)),
  );
  if (usable.length === 0) throw new RangeError('A recipe takes at least one pencil');
  const lab = labFromOklab(target);
  const missOf = (surface: PencilSurface) => ciede2000(labFromOklab(surfaceColour(surface)), lab);
  interface Attempt {
    layers: PencilLayer[];
    surface: PencilSurface;
    miss: number;
  }
  const extended = (from: readonly Attempt[], some: readonly Pencil[]): Attempt[] =>
    from
      .flatMap(({ layers, surface }) => {
        const least = PRESSURES.indexOf(layers.at(-1)?.pressure ?? 'light');
        return some.flatMap((pencil) =>
          PRESSURES.slice(least).map((pressure): Attempt => {
            const layer = { pencil, pressure };
            const made = withLayer(surface, layer);
            return { layers: [...layers, layer], surface: made, miss: missOf(made) };
          }),
        );
      })
      .sort((one, other) => one.miss - other.miss);
  /** Those whose tooth takes another layer. */
  const goOn = (some: readonly Attempt[]) =>
    some.filter(({ surface }) => surface.filled < WAX_FULL);
  const bare: Attempt = { layers: [], surface: barePaper(), miss: Infinity };
  const isSmall = usable.length <= SMALL_SET;
  // The local colour goes first: what mutes it comes between, and it comes again.
  const local = localTo(target, usable);
  const first = extended([bare], local.length > 0 ? local : usable);
  const second = extended(goOn(first).slice(0, isSmall ? first.length : FIRST_BEAM), usable);
  const found = [...first.slice(0, BEAM), ...(maxLayers > 1 ? second.slice(0, BEAM) : [])];
  // What helps in a third layer and on is among what the best two are made of.
  const helping = [
    ...new Set(
      second.slice(0, HELPING_FROM).flatMap(({ layers }) => layers.map(({ pencil }) => pencil)),
    ),
  ].slice(0, MAX_HELPING);
  // Of a few pencils every three layers are tried: what is far off in two may be the colour in three.
  const among = isSmall ? usable : helping;
  let beam = goOn(second).slice(0, isSmall ? second.length : BEAM);
  for (let depth = 3; depth <= Math.min(maxLayers, MAX_LAYERS); depth++) {
    const next = extended(beam, among);
    found.push(...next.slice(0, BEAM));
    beam = goOn(next).slice(0, isSmall ? SMALL_BEAM : BEAM);
  }
  // What white brings near is off before.
  const rest = [first, second].flatMap((some) => some.slice(BEAM, BURNISHED));
  const rate = ({ layers, burnish, deltaE }: PencilRecipe) =>
    deltaE + LAYER_COST * (layers.length + (burnish ? 1 : 0));
  const recipes = found.map(({ layers, surface, miss }): PencilRecipe => ({
    layers,
    burnish: null,
    colour: surfaceColour(surface),
    deltaE: miss,
    filled: surface.filled,
  }));
  return [...recipes, ...(white ? [...found, ...rest].flatMap(burnishedOf(white)) : [])]
    .toSorted((one, other) => rate(one) - rate(other))
    .slice(0, count);

  /** The same with white over it, where there is tooth for it and no white below. */
  function burnishedOf(lightest: Pencil) {
    return ({ layers, surface }: Attempt): PencilRecipe[] => {
      if (surface.filled >= WAX_FULL || layers.some(({ pencil }) => pencil.id === lightest.id))
        return [];
      const made = burnished(surface, lightest);
      return [
        {
          layers,
          burnish: lightest,
          colour: surfaceColour(made),
          deltaE: missOf(made),
          filled: made.filled,
        },
      ];
    };
  }
}
