import type { Oklab } from '@/core/colour/oklab';
import fc from 'fast-check';
import {
  CAUTION_LINES,
  CAUTION_SOURCE,
  cautionsOf,
  MEDIUM_TECHNIQUES,
  STUDIO_CAUTIONS,
} from '@/core/mixing/cautions';
import {
  LAYERED_MEDIA,
  mediumRecipeWords,
  type LayeredMedium,
  type MediumRecipe,
} from '@/core/mixing/medium-recipe';
import { anyMediumRecipe } from '@/core/mixing/medium-recipe-testing';
import { PIGMENTS } from '@/core/mixing/pigments/pigments';
import type { SwatchRecipe } from '@/core/mixing/swatch-recipe';
import { escapeXml } from '@/core/formats/xml-text';
import { bareSwatch } from '@/core/formats/library-file';
import { PAPERS, type Paper } from '@/contracts/print';
import { DEFAULT_SETTINGS } from '@/contracts/settings';
import { libraryPage } from '../share/library-page';
import { drawChips, type PrintedSwatch } from './draw-chips';
import { SHEETS } from './paper';
import type { Pen } from './pen';

const { scale } = DEFAULT_SETTINGS;
const colour: Oklab = { L: 0.6, a: 0.02, b: 0.05 };
const recipeOf = (pigment: string, name = pigment): SwatchRecipe => ({
  owner: 'Dag Solumbry',
  parts: [
    { name: 'Titanium white', pigments: ['PW6'], parts: 6 },
    { name, pigments: [pigment], parts: 0.25 },
  ],
  colour,
  tried: true,
});
const withRecipe = (recipe: SwatchRecipe | null) => ({ ...bareSwatch('wall', colour), recipe });

/** What is written on a sheet, in the order it is drawn, and on which page. */
async function written(swatches: readonly PrintedSwatch[], paper: Paper) {
  const lines: { line: string; y: number; page: number }[] = [];
  const rules: number[] = [];
  let page = 1;
  const pen: Pen = {
    write: (line, _, y) => void lines.push({ line, y, page }),
    rule: (_, y) => void rules.push(y),
    block: () => undefined,
    path: () => undefined,
    image: () => undefined,
    newPage: () => undefined,
  };
  const sheet = SHEETS[paper];
  const bottom = sheet.height - sheet.margin;
  await drawChips(pen, swatches, scale, sheet, sheet.margin, bottom, () => {
    page++;
    return sheet.margin;
  });
  for (const { y } of lines) expect(y).toBeLessThanOrEqual(bottom + 0.01);
  return { text: lines.map(({ line }) => line).join(' '), rules, page };
}

const pageOf = (swatches: readonly PrintedSwatch[]) =>
  libraryPage(
    {
      name: 'x',
      note: '',
      tags: [],
      swatches: swatches.map((one) => ({ ...withRecipe(null), ...one })),
    },
    {
      scale,
      picture: null,
      fonts: { serif: 'data:,', sans: 'data:,', bold: 'data:,' },
      file: 'data:,',
    },
  );

it.each(PAPERS)('a sheet of %s has the recipe where there was room to write one', async (paper) => {
  const { text, rules } = await written([withRecipe(recipeOf('PB29', 'Ultramarine'))], paper);
  expect(text).toContain('6 Titanium white · ¼ Ultramarine (tubes of Dag Solumbry, tried)');
  expect(rules).toHaveLength(0);
  const bare = await written([withRecipe(null)], paper);
  expect(bare.rules).toHaveLength(SHEETS[paper].recipeLines);
  expect(bare.text).not.toContain(CAUTION_SOURCE);
});

it('many long recipes go on over the pages', async () => {
  const long = recipeOf('PR108', 'A red of a name that is long and goes on');
  const { page, text } = await written(
    Array.from({ length: 60 }, () => withRecipe(long)),
    '6x4',
  );
  expect(page).toBeGreaterThan(3);
  expect(text).toContain(CAUTION_LINES.cadmium.slice(0, 30));
});

it.each(PIGMENTS.map(({ id }) => id))(
  '%s: what it asks for stands on the sheet and the page',
  async (id) => {
    const pigment = PIGMENTS.find((one) => one.id === id)!;
    const swatches = [withRecipe(recipeOf(id))];
    const { text } = await written(swatches, 'a4');
    const html = pageOf(swatches);
    for (const caution of [...cautionsOf([pigment]), ...STUDIO_CAUTIONS]) {
      expect(text).toContain(CAUTION_LINES[caution]);
      expect(html).toContain(escapeXml(CAUTION_LINES[caution]));
    }
    expect(html).toContain(escapeXml(CAUTION_SOURCE));
  },
);

const layered = (medium: LayeredMedium): MediumRecipe =>
  fc.sample(anyMediumRecipe, { numRuns: 200, seed: 7 }).find((recipe) => recipe.medium === medium)!;

it.each(LAYERED_MEDIA)(
  '%s: the layers stand on the sheet and the page, with what the ways of working ask for',
  async (medium) => {
    const recipe = { ...layered(medium), owner: 'Nessa Corrigane' };
    const swatches = [{ ...withRecipe(null), mediumRecipes: [recipe] }];
    const { text, rules } = await written(swatches, 'a4');
    const html = pageOf(swatches);
    expect(rules).toHaveLength(0);
    expect(text).toContain(`(${medium} of Nessa Corrigane`);
    expect(html).toContain(escapeXml(mediumRecipeWords(recipe)));
    for (const technique of MEDIUM_TECHNIQUES[medium]) {
      expect(text).toContain(CAUTION_LINES[technique]);
      expect(html).toContain(escapeXml(CAUTION_LINES[technique]));
    }
    const asks = MEDIUM_TECHNIQUES[medium].length > 0 || medium === 'washes';
    expect(text.includes(CAUTION_SOURCE)).toBe(asks);
    expect(html.includes(escapeXml(CAUTION_SOURCE))).toBe(asks);
  },
);

it('a page without recipes has no cautions, and a hostile recipe runs nothing', () => {
  expect(pageOf([withRecipe(null)])).not.toContain('With these recipes');
  const hostile = '"><script>alert(1)</script>';
  const html = pageOf([withRecipe({ ...recipeOf('PB29', hostile), owner: hostile })]);
  expect(html).not.toContain('<script');
  expect(html).toContain('&lt;script&gt;');
});
