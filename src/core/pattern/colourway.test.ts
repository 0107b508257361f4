import fc from 'fast-check';
import { hexFromOklab, oklabFromHex } from '../colour/hex';
import { oklchFromOklab } from '../colour/oklab';
import { valueOfOklab } from '../colour/value';
import { colourwayOf, DEFAULT_CHOICE, type PaintedDrawing } from './colourway';
import { limitInks } from './ink-limit';
import { mapOfAll, mergedDrawing, mergeTargets } from './merges';
import { MAX_SUGGESTIONS, suggestColourways } from './suggest';
import { anyChoice, anyPainted, anyPalette, paintsOfHexes, paletteOf } from './testing';
import { movedColours } from './way-colours';

const paints = paintsOfHexes(
  ['#101010', '#404040', '#808080', '#c0c0c0', '#f0f0f0'],
  [0.1, 0.4, 0.2, 0.25, 0.05],
);
const drawing: PaintedDrawing = { paints, touching: [], ground: '#404040' };
const HEXES = ['#e8d8b0', '#203050', '#7a8a5a', '#b05a30', '#584048'];
const palette = paletteOf(HEXES, [0.1, 0.5, 0.2, 0.15, 0.05]);
const valueOf = (hex: string) => valueOfOklab(oklabFromHex(hex)!);
const areaOf = (of: ReadonlyMap<string, string | null>, id: string, all: PaintedDrawing) =>
  all.paints.reduce((sum, { hex, area }) => sum + (of.get(hex) === id ? area : 0), 0);
const move = (colour: string) => ({ colour, turn: 0, lighter: 0, wider: 0, instead: null });

