import fc from 'fast-check';
import { oklabFromHex } from '../colour/hex';
import type { Oklab } from '../colour/oklab';
import { valueOfOklab } from '../colour/value';
import { drawingsSchema } from '@/contracts/drawing';
import { morningDrawing } from '../plan/morning-drawing';
import { missingTube } from './missing-tube';
import { PIGMENTS } from './pigments/pigments';
import { morningPlan, type Canvas, type Planned } from './morning-plan';
import { findRecipes } from './recipes';
import { tubesOf, TWELVE } from './testing/mixtures';
import { MAX_CHOSEN_FROM, whichTubes } from './which-tubes';

const tubes = tubesOf(TWELVE);
const of = (hex: string) => oklabFromHex(hex) as Oklab;
const PALETTE: [string, number][] = [
  ['#e8dcc4', 0.22],
  ['#c9a878', 0.2],
  ['#8a6a4c', 0.18],
  ['#5d6b7c', 0.2],
  ['#3b3a44', 0.17],
  ['#b23222', 0.03],
];
const planned: Planned[] = PALETTE.map(([hex, share]) => ({
  id: hex,
  colour: of(hex),
  share,
  parts: findRecipes(of(hex), tubes, { count: 1 })[0].parts,
}));
const CANVAS: Canvas = { width: 400, height: 300, film: 0.2, spare: 0.25, nozzle: 8 };

