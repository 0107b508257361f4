import type { LayeredMedium } from './medium-recipe';
import type { Metal, Pigment } from './pigment';

/** What of a pigment or of the work asks for care. */
export type Caution = Metal | 'solvents' | 'rags' | 'rinse water' | Technique;

/** Ways of working that ask for care, whatever is worked with. */
export const TECHNIQUES = [
  'pastel dust',
  'alcohol wash',
  'sanded paper',
  'fixative',
  'solvent thinning',
  'scraping wax',
  'screen printing',
] as const;
export type Technique = (typeof TECHNIQUES)[number];

/** One line each, in plain words; the maker's data sheet and local rules say more. */
export const CAUTION_LINES: Readonly<Record<Caution, string>> = {
  cadmium:
    'Cadmium: harmful if swallowed or breathed. Don’t sand or spray it, keep it off hands and food.',
  cobalt: 'Cobalt: may bring on allergies and harms if breathed. Don’t sand or spray it.',
  nickel: 'Nickel: may bring on allergies. Keep it off the skin, don’t sand or spray it.',
  chromium: 'Chromium: harmless in the tube, not as dust. Don’t sand, spray or burn it.',
  manganese:
    'Manganese: harms the nerves if its dust is breathed for long. Don’t sand or spray it.',
  lead: 'Lead: poisonous, and it builds up. Gloves, no dust, no food near, never where children paint.',
  zinc: 'Zinc white: harms life in water, and grows brittle in oil.',
  solvents: 'Solvents: open a window, keep them closed and away from flames and skin.',
  rags: 'Oily rags catch fire by themselves: hang them flat outdoors, or keep them wet in a closed tin.',
  'rinse water':
    'Rinse water doesn’t go down the sink: let it settle, and take what settles to the collecting point.',
  'pastel dust':
    'Dust of sticks: what they are made of is rarely known, so treat it as harmful. Don’t blow it off, wipe it up damp.',
  'alcohol wash':
    'Alcohol wash: let it dry in the air, with no dryer, heat gun or flame near it; keep the alcohol in a labelled jar with a lid.',
  'sanded paper':
    'Sanded paper: rubbing it raises dust of grit and pigment. Work upright, let it fall on damp paper, and don’t breathe it.',
  fixative:
    'Fixative: spray it outdoors, away from flames and people, and stay away till it is dry.',
  'solvent thinning':
    'Thinning wax with solvent: a drop on a cotton bud, by an open window, away from flames; the jar is labelled and closed.',
  'scraping wax':
    'Scraping wax: cut away from the hand, the blade stays in its holder, and what comes off is wiped up damp.',
  'screen printing':
    'Chemicals of screen printing (emulsion, remover, screen wash): gloves, glasses, air; nothing of it goes down the sink.',
};

/** What ways of working a medium has that ask for care. */
export const MEDIUM_TECHNIQUES: Readonly<Record<LayeredMedium, readonly Technique[]>> = {
  sticks: ['pastel dust', 'sanded paper', 'alcohol wash', 'fixative'],
  pencils: ['solvent thinning', 'scraping wax', 'fixative'],
  inks: ['screen printing'],
  washes: [],
  screen: [],
};

/** Where the rest is said. */
export const CAUTION_SOURCE = 'The maker’s data sheet and local rules say more.';

/** Of the work itself, whatever the pigments. */
export const STUDIO_CAUTIONS: readonly Caution[] = ['solvents', 'rags', 'rinse water'];

/** All lines for work with some pigments, with where the rest is said. */
export function cautionLines(pigments: readonly Pigment[]): string[] {
  return [
    ...[...cautionsOf(pigments), ...STUDIO_CAUTIONS].map((caution) => CAUTION_LINES[caution]),
    CAUTION_SOURCE,
  ];
}

/** The lines of some techniques and others, each once, with where the rest is said; none for none. */
export function cautionSheetLines(
  techniques: readonly Technique[],
  others: readonly string[] = [],
): string[] {
  const lines = new Set([...others, ...techniques.map((one) => CAUTION_LINES[one])]);
  return lines.size > 0 ? [...lines, CAUTION_SOURCE] : [];
}

/** What some pigments ask for, each once. */
export function cautionsOf(pigments: readonly Pigment[]): Caution[] {
  return [...new Set(pigments.flatMap(({ metals = [] }) => metals))];
}