describe('a colourway', () => {
  it('by value keeps the order from dark to light, and what stood apart', () => {
    const { map, fallen } = colourwayOf(drawing, palette, DEFAULT_CHOICE);
    const values = paints.map(({ hex }) => valueOf(map.get(hex)!));
    values.slice(1).forEach((value, i) => expect(value).toBeGreaterThanOrEqual(values[i]));
    expect(new Set(map.values()).size).toBe(5);
    expect(fallen.length).toBeLessThanOrEqual(1);
    const one = colourwayOf(drawing, palette.slice(0, 1), DEFAULT_CHOICE);
    expect(new Set(one.map.values()).size).toBe(1);
    expect(one.fallen).toHaveLength(10);
  });

  it('says first which of the fallen touch', () => {
    const touching = [['#808080', '#f0f0f0'] as const];
    const { fallen } = colourwayOf({ ...drawing, touching }, palette.slice(0, 1), DEFAULT_CHOICE);
    expect(fallen[0]).toEqual({ pair: ['#808080', '#f0f0f0'], touch: true });
    expect(fallen.slice(1).every(({ touch }) => !touch)).toBe(true);
  });

  it('by area gives the largest the colour with the largest share', () => {
    const { map } = colourwayOf(drawing, palette, { ...DEFAULT_CHOICE, by: 'area' });
    expect(map.get('#404040')).toBe('#203050');
    expect(map.get('#c0c0c0')).toBe('#7a8a5a');
    expect(() => colourwayOf(drawing, [], DEFAULT_CHOICE)).toThrow(RangeError);
  });

  it('by area comes near the shares where there are many paints', () => {
    const many = Array.from(
      { length: 200 },
      (_, i) => `#${(i + 256).toString(16).padStart(6, '0')}`,
    );
    const painted = {
      paints: paintsOfHexes(
        many,
        many.map(() => 1 / 200),
      ),
      touching: [],
      ground: null,
    };
    const { colours } = colourwayOf(painted, palette, { ...DEFAULT_CHOICE, by: 'area' });
    for (const { id, share } of colours)
      expect(share).toBeCloseTo(palette.find((one) => one.id === id)!.share!, 2);
  });

  it('by area gives paints that touch different colours where there are any', () => {
    fc.assert(
      fc.property(anyPainted, (painted) => {
        // Once every colour has come in, no two that touch are alike: with more colours than neighbours there is always one.
        const colours = paletteOf(
          Array.from(
            { length: 10 },
            (_, i) => `#${(20 * i + 10).toString(16).padStart(2, '0')}8040`,
          ),
        );
        const { of } = colourwayOf(painted, colours, { ...DEFAULT_CHOICE, by: 'area' });
        for (const [one, other] of painted.touching) expect(of.get(one)).not.toBe(of.get(other));
      }),
    );
  });

  it('has nothing but the palette’s own colours unless tints are wanted', () => {
    fc.assert(
      fc.property(anyPainted, anyPalette, anyChoice, (painted, colours, choice) => {
        const { map, palette: came } = colourwayOf(painted, colours, { ...choice, tints: false });
        const hexes = came.map(({ colour }) => hexFromOklab(colour));
        for (const hex of map.values()) expect(hexes).toContain(hex);
        const tinted = colourwayOf(painted, colours, { ...choice, tints: true });
        for (const { hex, value } of painted.paints)
          expect(Math.abs(valueOf(tinted.map.get(hex)!) - value)).toBeLessThan(0.06);
      }),
    );
  });

  it('with fixed ends has the darkest on the darkest and the lightest on the lightest', () => {
    fc.assert(
      fc.property(anyPainted, anyPalette, (painted, colours) => {
        fc.pre(painted.paints.length > 1);
        const { map } = colourwayOf(painted, colours, { ...DEFAULT_CHOICE, ends: 'fixed' });
        const values = colours.map(({ colour }) => valueOf(hexFromOklab(colour)));
        const sorted = [...painted.paints].sort((one, other) => one.value - other.value);
        expect(valueOf(map.get(sorted[0].hex)!)).toBeCloseTo(Math.min(...values), 1);
        expect(valueOf(map.get(sorted.at(-1)!.hex)!)).toBeCloseTo(Math.max(...values), 1);
      }),
    );
  });

  it('gives a colour whose block is wider no less room', () => {
    fc.assert(
      fc.property(anyPainted, anyPalette, fc.nat(7), (painted, colours, at) => {
        const { id } = colours[at % colours.length];
        const before = colourwayOf(painted, colours, DEFAULT_CHOICE);
        const after = colourwayOf(painted, colours, {
          ...DEFAULT_CHOICE,
          moves: [{ ...move(id), wider: 2 }],
        });
        // Every paint counts for a little more than its area.
        const room = (of: ReadonlyMap<string, string | null>) =>
          areaOf(of, id, painted) +
          (0.2 / painted.paints.length) *
            painted.paints.filter(({ hex }) => of.get(hex) === id).length;
        expect(room(after.of)).toBeGreaterThanOrEqual(room(before.of) - 1e-9);
      }),
    );
  });

  it('holds what is held, keeps what keeps its own, and gives the ground its colour', () => {
    const way = colourwayOf(drawing, palette, {
      ...DEFAULT_CHOICE,
      held: [
        { paint: '#101010', colour: 'c0' },
        { paint: '#c0c0c0', colour: null },
      ],
      ground: 'c3',
    });
    expect(way.map.get('#101010')).toBe('#e8d8b0');
    expect(way.map.get('#c0c0c0')).toBe('#c0c0c0');
    expect(way.map.get('#404040')).toBe('#b05a30');
    expect(way.laid).toBeNull();
    expect(way.colours.find(({ id }) => id === '#c0c0c0')?.share).toBeCloseTo(0.25, 9);
    const bare = colourwayOf({ ...drawing, ground: null }, palette, {
      ...DEFAULT_CHOICE,
      ground: 'c3',
    });
    expect(bare.laid).toBe('#b05a30');
  });

  it('gives the shapes of a colour that is left out to the nearest, or to the one put there', () => {
    const before = colourwayOf(drawing, palette, DEFAULT_CHOICE);
    const [paint] = paints.filter(({ hex }) => before.of.get(hex) === 'c1');
    const without = (instead: 'nearest' | { id: string }) =>
      colourwayOf(drawing, palette, { ...DEFAULT_CHOICE, moves: [{ ...move('c1'), instead }] });
    expect(without('nearest').map.get(paint.hex)).toBe('#584048');
    expect(without({ id: 'c3' }).map.get(paint.hex)).toBe('#b05a30');
    // Nothing else moves.
    for (const { hex } of paints)
      if (before.of.get(hex) !== 'c1')
        expect(without({ id: 'c3' }).map.get(hex)).toBe(before.map.get(hex));
    const round = colourwayOf(drawing, palette, {
      ...DEFAULT_CHOICE,
      moves: [
        { ...move('c1'), instead: { id: 'c3' } },
        { ...move('c3'), instead: { id: 'c1' } },
      ],
    });
    expect(new Set(round.map.values())).not.toContain('#203050');
  });

  it('that is limited to inks has these, the paper, and what they make over each other', () => {
    const three = (overprint: boolean) =>
      colourwayOf(drawing, palette, { ...DEFAULT_CHOICE, inks: 2, overprint });
    const plain = three(false);
    expect(plain.inks?.inks).toHaveLength(2);
    expect(plain.inks?.paper.id).toBe('c0');
    expect(new Set(plain.map.values()).size).toBeLessThanOrEqual(3);
    const over = three(true);
    expect(over.inks?.colours).toHaveLength(4);
    const both = over.inks!.colours[3];
    expect(both.name).toContain(' over ');
    for (const ink of over.inks!.inks)
      expect(valueOfOklab(both.colour)).toBeLessThan(valueOfOklab(ink.colour) + 0.01);
    expect(() => limitInks(palette, [], 1, true)).toThrow(RangeError);
  });
});