describe('the morning’s plan', () => {
  it('squeezes out as much as the canvas takes, and the spare', () => {
    const size = fc.double({ min: 50, max: 2000, noNaN: true });
    fc.assert(
      fc.property(
        size,
        size,
        fc.double({ min: 0.05, max: 1, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (width, height, film, spare) => {
          const plan = morningPlan(planned, { width, height, film, spare, nozzle: 6 });
          const needed = (width * height * film * (1 + spare)) / 1000;
          const squeezed = plan.squeezes.reduce((sum, { millilitres }) => sum + millilitres, 0);
          expect(squeezed / needed).toBeCloseTo(1, 6);
          expect(plan.millilitres / needed).toBeCloseTo(1, 9);
        },
      ),
      { numRuns: 25 },
    );
  });

  it('a pile holds what the picture and the piles that are begun from it take', () => {
    const { piles } = morningPlan(planned, CANVAS);
    for (const { id, millilitres, forOthers, from, added } of piles) {
      const parts = added.reduce((sum, one) => sum + one.millilitres, from?.millilitres ?? 0);
      expect(parts).toBeCloseTo(millilitres + forOthers, 9);
      const taken = piles.reduce(
        (sum, pile) => sum + (pile.from?.id === id ? pile.from.millilitres : 0),
        0,
      );
      expect(forOthers).toBeCloseTo(taken, 9);
    }
  });

  it('a strip from the nozzle holds what is squeezed', () => {
    for (const { millilitres, strip } of morningPlan(planned, CANVAS).squeezes)
      expect((strip * Math.PI * 16) / 1000).toBeCloseTo(millilitres, 9);
  });

  it('piles go from light to dark, accents last, and each is begun from one that is there', () => {
    const { piles } = morningPlan(planned, CANVAS);
    expect(piles[piles.length - 1].id).toBe('#b23222');
    const values = piles.slice(0, -1).map(({ id }) => valueOfOklab(of(id)));
    expect(values).toEqual([...values].sort((one, other) => other - one));
    piles.forEach(({ id, from, added }, i) => {
      const before = piles.slice(0, i).map((pile) => pile.id);
      if (from) expect(before).toContain(from.id);
      expect([id, added.length > 0]).toEqual([id, true]);
      for (const { millilitres } of added) expect(millilitres).toBeGreaterThan(0);
    });
  });

  it('saves mixings beside making each pile from tubes', () => {
    const { mixings, mixingsFromTubes } = morningPlan(planned, CANVAS);
    expect(mixings).toBeLessThan(mixingsFromTubes);
  });
});

describe('which tubes', () => {
  const wanted = PALETTE.map(([hex, share]) => ({ colour: of(hex), share }));
  const some = tubesOf(['PW6', 'PY42', 'PR101', 'PB29', 'PG7', 'PR254', 'PBr7-raw-umber']);

  it('each more tube misses less, or no more', () => {
    const choices = whichTubes(wanted, some, 6);
    expect(choices.map((choice) => choice.tubes.length)).toEqual([1, 2, 3, 4, 5, 6]);
    for (let i = 1; i < choices.length; i++)
      expect(choices[i].miss).toBeLessThanOrEqual(choices[i - 1].miss + 1e-9);
    expect(choices[0].miss).toBeGreaterThan(3 * choices[5].miss);
  });

  it('of all threes none reaches further', () => {
    const [, , chosen] = whichTubes(wanted, some, 3);
    let least = Infinity;
    for (let a = 0; a < some.length; a++)
      for (let b = a + 1; b < some.length; b++)
        for (let c = b + 1; c < some.length; c++) {
          const three = [some[a], some[b], some[c]];
          least = Math.min(least, whichTubes(wanted, three, 3)[2].miss);
        }
    expect(chosen.miss).toBeLessThanOrEqual(least + 0.3);
  });

  it('takes no more tubes than it can choose from', () => {
    const many = Array.from({ length: MAX_CHOSEN_FROM + 1 }, () => some[0]);
    expect(() => whichTubes(wanted, many, 3)).toThrow(RangeError);
  });
});

describe('what is missing', () => {
  const earths = tubesOf(['PW6', 'PY42', 'PR101', 'PB29', 'PBr7-raw-umber']);

  it('is a red for a red, a green for a green, and brings them nearer', () => {
    for (const [hex, hue] of [
      ['#c01f24', /^PR|^PO/],
      ['#0b8f6a', /^PG/],
      ['#d81b8c', /^PR|^PV/],
    ] as const) {
      const { own, more } = missingTube(of(hex), earths);
      expect(more?.pigment.id).toMatch(hue);
      expect(more!.miss).toBeLessThan(own / 2);
    }
  });

  it('is nothing where every pigment is there, and helps little where all is within reach', () => {
    const all = tubesOf(PIGMENTS.map(({ id }) => id));
    expect(missingTube(of('#8a7050'), all).more).toBeNull();
    expect(missingTube(of('#8a7050'), earths).own).toBeLessThan(1);
  });
});

describe('the morning’s sheet', () => {
  const plan = morningPlan(planned, CANVAS);
  const names = {
    title: 'Slate terrace',
    tube: (tube: { id: string }) => ({ name: tube.id, hex: '#123456' }),
    pile: (id: string) => ({ name: `pile ${id}`, hex: id }),
  };
  const drawing = morningDrawing(plan, names);
  const marks = drawing.parts.flatMap((part) => part.marks);

  it('has each strip in its true length, each pile by name, and the cautions', () => {
    expect(drawingsSchema.parse([drawing])).toEqual([drawing]);
    const strips = marks.flatMap((mark) =>
      mark.kind === 'rect' && mark.fill === '#123456' ? [mark.width] : [],
    );
    const needed = plan.squeezes.reduce((sum, { strip }) => sum + strip, 0);
    expect(strips.reduce((sum, width) => sum + width, 0)).toBeCloseTo(needed, 6);
    const words = marks.flatMap((mark) => (mark.kind === 'text' ? [mark.words] : [])).join('\n');
    for (const { id } of plan.piles) expect(words).toContain(`pile ${id}`);
    expect(words).toContain('Oily rags');
    expect(words).toMatch(/Cadmium|Manganese/);
  });

  it('stays on the paper, and says what did not fit', () => {
    const many = morningDrawing(
      { ...plan, piles: Array.from({ length: 40 }, () => plan.piles[0]) },
      names,
    );
    for (const mark of many.parts.flatMap((part) => part.marks))
      if (mark.kind === 'text' || mark.kind === 'rect') expect(mark.y).toBeLessThan(297);
    expect(JSON.stringify(many)).toMatch(/lines more did not fit/);
  });
});
