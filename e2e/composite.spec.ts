import { expect, test } from '@playwright/test';
import { BLEND_MODES, composite, type ScreenLayer } from '../src/core/mixing/screen-layers';

test('layers on a screen come to what the browser makes of them, to 1 in 255', async ({ page }) => {
  const hexes = ['#804020', '#1e3a5f', '#f0e6c8', '#0a0a0a', '#5f9a3c', '#ffffff', '#c83018'];
  const cases = hexes.flatMap((base) =>
    hexes.flatMap((hex) =>
      BLEND_MODES.flatMap((mode) =>
        [1, 0.6, 0.25].map((opacity): { base: string; layers: ScreenLayer[] } => ({
          base,
          layers: [{ hex, opacity, mode }],
        })),
      ),
    ),
  );
  const drawn = await page.evaluate((all) => {
    const canvas = new OffscreenCanvas(1, 1);
    const pen = canvas.getContext('2d', { willReadFrequently: true })!;
    return all.map(({ base, layers }) => {
      pen.globalAlpha = 1;
      pen.globalCompositeOperation = 'source-over';
      pen.fillStyle = base;
      pen.fillRect(0, 0, 1, 1);
      for (const { hex, opacity, mode } of layers) {
        pen.globalAlpha = opacity;
        pen.globalCompositeOperation = mode === 'normal' ? 'source-over' : mode;
        pen.fillStyle = hex;
        pen.fillRect(0, 0, 1, 1);
      }
      return [...pen.getImageData(0, 0, 1, 1).data].slice(0, 3);
    });
  }, cases);
  cases.forEach(({ base, layers }, i) => {
    const said = composite(base, layers);
    for (let channel = 0; channel < 3; channel++)
      expect
        .soft(
          Math.abs(Math.round(said[channel]) - drawn[i][channel]),
          `${base} under ${JSON.stringify(layers)}`,
        )
        .toBeLessThanOrEqual(1);
  });
});
