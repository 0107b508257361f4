import fc from 'fast-check';
import { oklabFromHex } from '../colour/hex';
import { valueOfOklab } from '../colour/value';
import { DEFAULT_CHOICE, type ColourwayChoice, type PaintedDrawing } from './colourway';
import { MAPPINGS } from './map-paints';
import type { DrawingPaint } from './paints';
import { STARTS, type WayColour } from './way-colours';

/** Paints of some colours and areas. */
export const paintsOfHexes = (hexes: readonly string[], areas: readonly number[]): DrawingPaint[] =>
  hexes.map((hex, i) => {
    const colour = oklabFromHex(hex)!;
    return { hex, colour, value: valueOfOklab(colour), uses: 1, area: areas[i] };
  });

/** A palette of some colours; `c0`, `c1` and so on. */
export const paletteOf = (hexes: readonly string[], shares?: readonly number[]): WayColour[] =>
  hexes.map((hex, i) => ({
    id: `c${i}`,
    name: `colour ${i}`,
    colour: oklabFromHex(hex)!,
    share: shares?.[i] ?? null,
  }));

export const anyHex = fc
  .tuple(...[0, 1, 2].map(() => fc.integer({ min: 0, max: 255 })))
  .map((bytes) => `#${bytes.map((byte) => byte.toString(16).padStart(2, '0')).join('')}`);

export const anyPalette = fc
  .uniqueArray(anyHex, { minLength: 1, maxLength: 8 })
  .map((hexes) => paletteOf(hexes));

/** A drawing of up to nine paints of which some touch; its ground the first, or none. */
export const anyPainted: fc.Arbitrary<PaintedDrawing> = fc
  .record({
    hexes: fc.uniqueArray(anyHex, { minLength: 1, maxLength: 9 }),
    weights: fc.array(fc.integer({ min: 1, max: 100 }), { minLength: 9, maxLength: 9 }),
    pairs: fc.array(fc.tuple(fc.nat(8), fc.nat(8)), { maxLength: 12 }),
    hasGround: fc.boolean(),
  })
  .map(({ hexes, weights, pairs, hasGround }) => {
    const all = hexes.reduce((sum, _, i) => sum + weights[i], 0);
    return {
      paints: paintsOfHexes(
        hexes,
        weights.map((weight) => weight / all),
      ),
      touching: pairs
        .filter(([one, other]) => one < other && other < hexes.length)
        .map(([one, other]): [string, string] => [hexes[one], hexes[other]]),
      ground: hasGround ? hexes[0] : null,
    };
  });

/** A choice of any kind, without what is held or moved. */
export const anyChoice: fc.Arbitrary<ColourwayChoice> = fc
  .record({
    by: fc.constantFrom(...MAPPINGS),
    ends: fc.constantFrom('free' as const, 'fixed' as const),
    start: fc.constantFrom(null, ...STARTS),
    turn: fc.integer({ min: -180, max: 180 }),
    tints: fc.boolean(),
  })
  .map((choice) => ({ ...DEFAULT_CHOICE, ...choice }));
