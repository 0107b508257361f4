import { hexFromOklab } from '../src/core/colour/hex';
import { inGamut } from '../src/core/colour/gamut';
import type { Oklab } from '../src/core/colour/oklab';
import { oklabOf } from '../src/core/mixing/observer';
import { filmOver, massTone, mixed, paintColour } from '../src/core/mixing/paint';
import { opticsOf, type Optics, type Pigment } from '../src/core/mixing/pigment';
import { PIGMENTS, TITANIUM_WHITE } from '../src/core/mixing/pigments/pigments';
import { knownPigment } from '../src/core/mixing/read-mix';
import { spectrumOf } from '../src/core/mixing/spectrum';

/** White to one part of colour, in the tints of the page. */
const TINTS = [1, 4, 10, 40];
const PAPER = spectrumOf(() => 1);

interface Patch {
  title: string;
  colour: (optics: Optics) => Oklab;
}

const PATCHES: readonly Patch[] = [
  { title: 'mass tone', colour: paintColour },
  ...TINTS.map((white) => ({
    title: `1 : ${white} white`,
    colour: (optics: Optics) =>
      paintColour(
        mixed([
          { optics, parts: 1 },
          { optics: opticsOf(TITANIUM_WHITE), parts: white },
        ]),
      ),
  })),
  {
    title: 'over black',
    colour: (optics) => oklabOf(filmOver(optics, 1, massTone(opticsOf(knownPigment('PBk9'))))),
  },
  ...[0.1, 0.03].map((coat) => ({
    title: `${coat} coat on white`,
    colour: (optics: Optics) => oklabOf(filmOver(optics, coat, PAPER)),
  })),
];

/** Every pigment as a painter charts them: mass tone, tints, over black, thin on white; as one HTML page. */
export function pigmentPage(): string {
  const head = PATCHES.map(({ title }) => `<th>${title}</th>`).join('');
  return `<!doctype html><meta charset="utf-8"><title>Pigments</title>
<style>body{background:#888;font:13px sans-serif;margin:16px}td{height:26px;min-width:92px}
th{font-weight:normal;text-align:left;padding-right:12px}td.out{outline:1px dashed #fff;outline-offset:-3px}</style>
<table><tr><th></th>${head}</tr>
${PIGMENTS.map(row).join('\n')}
</table><p>Dashed: outside sRGB, brought into it.</p>`;
}

function row(pigment: Pigment): string {
  const optics = opticsOf(pigment);
  const cells = PATCHES.map(({ colour }) => {
    const made = colour(optics);
    const out = inGamut(made) ? '' : ' class="out"';
    return `<td${out} style="background:${hexFromOklab(made)}"></td>`;
  });
  return `<tr><th>${pigment.id} ${pigment.names[0]}</th>${cells.join('')}</tr>`;
}
