import { mkdirSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { ciede2000 } from '../src/core/colour/ciede2000';
import { labFromOklab, type Lab } from '../src/core/colour/cielab';
import { hexFromOklab, oklabFromHex } from '../src/core/colour/hex';
import type { Oklab } from '../src/core/colour/oklab';
import { mixColour, mixLab } from '../src/core/mixing/mix-lab';
import { morningPlan } from '../src/core/mixing/morning-plan';
import { findRecipes } from '../src/core/mixing/recipes';
import { tubesOf, TWELVE } from '../src/core/mixing/testing/mixtures';
import type { Tube } from '../src/core/mixing/tube';
import { MAX_PARTS, SPECKS } from '../src/core/mixing/whole-parts';
import { randomFrom } from '../src/core/seeded';
import { pigmentPage } from './pigment-page';

const MIXTURES = 500;
const PLANS = 20;
const CANVAS = { width: 400, height: 300, film: 0.2, spare: 0.25, nozzle: 8 };
const BRUTE_FORCE = ['#6f7f86', '#a8744a', '#55603f'];

/** Draws every pigment as a page, mixes colours that are known again, and holds the search against all parts. */
export function benchMixing(): void {
  const page = path.join('build', 'pigments.html');
  mkdirSync(path.dirname(page), { recursive: true });
  writeFileSync(page, pigmentPage());
  console.log(`Every pigment, to look at: ${page}`);
  const tubes = tubesOf(TWELVE);
  console.log(`\nRecipes from ${TWELVE.join(', ')}:`);
  const random = randomFrom(1);
  console.log(foundAgain('whole parts of two and three tubes', tubes, () => whole(random, tubes)));
  console.log(foundAgain('tints in white by the speck', tubes, () => tint(random, tubes)));
  console.log(mixingsSaved(random, tubes));
  for (const hex of BRUTE_FORCE) console.log(againstAllParts(hex, tubes));
}

/** How many mixings the morning's plan saves beside making each pile from tubes. */
function mixingsSaved(random: () => number, tubes: readonly Tube[]): string {
  let planned = 0;
  let fromTubes = 0;
  for (let n = 0; n < PLANS; n++) {
    const colours = Array.from({ length: 8 }, (_, i) => {
      const colour = colourOf(whole(random, tubes));
      const { parts } = findRecipes(colour, tubes, { count: 1 })[0];
      return { id: String(i), colour, share: 0.05 + random(), parts };
    });
    const plan = morningPlan(colours, CANVAS);
    planned += plan.mixings;
    fromTubes += plan.mixingsFromTubes;
  }
  return `  the morning's plan, ${PLANS} palettes of eight: ${planned} mixings for ${fromTubes} from tubes alone`;
}

type Mixture = [tube: Tube, parts: number][];

const colourOf = (mixture: Mixture): Oklab =>
  mixColour(
    mixture.map(([tube]) => tube.optics),
    mixture.map(([, parts]) => parts),
  );

/** Two or three tubes in whole parts. */
function whole(random: () => number, tubes: readonly Tube[]): Mixture {
  return drawn(random, tubes, random() < 0.5 ? 2 : 3).map((tube) => [
    tube,
    1 + Math.floor(random() * MAX_PARTS),
  ]);
}

/** White, which stands before the other tubes, with specks of one or two. */
function tint(random: () => number, [white, ...colours]: readonly Tube[]): Mixture {
  const specks = drawn(random, colours, random() < 0.5 ? 1 : 2);
  return [
    [white, 4 + Math.floor(random() * 9)],
    ...specks.map((tube): [Tube, number] => [tube, SPECKS[Math.floor(random() * SPECKS.length)]]),
  ];
}

function drawn(random: () => number, tubes: readonly Tube[], count: number): Tube[] {
  const left = [...tubes];
  return Array.from({ length: count }, () => left.splice(Math.floor(random() * left.length), 1)[0]);
}

function foundAgain(name: string, tubes: readonly Tube[], draw: () => Mixture): string {
  const start = performance.now();
  const misses = Array.from(
    { length: MIXTURES },
    () => findRecipes(colourOf(draw()), tubes, { count: 1 })[0].deltaE,
  ).sort((one, other) => one - other);
  const each = (performance.now() - start) / MIXTURES;
  const at = (share: number) => misses[Math.floor(share * (MIXTURES - 1))].toFixed(2);
  return `  ${name}: ΔE00 median ${at(0.5)}, 95 % ${at(0.95)}, most ${at(1)}; ${each.toFixed(0)} ms each`;
}

/** The search beside every mixture of up to four tubes in whole parts to twelve. */
function againstAllParts(hex: string, tubes: readonly Tube[]): string {
  const target = oklabFromHex(hex);
  if (!target) throw new Error(`${hex} is no colour`);
  const lab = labFromOklab(target);
  const started = performance.now();
  const found = findRecipes(target, tubes)[0];
  const searched = performance.now() - started;
  const least = leastOf(tubes, lab, [], [], 0);
  const all = performance.now() - started - searched;
  return `  ${hex}: ${found.deltaE.toFixed(2)} (${hexFromOklab(found.colour)}) beside ${least.toFixed(2)} of all whole parts, ${(all / searched).toFixed(0)} times as fast`;
}

/** The least miss of any mixture that adds tubes from `next` on to some. */
function leastOf(
  tubes: readonly Tube[],
  target: Lab,
  taken: readonly Tube[],
  parts: readonly number[],
  next: number,
): number {
  let least = Infinity;
  if (taken.length > 0) {
    const paints = taken.map(({ optics }) => optics);
    least = ciede2000(mixLab(paints, parts), target);
  }
  if (taken.length === 4) return least;
  for (let i = next; i < tubes.length; i++)
    for (let part = 1; part <= MAX_PARTS; part++)
      least = Math.min(
        least,
        leastOf(tubes, target, [...taken, tubes[i]], [...parts, part], i + 1),
      );
  return least;
}
