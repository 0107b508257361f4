import { greyOf } from '@/core/colour/grey-of';
import { bytesFromOklab, hexFromOklab } from '@/core/colour/hex';
import { colourName } from '@/core/colour/name';
import { oklchFromOklab } from '@/core/colour/oklab';
import { recipeCautions, swatchRecipeWords, type WithRecipes } from '@/core/mixing/swatch-recipe';
import { mediumRecipeWords } from '@/core/mixing/medium-recipe';
import { valueOfOklab } from '@/core/colour/value';
import { onScale, scaleMarks, type ValueScale } from '@/core/colour/value-scale';
import { layStave } from '@/core/palette/stave-layout';
import type { FileSwatch, LibraryFile } from '@/core/formats/library-file';
import { escapeXml } from '@/core/formats/xml-text';
import { pageStyle } from './page-style';

interface Parts {
  scale: ValueScale;
  /** As data, like everything else: the page asks for nothing. */
  picture: string | null;
  fonts: { serif: string; sans: string; bold: string };
  /** The library as our own file, to be kept from the page. */
  file: string;
}

const WIDE = 1000;
const HIGH = 260;
const BLOCK = 44;

/**
 * A library as a page that stands by itself: one HTML document, no script, and a policy that lets it load nothing. Names
 * and notes are text wherever they stand.
 */
export function libraryPage(library: LibraryFile, { scale, picture, fonts, file }: Parts): string {
  const { name, note, tags, swatches } = library;
  const lightFirst = [...swatches].sort((one, other) => other.colour.L - one.colour.L);
  const e = escapeXml;
  const count = `${swatches.length} ${swatches.length === 1 ? 'swatch' : 'swatches'}`;
  return `<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<meta http-equiv="Content-Security-Policy" content="default-src 'none'; style-src 'unsafe-inline'; img-src data:; font-src data:">
<title>${e(name)}</title>
<style>${pageStyle(fonts)}</style>
</head>
<body>
<main>
<header>
<div>
<h1 dir="auto">${e(name)}</h1>
${note ? `<p class="note" dir="auto">${e(note).replaceAll('&#10;', '\n')}</p>` : ''}
<p class="soft" dir="auto">${[count, ...tags.map(e)].join(' · ')}</p>
</div>
${picture ? `<img src="${picture}" alt="The picture these were taken from">` : ''}
</header>
${stave(swatches, scale)}
<fieldset>
<legend>How the page is seen</legend>
<label><input type="radio" name="room" id="paper" checked> paper</label>
<label><input type="radio" name="room" id="grey"> studio grey</label>
<label><input type="radio" name="room" id="night"> night</label>
<label><input type="checkbox" id="values"> by value alone</label>
</fieldset>
<ol>
${lightFirst.map((swatch) => chip(swatch, scale)).join('\n')}
</ol>
${cautions(swatches)}<footer>
<p class="soft">Made with Bold Prism. Every chip has its grey beside it.</p>
<a href="${file}" download="${e(fileStem(name))}.prism.json">Keep the library as a file</a>
</footer>
</main>
</body>
</html>
`;
}

/** What the recipes ask for. */
function cautions(swatches: readonly FileSwatch[]): string {
  const lines = recipeCautions(swatches).map((line) => `<p>${escapeXml(line)}</p>`);
  return lines.length > 0
    ? `<section class="cautions"><h2>With these recipes</h2>${lines.join('')}</section>\n`
    : '';
}

function fileStem(name: string): string {
  return name.replace(/[\\/:*?"<>|\u0000-\u001f]/g, ' ').trim() || 'library';
}

function chip(
  { name, otherNames, note, role, colour, share, recipe, mediumRecipes }: FileSwatch,
  scale: ValueScale,
): string {
  const e = escapeXml;
  const hex = hexFromOklab(colour);
  const { L, C, h } = oklchFromOklab(colour);
  const facts = [
    `value ${onScale(valueOfOklab(colour), scale).toFixed(1)}`,
    ...(share === null ? [] : [`${(share * 100).toFixed(share < 0.095 ? 1 : 0)} %`]),
    ...(role ? [role] : []),
  ];
  return `<li>
<div class="chip" role="img" aria-label="${e(colourName(colour))} and its grey"><i style="background:${hex}"></i><i style="background:${hexFromOklab(greyOf(colour))}"></i></div>
<h2 dir="auto">${e(name)}</h2>
${otherNames.length > 0 ? `<p class="soft" dir="auto">also ${otherNames.map(e).join(', ')}</p>` : ''}
<p>${facts.join(' · ')}</p>
${note ? `<p class="soft" dir="auto">${e(note)}</p>` : ''}
${recipesOf({ recipe, mediumRecipes })}
<dl><dt>hex</dt><dd>${hex}</dd><dt>sRGB</dt><dd>${bytesFromOklab(colour).join(' ')}</dd><dt>OKLCH</dt><dd>${L.toFixed(3)} ${C.toFixed(3)} ${h.toFixed(0)}</dd></dl>
</li>`;
}

function recipesOf({ recipe, mediumRecipes = [] }: WithRecipes): string {
  const rows = [
    ...(recipe ? [{ colour: recipe.colour, words: swatchRecipeWords(recipe) }] : []),
    ...mediumRecipes.map((one) => ({ colour: one.colour, words: mediumRecipeWords(one) })),
  ];
  return rows
    .map(
      ({ colour, words }) =>
        `<p class="recipe" dir="auto"><i style="background:${hexFromOklab(colour)}"></i>${escapeXml(words)}</p>`,
    )
    .join('\n');
}

/** The stave, in colours and in greys, of which one is seen. */
function stave(swatches: readonly FileSwatch[], scale: ValueScale): string {
  const columns = layStave(
    swatches.map(({ share }) => share),
    WIDE,
    10,
  );
  const yOf = (value: number) => (1 - value / 10) * (HIGH - BLOCK) + BLOCK / 2;
  const lines = scaleMarks(scale).map(
    ({ value }) => `<line x1="0" x2="${WIDE}" y1="${yOf(value)}" y2="${yOf(value)}"/>`,
  );
  const blocks = swatches.flatMap(({ colour }, i) => {
    const place = `x="${columns[i].left}" y="${yOf(valueOfOklab(colour)) - BLOCK / 2}" width="${Math.max(1, columns[i].block - 3)}" height="${BLOCK}"`;
    return [
      `<rect class="colour" ${place} fill="${hexFromOklab(colour)}"/>`,
      `<rect class="grey" ${place} fill="${hexFromOklab(greyOf(colour))}"/>`,
    ];
  });
  return `<svg class="stave" viewBox="0 0 ${WIDE} ${HIGH}" preserveAspectRatio="none" role="img" aria-label="The swatches at their values, light above, as wide as their shares">${lines.join('')}${blocks.join('')}</svg>`;
}