describe('colours that are moved', () => {
  const valuesOf = (start: Parameters<typeof movedColours>[1]) =>
    movedColours(palette, start, 0, []).map(({ colour }) => valueOfOklab(colour));

  it('start high, low, greyed or strong, the palette itself as it was', () => {
    const before = JSON.stringify(palette);
    expect(Math.min(...valuesOf('high key'))).toBeGreaterThan(6.2);
    expect(Math.max(...valuesOf('low key'))).toBeLessThan(4.6);
    const chroma = (start: Parameters<typeof movedColours>[1]) =>
      movedColours(palette, start, 0, []).map(({ colour }) => oklchFromOklab(colour).C);
    const own = chroma(null);
    chroma('greyed').forEach((C, i) => expect(C).toBeLessThan(0.4 * own[i]));
    chroma('strong').forEach((C, i) => expect(C).toBeGreaterThanOrEqual(own[i] - 1e-3));
    valuesOf('strong').forEach((value, i) => expect(value).toBeCloseTo(valuesOf(null)[i], 1));
    expect(JSON.stringify(palette)).toBe(before);
  });

  it('are turned together and singly at their value, and lightened', () => {
    const hueOf = (at: number, turn: number, moves: Parameters<typeof movedColours>[3]) =>
      oklchFromOklab(movedColours(palette, null, turn, moves)[at].colour).h;
    const own = hueOf(3, 0, []);
    const apart = (one: number, other: number) => Math.abs(((one - other + 540) % 360) - 180);
    expect(apart(hueOf(3, 40, []), own + 40)).toBeLessThan(1);
    expect(apart(hueOf(3, 40, [{ ...move('c3'), turn: 20 }]), own + 60)).toBeLessThan(1);
    const [before, after] = [0, 2].map((lighter) =>
      valueOfOklab(movedColours(palette, null, 0, [{ ...move('c1'), lighter }])[1].colour),
    );
    expect(after - before).toBeCloseTo(2, 1);
    const wide = movedColours(palette, null, 0, [{ ...move('c4'), wider: 2 }]);
    expect(wide[4].share).toBeCloseTo(0.2 / 1.15, 6);
  });
});

describe('paints that were merged', () => {
  it('have one colour in every colourway', () => {
    fc.assert(
      fc.property(
        anyPainted,
        anyPalette,
        anyChoice,
        fc.array(fc.tuple(fc.nat(8), fc.nat(8)), { maxLength: 6 }),
        (painted, colours, choice, pairs) => {
          const n = painted.paints.length;
          const merges = pairs.map(([one, other]) => ({
            paint: painted.paints[one % n].hex,
            into: painted.paints[other % n].hex,
          }));
          const targets = mergeTargets(merges);
          const merged = mergedDrawing(painted, targets);
          fc.pre(merged.paints.length > 0);
          const { map } = colourwayOf(merged, colours, choice);
          const all = mapOfAll(painted.paints, targets, map);
          for (const [paint, end] of targets) expect(all.get(paint)).toBe(all.get(end));
          const area = (some: PaintedDrawing) =>
            some.paints.reduce((sum, one) => sum + one.area, 0);
          expect(area(merged)).toBeCloseTo(area(painted), 9);
        },
      ),
    );
  });

  it('follow one another to the end, and a circle stays', () => {
    const ends = mergeTargets([
      { paint: 'a', into: 'b' },
      { paint: 'b', into: 'c' },
      { paint: 'x', into: 'y' },
      { paint: 'y', into: 'x' },
    ]);
    expect([...ends]).toEqual([
      ['a', 'c'],
      ['b', 'c'],
    ]);
  });
});

describe('colourways that are offered', () => {
  it('are forty, none like another, each what its choice makes', () => {
    const palettes = [
      { title: 'all', colours: palette },
      { title: 'three', colours: palette.slice(0, 3) },
    ];
    const offered = suggestColourways(drawing, palettes, DEFAULT_CHOICE);
    expect(offered).toHaveLength(MAX_SUGGESTIONS);
    expect(new Set(offered.map(({ map }) => [...map.values()].join())).size).toBe(MAX_SUGGESTIONS);
    for (const { colours, choice, map } of offered)
      expect(colourwayOf(drawing, colours, choice).map).toEqual(map);
    expect(offered[0].title).toBe('by value, all');
  });

  it('keep what is held', () => {
    const held = [{ paint: '#808080', colour: null }];
    for (const { map } of suggestColourways(drawing, [{ title: 'all', colours: palette }], {
      ...DEFAULT_CHOICE,
      held,
    }))
      expect(map.get('#808080')).toBe('#808080');
  });
});
