import { readdirSync } from 'node:fs';
import path from 'node:path';
import { compare } from '@/core/compare/compare';
import { register } from '@/core/compare/registration';
import type { Quad } from '@/core/raster/homography';
import { demoFolder } from '@/server/demo/story';
import { chance } from './painter/chance';
import { liesIn, pictureOfFile, studyPair, type StudyPair } from './testing/study-pairs';

const folder = path.join(demoFolder(), 'pictures');
const names = readdirSync(folder).filter((name) => /\.(webp|jpg)$/.test(name));
const SIDE = 400;
/** Looked at while relations were grouped; docs/checking.md has figures of others. One in three is repainted with strokes. */
const SEEDS = [901, 902, 903] as const;

/** Of the longest way between a study's corners and where they were found, the share of the photograph's diagonal. */
function cornersOff({ corners, photo: { width, height } }: StudyPair, found: Quad): number {
  const ways = corners.map(([x, y], i) =>
    Math.hypot((x - found[i][0]) * width, (y - found[i][1]) * height),
  );
  return Math.max(...ways) / Math.hypot(width, height);
}

const share = (some: readonly boolean[]) => some.filter(Boolean).length / some.length;

describe('studies of the demo’s pictures, photographed', () => {
  const found: {
    pair: StudyPair;
    isPlaced: boolean;
    areFirst: boolean;
    shift: boolean | null;
    ownLight: boolean;
  }[] = [];

  it.each(names)(
    '%s: is found, and compared',
    async (name) => {
      const model = await pictureOfFile(path.join(folder, name), SIDE);
      for (const seed of SEEDS) {
        const pair = studyPair(model, seed);
        const out = compare(model, pair.photo, pair.card ? { white: pair.card } : {});
        expect(out).not.toBeNull();
        const { registration, relations, shift } = out!;
        const ranks = pair.faults.map((fault) =>
          relations.findIndex(({ x, y }) => liesIn(fault, model, x, y)),
        );
        found.push({
          pair,
          isPlaced: cornersOff(pair, registration.corners) <= 0.005,
          areFirst: ranks.every((rank) => rank >= 0 && rank < 3),
          shift:
            shift &&
            Math.abs(shift.value - pair.shift.value) <= 0.15 &&
            Math.abs(shift.valueGain - pair.shift.valueGain) <= 0.05 &&
            Math.abs(shift.chromaGain / pair.shift.chromaGain - 1) <= 0.05 &&
            Math.abs(shift.hueTurn - pair.shift.hueTurn) <= 2,
          ownLight: shift !== null,
        });
      }
    },
    300_000,
  );

  it('lie within half a per cent of the diagonal without any corners, in nine of ten', () => {
    expect(found.length).toBe(names.length * SEEDS.length);
    expect(share(found.map(({ isPlaced }) => isPlaced))).toBeGreaterThanOrEqual(0.9);
  });

  it('have both wrong relations among the first three, in five of six', () => {
    expect(share(found.map(({ areFirst }) => areFirst))).toBeGreaterThanOrEqual(5 / 6);
  });

  it('have their shift where paper is seen, and none where nothing of known colour is', () => {
    const unknown = found.filter(({ pair }) => !pair.hasMargin && !pair.card);
    expect(unknown.length).toBeGreaterThan(4);
    expect(unknown.filter(({ ownLight }) => ownLight)).toEqual([]);
    // Strokes make a colour duller by mixing it: what a repainted study has otherwise is not what was planted.
    const known = found.filter(({ pair }) => pair.hasMargin && !pair.isRepainted);
    expect(known.length).toBeGreaterThan(6);
    expect(share(known.map(({ shift }) => shift === true))).toBeGreaterThanOrEqual(0.8);
  });
});

it.each(names.slice(0, 4))(
  '%s: corners that are off by a twentieth are put right',
  async (name) => {
    const model = await pictureOfFile(path.join(folder, name), SIDE);
    const pair = studyPair(model, 905);
    const random = chance(7);
    const reach = 0.05 * Math.hypot(pair.photo.width, pair.photo.height);
    const rough = pair.corners.map(([x, y]) => {
      const way = 2 * Math.PI * random();
      return [
        x + (Math.cos(way) * reach) / pair.photo.width,
        y + (Math.sin(way) * reach) / pair.photo.height,
      ];
    }) as unknown as Quad;
    const { corners } = register(model, pair.photo, rough)!;
    expect(cornersOff(pair, corners)).toBeLessThanOrEqual(0.005);
  },
  200_000,
);
