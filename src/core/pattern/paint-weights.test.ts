import sharp from 'sharp';
import { pictureOf, type Picture } from '../picture/picture';
import { isSumOfPaints, mixedPaints, readWeights, weightLayers } from './paint-weights';
import { paintsOf } from './paints';
import { readDrawing } from './read-drawing';
import { recoloured } from './recolour';
import { colouredText } from './coloured';

const DRAWING = `<svg xmlns="http://www.w3.org/2000/svg" width="60" height="40">
  <defs><linearGradient id="g"><stop offset="0" stop-color="#aa2010"/><stop offset="1" stop-color="#f0e0a0"/></linearGradient>
  <pattern id="p" width="6" height="6" patternUnits="userSpaceOnUse"><rect width="3" height="3" fill="#204080"/></pattern></defs>
  <circle cx="20" cy="20" r="16.3" fill="url(#g)"/>
  <circle cx="34" cy="21" r="12.7" fill="rgba(30, 140, 60, 0.5)" stroke="#101820" stroke-width="1.5"/>
  <rect x="40" y="3" width="18" height="30" fill="url(#p)" opacity="0.7"/>
</svg>`;

async function render(svg: string): Promise<Picture> {
  const { data, info } = await sharp(Buffer.from(svg))
    .ensureAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  return pictureOf(info.width, info.height, new Uint8ClampedArray(data));
}

describe('the weights of paints', () => {
  it('mixed in other colours are what a renderer makes of them', async () => {
    const drawing = readDrawing(DRAWING);
    const hexes = paintsOf(drawing).map(({ hex }) => hex);
    expect(hexes).toHaveLength(5);
    const layers = await Promise.all(
      weightLayers(hexes).map((map) => render(recoloured(drawing, map))),
    );
    const weights = readWeights(layers, hexes);
    const map = new Map(
      hexes.map((hex, i) => [hex, ['#0c3c6c', '#ff8040', '#9030c0', '#10b0a0', '#f8f8f0'][i]]),
    );
    for (const laid of [null, '#203008']) {
      const mixed = mixedPaints(weights, map, laid);
      const wanted = await render(colouredText(drawing, map, laid));
      let worst = 0;
      for (let at = 0; at < wanted.data.length; at += 4) {
        // What is hardly there has no colour to speak of.
        if (wanted.data[at + 3] < 40) continue;
        for (let k = 0; k < 4; k++)
          worst = Math.max(worst, Math.abs(mixed.data[at + k] - wanted.data[at + k]));
      }
      // Each weight is rounded to a step of 255, and up to five of them add up.
      expect(worst).toBeLessThanOrEqual(6);
    }
  });

  it('are not read of what is no sum', () => {
    expect(isSumOfPaints(DRAWING)).toBe(true);
    expect(isSumOfPaints('<svg><filter id="a"/></svg>')).toBe(false);
    expect(isSumOfPaints('<svg><g style="mix-blend-mode: multiply"/></svg>')).toBe(false);
    expect(isSumOfPaints('<s:svg><s:mask/></s:svg>')).toBe(false);
    expect(() => readWeights([], ['#000000'])).toThrow(RangeError);
  });
});
