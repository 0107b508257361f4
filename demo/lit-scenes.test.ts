import { readWarmCool } from '@/core/measure/warm-cool';
import { measureSources } from '@/core/measure/sources';
import { DEFAULT_SQUINT } from '@/core/picture/squint';
import { LIT_SCENES, litScene } from './testing/lit-scenes';

/** Arrangements that nothing was tuned on. */
const SEEDS = [11, 12, 13, 14];

describe('coloured lights on known materials', () => {
  it('are told warmer, cooler or alike in two of three arrangements, as hard as materials at random are', () => {
    const wrong: string[] = [];
    for (const scene of LIT_SCENES)
      for (const seed of SEEDS) {
        const { masses, borders } = measureSources(litScene(scene, seed)).masses(DEFAULT_SQUINT);
        const { verdict } = readWarmCool(masses, borders);
        if (verdict !== scene.truth) wrong.push(`${scene.name}, ${seed}: ${verdict}`);
      }
    const all = LIT_SCENES.length * SEEDS.length;
    expect({ wrong, right: all - wrong.length >= (2 / 3) * all }).toMatchObject({ right: true });
  }, 120_000);
});
