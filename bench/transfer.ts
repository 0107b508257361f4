import { atValue } from '../src/core/colour/at-value';
import { randomFrom } from '../src/core/seeded';
import { paintedBy } from '../src/core/testing';
import type { Bytes } from '../src/core/colour/hex';
import { MOOD_SETTINGS } from '../src/core/transfer/moods';
import { deriveImages } from '../src/workers/browser/derived-images';
import { transferAnswers } from '../src/workers/browser/transfer-answers';

const WIDTH = 1600;
const HEIGHT = 1200;
const COLOURS = 8;
/** Blocks of one colour along the longer side. */
const BLOCKS = 9;

/** What the step Use costs on a working copy of many masses: from nothing, and a colour that is put on one mass. */
export function benchTransfer(): void {
  console.log('\nUse:');
  const random = randomFrom(7);
  const side = WIDTH / BLOCKS;
  const colours = Array.from({ length: BLOCKS * BLOCKS }, () => [random(), random(), random()]);
  const picture = paintedBy(WIDTH, HEIGHT, (x, y) => {
    const base = colours[Math.floor(y / side) * BLOCKS + Math.floor(x / side)];
    const turn = 0.9 + 0.1 * Math.sin(x / 40) + 0.05 * random();
    return base.map((channel) =>
      Math.min(255, Math.round((40 + 180 * channel) * turn)),
    ) as unknown as Bytes;
  });
  const images = deriveImages(picture, (strokes) => [...strokes]);
  const sources = { working: picture, images };
  const values = { zones: 4, breaks: 'natural' as const, thresholds: [], squint: 0.008 };
  const transfer = {
    colours: Array.from({ length: COLOURS }, (_, i) => ({
      colour: atValue(1.5 + i, i * 47, () => 0.06),
      share: 1 / COLOURS,
      height: i / COLOURS,
    })),
    prominence: [],
    values,
    parts: [],
  };
  const made = (held: { x: number; y: number; colour: number }[]) => {
    const query = { ...transfer, held };
    transferAnswers.proposals({ kind: 'proposals', ...query }, sources);
    return transferAnswers.transferred(
      {
        kind: 'transferred',
        ...query,
        way: 'by value',
        mode: 'held',
        size: 'whole',
        grey: false,
      },
      sources,
    );
  };
  report('masses, three proposals and the picture, from nothing', () => made([]));
  const drags = Array.from({ length: 5 }, (_, i) => ({ x: 0.1 + i * 0.2, y: 0.5, colour: i }));
  drags.forEach((_, i) =>
    report(`a colour put on one more mass (${i + 1})`, () => made(drags.slice(0, i + 1))),
  );
  report('a mood', () =>
    transferAnswers.mood(
      {
        kind: 'mood',
        settings: MOOD_SETTINGS.dusk,
        squint: 0.008,
        marks: [],
        parts: [],
        size: 'whole',
        grey: false,
      },
      sources,
    ),
  );
}

function report(what: string, make: () => unknown): void {
  const start = performance.now();
  make();
  console.log(`  ${what}: ${(performance.now() - start).toFixed(0)} ms`);
}
