import path from 'node:path';
import { compare } from '@/core/compare/compare';
import { demoFolder } from '@/server/demo/story';
import { drawingPair, DRAWING_FAULTS, isPlanted } from './testing/drawing-pairs';
import { pictureOfFile } from './testing/study-pairs';

const NAMES = ['conductor.webp', 'lower-station.webp', 'winch-room.webp', 'summit.jpg'];
/** Looked at while this was made; docs/checking.md has figures of others. */
const SEED = 100;

describe('what is drawn otherwise in studies of the demo’s pictures', () => {
  const said: { kind: string; isRight: boolean }[] = [];
  const planted: { kind: string; isFound: boolean }[] = [];

  it.each(NAMES)(
    '%s: edges and turns are compared',
    async (name) => {
      const picture = await pictureOfFile(path.join(demoFolder(), 'pictures', name), 400);
      for (const kind of DRAWING_FAULTS) {
        const pair = drawingPair(picture, kind, SEED);
        const found = compare(pair.model, pair.photo)!;
        const all = [
          ...found.edges.map(({ is, x, y }) => ({ kind: is, x, y })),
          ...found.flattened.map(({ x, y }) => ({ kind: 'flattened' as const, x, y })),
        ].map(({ kind: of, x, y }) => ({ kind: of, isRight: isPlanted(pair, of, x, y) }));
        said.push(...all);
        if (pair.kind !== 'none')
          planted.push({
            kind: pair.kind,
            isFound: all.some(({ kind: of, isRight }) => isRight && of === pair.kind),
          });
      }
    },
    200_000,
  );

  it('finds nine in ten of what was planted, and nine in ten of what it says were', () => {
    const share = (list: readonly boolean[]) => list.filter(Boolean).length / list.length;
    expect(planted.length).toBeGreaterThanOrEqual(9);
    expect(share(planted.map(({ isFound }) => isFound))).toBeGreaterThanOrEqual(0.9);
    expect(share(said.map(({ isRight }) => isRight))).toBeGreaterThanOrEqual(0.9);
  });
});
