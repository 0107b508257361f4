import { hexFromOklab } from '../src/core/colour/hex';
import { atValue } from '../src/core/colour/at-value';
import { DEFAULT_CHOICE } from '../src/core/pattern/colourway';
import { paintsOf } from '../src/core/pattern/paints';
import { mixedPaints, readWeights, weightLayers } from '../src/core/pattern/paint-weights';
import { readDrawing } from '../src/core/pattern/read-drawing';
import { recoloured } from '../src/core/pattern/recolour';
import { suggestColourways } from '../src/core/pattern/suggest';
import { randomFrom } from '../src/core/seeded';
import { rendered } from '../src/server/patterns/render-drawing';

const SHAPES = 50_000;
const COLOURS = 40;
const PALETTE = 10;
/** Pixels along the longer side of a thumbnail. */
const SIDE = 320;

/** What a drawing of 10 MB costs to read, to write in other colours, and to show in forty colourways. */
export async function benchPatterns(): Promise<void> {
  console.log('\nPatterns:');
  const random = randomFrom(7);
  const to = (n: number) => Math.floor(random() * n);
  const colours = Array.from({ length: COLOURS }, (_, i) =>
    hexFromOklab(atValue(1 + (8 * i) / COLOURS, i * 47, () => 0.1)),
  );
  const points = () =>
    Array.from({ length: 10 }, () => `${to(1000)}.${to(99)} ${to(1000)}.${to(99)}`).join('L');
  const shapes = Array.from(
    { length: SHAPES },
    (_, i) =>
      `<path id="p${i}" style="fill:${colours[to(COLOURS)]};stroke:${colours[to(COLOURS)]}" d="M${points()}z"/>`,
  );
  const text = `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 1000 1000">${shapes.join('\n')}</svg>`;
  console.log(`  ${(text.length / 1e6).toFixed(1)} MB, ${SHAPES} shapes, ${COLOURS} colours`);
  const drawing = report('read', () => readDrawing(text));
  const next = new Map(colours.map((hex, i) => [hex, colours[(i + 1) % COLOURS]]));
  report('written in other colours', () => recoloured(drawing, next));
  const paints = paintsOf(drawing);
  const palette = Array.from({ length: PALETTE }, (_, i) => ({
    id: String(i),
    name: String(i),
    colour: atValue(1 + (8 * i) / PALETTE, i * 83, () => 0.09),
    share: 1 / PALETTE,
  }));
  const suggestions = report('forty colourways thought of', () =>
    suggestColourways(
      { paints, touching: [], ground: null },
      [{ title: 'one', colours: palette }],
      DEFAULT_CHOICE,
    ),
  );
  const small = `<svg xmlns="http://www.w3.org/2000/svg" width="1000" height="1000" viewBox="0 0 1000 1000">${shapes.slice(0, 500).join('\n')}</svg>`;
  const few = readDrawing(small);
  const hexes = paintsOf(few).map(({ hex }) => hex);
  const layers = await Promise.all(
    weightLayers(hexes).map((map) => rendered(recoloured(few, map), few.size, SIDE)),
  );
  const weights = report('weights read', () => readWeights(layers, hexes));
  report('forty thumbnails mixed', () =>
    suggestions.forEach(({ map, laid }) => mixedPaints(weights, map, laid)),
  );
}

function report<T>(what: string, work: () => T): T {
  let made!: T;
  const times = Array.from({ length: 3 }, () => {
    const start = performance.now();
    made = work();
    return performance.now() - start;
  }).sort((one, other) => one - other);
  console.log(`  ${what}: ${times[1].toFixed(0)} ms`);
  return made;
}
