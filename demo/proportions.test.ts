import path from 'node:path';
import { compare } from '@/core/compare/compare';
import { demoFolder } from '@/server/demo/story';
import { GROWN, proportionPair } from './testing/proportion-pairs';
import { pictureOfFile } from './testing/study-pairs';

/** Looked at while pairs were made; docs/checking.md has figures of others. */
const SEED = 100;

it.each(['conductor.webp', 'winch-room.webp', 'slate-terrace.webp'])(
  '%s: darks and lights that have grown are said, and none where none has',
  async (name) => {
    const model = await pictureOfFile(path.join(demoFolder(), 'pictures', name), 400);
    for (const kind of GROWN) {
      const { photo, grown } = proportionPair(model, kind, SEED);
      const { proportions } = compare(model, photo)!;
      expect({ kind, areOff: proportions.areOff }).toEqual({ kind, areOff: kind !== 'none' });
      if (kind === 'none') continue;
      expect(grown).toBeGreaterThanOrEqual(0.08);
      expect(proportions.study[kind] - proportions.model[kind]).toBeGreaterThan(0.04);
    }
  },
  120_000,
);
