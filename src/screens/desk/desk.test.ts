import fc from 'fast-check';
import { pannedBy, placeAt, viewportOf, zoomedAt } from './stage/viewport';
import { latest } from './latest';
import { selectionAfter } from './desk-store';
import {
  BUILDS,
  CRAFTS,
  DEFAULT_VIEW,
  FIT_LOOKS,
  QUESTS,
  SIGHTS,
  queryOf,
  TAKE_FROM,
  viewFrom,
  type View,
} from './view';

describe('what is selected', () => {
  it('is one alone, or several where a touch adds', () => {
    const none = { selected: null, chosen: [] };
    const one = selectionAfter(none, 'a', false);
    expect(one).toEqual({ selected: 'a', chosen: [] });
    const two = selectionAfter(one, 'b', true);
    expect(two).toEqual({ selected: 'a', chosen: ['a', 'b'] });
    expect(selectionAfter(two, 'a', true)).toEqual({ selected: 'b', chosen: [] });
    expect(selectionAfter(selectionAfter(none, 'a', true), 'a', true)).toEqual(none);
    expect(selectionAfter(two, 'c', false)).toEqual({ selected: 'c', chosen: [] });
  });
});

describe('the view in the address', () => {
  const anyView: fc.Arbitrary<View> = fc.record({
    step: fc.constantFrom('look', 'values', 'hidden', 'palette'),
    topic: fc.constant('zones'),
    lens: fc.constantFrom('picture', 'greys', 'zones'),
    zoneLook: fc.constantFrom('greys', 'colours', 'outlines'),
    aspect: fc.constant('hues'),
    warmthMap: fc.constant(false),
    craft: fc.constantFrom(...CRAFTS),
    build: fc.constantFrom(...BUILDS),
    fitLook: fc.constantFrom(...FIT_LOOKS),
    takeFrom: fc.constantFrom(...TAKE_FROM),
    quest: fc.constantFrom(...QUESTS),
    sight: fc.constantFrom(...SIGHTS),
    takeParts: fc.boolean(),
    asked: fc.constant(null),
    pair: fc.constantFrom(
      [],
      [{ x: 0.1, y: 0.25 }],
      [
        { x: 0.1, y: 0.25 },
        { x: 1, y: 0 },
      ],
    ),
    wipe: fc.option(fc.integer({ min: 0, max: 1000 }).map((n) => n / 1000)),
    zoom: fc.integer({ min: 1001, max: 16000 }).map((n) => n / 1000),
    centre: fc.record({ x: fc.constantFrom(0, 0.25, 0.5), y: fc.constantFrom(0.125, 1) }),
    at: fc.option(fc.constant({ x: 0.1, y: 0.9, radius: 0.02 })),
  });

  it('comes back from a reload', () => {
    fc.assert(
      fc.property(anyView, (view) => {
        const back = viewFrom(new URLSearchParams(queryOf(view)));
        const { lens, wipe, zoneLook, pair } = DEFAULT_VIEW;
        const fits = view.step === 'palette' && view.craft === 'fit';
        const wipes = fits || view.step === 'hidden';
        const onlyInValues =
          view.step === 'values' ? {} : { lens, wipe: wipes ? view.wipe : wipe, zoneLook, pair };
        const { quest, sight } = DEFAULT_VIEW;
        const onlyInHidden = view.step === 'hidden' ? {} : { quest, sight };
        const { craft, build, fitLook, takeFrom, takeParts } = DEFAULT_VIEW;
        const onlyInPalette =
          view.step !== 'palette'
            ? { craft, build, fitLook, takeFrom, takeParts }
            : {
                build: view.craft === 'build' ? view.build : build,
                fitLook: fits ? view.fitLook : fitLook,
              };
        expect(back).toEqual({ ...view, ...onlyInValues, ...onlyInHidden, ...onlyInPalette });
      }),
    );
    expect(queryOf(DEFAULT_VIEW)).toBe('');
  });

  it('opens each topic with its own lens and refuses another’s', () => {
    const of = (query: string) => viewFrom(new URLSearchParams(query));
    expect(of('step=values&topic=light').lens).toBe('sides');
    expect(of('step=values&topic=light&lens=busy').lens).toBe('sides');
    expect(of('step=values&topic=focus&lens=busy').lens).toBe('busy');
    expect(of('step=values&topic=parting&place=0.1,0.2&place=x&place=1,1').pair).toEqual([
      { x: 0.1, y: 0.2 },
    ]);
  });

  it('makes sense of nonsense', () => {
    const view = viewFrom(new URLSearchParams('step=fly&lens=x&wipe=NaN&zoom=-4&centre=1&at=1,2'));
    expect(view).toEqual(DEFAULT_VIEW);
  });
});

