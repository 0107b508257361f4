import fc from 'fast-check';
import { pannedBy, placeAt, viewportOf, zoomedAt } from './stage/viewport';
import { latest } from './latest';
import { selectionAfter } from '@/palette/host';
import { STEPS } from './steps';
import { lensOf, valuesView } from './steps/values/values-view';
import { readAddress, stepViewIn, writeAddress } from './view';

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
  const of = (query: string) => readAddress(STEPS, new URLSearchParams(query));
  const again = ({ view, views }: ReturnType<typeof of>) => of(writeAddress(STEPS, view, views));

  it('comes back from a reload, the open step’s part with it', () => {
    for (const query of [
      '',
      'step=values&tab=light&lens=picture',
      'step=values&tab=separation&place=0.1,0.25&place=1,0',
      'step=colours&tab=harmony&asked=0.25,0.75',
      'step=hidden&tab=strengthen&lens=map&wipe=0.4',
      'step=palette&tab=test&fit=failing&from=zones&pick=parts',
      'zoom=3&centre=0.25,1&at=0.10000,0.90000,0.02000',
    ]) {
      const read = of(query);
      expect(again(read)).toEqual(read);
      expect(
        Object.fromEntries(new URLSearchParams(writeAddress(STEPS, read.view, read.views))),
      ).toEqual(Object.fromEntries(new URLSearchParams(query)));
    }
  });

  it('opens each tab of the values with its own lens, and refuses another’s', () => {
    const lens = (query: string) =>
      lensOf(stepViewIn(of(`step=values&${query}`).views, valuesView));
    expect(lens('tab=light')).toBe('sides');
    expect(lens('tab=light&lens=busy')).toBe('sides');
    expect(lens('tab=focus&lens=busy')).toBe('busy');
  });

  it('still reads what addresses held before', () => {
    const tab = (query: string) => {
      const { view, views } = of(query);
      return (views[view.step] as { tab: string }).tab;
    };
    expect(tab('step=values&topic=parting')).toBe('separation');
    expect(tab('step=colours&aspect=seeming')).toBe('reads-as');
    expect(tab('step=hidden&quest=protect')).toBe('leave-alone');
    expect(tab('step=palette&craft=fit')).toBe('test');
  });

  it('makes sense of nonsense, and has no centre without a zoom', () => {
    const plain = of('');
    expect(of('step=fly&lens=x&wipe=NaN&zoom=-4&centre=1&at=1,2')).toEqual(plain);
    expect(of('centre=0,0').view.centre).toEqual({ x: 0.5, y: 0.5 });
    expect(writeAddress(STEPS, plain.view, plain.views)).toBe('');
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
    const newest = latest(
      async (n: number) => {
        run.push(n);
        await Promise.resolve();
        return n * 10;
      },
      (result) => taken.push(result),
      () => undefined,
    );
    for (let n = 1; n <= 50; n++) newest.ask(n);
    await new Promise((resolve) => setTimeout(resolve, 5));
    expect(run).toEqual([1, 50]);
    expect(taken).toEqual([500]);
  });

  it('goes on after a failure, and not after it was stopped', async () => {
    const failures: unknown[] = [];
    const taken: number[] = [];
    const newest = latest(
      async (n: number) => {
        if (n === 1) throw new Error('no');
        return n;
      },
      (result) => taken.push(result),
      (error) => failures.push(error),
    );
    newest.ask(1);
    await new Promise((resolve) => setTimeout(resolve, 2));
    newest.ask(2);
    await new Promise((resolve) => setTimeout(resolve, 2));
    newest.stop();
    newest.ask(3);
    await new Promise((resolve) => setTimeout(resolve, 2));
    expect(failures).toHaveLength(1);
    expect(taken).toEqual([2]);
  });
});