describe('the viewport', () => {
  const picture = { width: 1600, height: 1200 };
  const stage = { width: 788, height: 536 };

  it('fits the picture into the stage, whole and in the middle', () => {
    const fitted = viewportOf({ zoom: 1, centre: { x: 0.5, y: 0.5 } }, picture, stage);
    expect(fitted.x).toBeGreaterThan(0);
    expect(fitted.y).toBeGreaterThan(0);
    expect(fitted.x * 2 + picture.width * fitted.scale).toBeCloseTo(stage.width, 6);
  });

  it('keeps the place under the finger while it zooms in', () => {
    const at = fc.record({
      x: fc.integer({ min: 100, max: 700 }),
      y: fc.integer({ min: 50, max: 480 }),
    });
    fc.assert(
      fc.property(at, fc.double({ min: 1.5, max: 6, noNaN: true }), (point, factor) => {
        const start = { zoom: 1.2, centre: { x: 0.5, y: 0.5 } };
        const before = placeAt(point, viewportOf(start, picture, stage), picture);
        const after = placeAt(
          point,
          viewportOf(zoomedAt(start, factor, point, picture, stage), picture, stage),
          picture,
        );
        fc.pre(before.x > 0 && before.x < 1 && before.y > 0 && before.y < 1);
        expect(after.x).toBeCloseTo(before.x, 6);
        expect(after.y).toBeCloseTo(before.y, 6);
      }),
    );
  });

  it('never loses the picture, however far it is dragged', () => {
    const far = pannedBy(
      { zoom: 3, centre: { x: 0.5, y: 0.5 } },
      { x: 99999, y: -99999 },
      picture,
      stage,
    );
    expect(far.centre).toEqual({ x: 0, y: 1 });
    expect(
      pannedBy({ zoom: 1, centre: { x: 0.5, y: 0.5 } }, { x: 50, y: 50 }, picture, stage).centre,
    ).toEqual({ x: 0.5, y: 0.5 });
  });
});

describe('latest', () => {
  it('skips what was overtaken and always ends with the newest', async () => {
    const run: number[] = [];
    const taken: number[] = [];
    const asked = latest(
      async (n: number) => {
        run.push(n);
        await Promise.resolve();
        return n * 10;
      },
      (result) => taken.push(result),
      () => undefined,
    );
    for (let n = 1; n <= 50; n++) asked.ask(n);
    await new Promise((resolve) => setTimeout(resolve, 5));
    expect(run).toEqual([1, 50]);
    expect(taken).toEqual([500]);
  });

  it('goes on after a failure, and not after it was stopped', async () => {
    const failures: unknown[] = [];
    const taken: number[] = [];
    const asked = latest(
      async (n: number) => {
        if (n === 1) throw new Error('no');
        return n;
      },
      (result) => taken.push(result),
      (error) => failures.push(error),
    );
    asked.ask(1);
    await new Promise((resolve) => setTimeout(resolve, 2));
    asked.ask(2);
    await new Promise((resolve) => setTimeout(resolve, 2));
    asked.stop();
    asked.ask(3);
    await new Promise((resolve) => setTimeout(resolve, 2));
    expect(failures).toHaveLength(1);
    expect(taken).toEqual([2]);
  });
});
