import { oklabDistance } from '@/core/colour/oklab';
import { mixColour } from '@/core/mixing/mix-lab';
import { TUBE_SETS } from '@/core/mixing/tube-sets';
import { EMPTY_SHELF, MAX_TUBES, shelfContentSchema, withMissing } from '@/contracts/shelf';
import {
  addSetOfTubes,
  addTry,
  addTubes,
  editTube,
  missesOf,
  mixingTubes,
  putTubeBack,
  removeTube,
  tubeOfPigment,
} from './shelf';

let next = 0;
const newId = () => `id-${next++}`;
const earths = () => addSetOfTubes(EMPTY_SHELF, 'earths', newId);

it('a set is put on a shelf once, and what is there already stays', () => {
  const shelf = earths();
  const set = TUBE_SETS.find(({ id }) => id === 'earths')!;
  expect(shelf.tubes.map(({ pigments }) => pigments[0])).toEqual(set.pigments);
  expect(shelfContentSchema.parse(shelf)).toEqual(shelf);
  expect(addSetOfTubes(shelf, 'earths', newId)).toEqual(shelf);
  const both = addSetOfTubes(shelf, 'primaries', newId);
  expect(both.tubes.slice(0, shelf.tubes.length)).toEqual(shelf.tubes);
  expect(both.tubes.filter(({ pigments }) => pigments[0] === 'PW6')).toHaveLength(1);
  expect(addSetOfTubes(shelf, 'no such set', newId)).toBe(shelf);
});

it('tubes are changed and taken away, and a full shelf takes no more', () => {
  const shelf = earths();
  const [first, second] = shelf.tubes;
  const changed = editTube(shelf, first.id, { standing: 'off', strength: 2 });
  expect(changed.tubes[0]).toEqual({ ...first, standing: 'off', strength: 2 });
  expect(changed.tubes[1]).toBe(second);
  expect(removeTube(shelf, first.id).tubes).toEqual(shelf.tubes.slice(1));
  const many = Array.from({ length: MAX_TUBES }, () => tubeOfPigment('PB29', newId));
  expect(() => addTubes(shelf, many)).toThrow(RangeError);
});

it('what was really mixed corrects the tubes that were in it, and no others', () => {
  const shelf = earths();
  const tubes = mixingTubes(shelf);
  const find = (pigment: string) => tubes.findIndex((tube) => tube.pigments[0].id === pigment);
  const [white, blue, red] = [find('PW6'), find('PB29'), find('PR101')];
  // A blue of twice the strength.
  const result = mixColour([tubes[white].optics, tubes[blue].optics], [6, 2]);
  const parts = [
    { tube: tubes[white].id, parts: 6 },
    { tube: tubes[blue].id, parts: 1 },
  ];
  const tried = addTry(shelf, {
    id: 'try',
    triedAt: '2026-11-02T09:30:00.000Z',
    name: '',
    parts,
    target: null,
    result,
    note: '',
  });
  const after = mixingTubes(tried);
  expect(after[blue].correctedBy).toBe(1);
  expect(after[red].correctedBy).toBe(0);
  expect(after[red].optics.K).toEqual(tubes[red].optics.K);
  expect(after[blue].optics.K[20]).toBeGreaterThan(1.3 * tubes[blue].optics.K[20]);
  const misses = missesOf(tried, parts, result)!;
  expect(misses.now).toBeLessThan(misses.before / 2);
  // What is kept and was not tried yet teaches nothing, nor what was made with a tube that is gone.
  const kept = { ...tried, tries: tried.tries.map((one) => ({ ...one, result: null })) };
  expect(mixingTubes(kept)[blue].correctedBy).toBe(0);
  const gone = removeTube(tried, tubes[white].id);
  expect(mixingTubes(gone).every(({ correctedBy }) => correctedBy === 0)).toBe(true);
  expect(missesOf(gone, parts, result)).toBeNull();
});

it('a shelf takes in what it lacks', () => {
  const one = earths();
  const other = addTubes(EMPTY_SHELF, [one.tubes[0], tubeOfPigment('PG7', newId)]);
  expect(withMissing(one, other).tubes).toEqual([...one.tubes, other.tubes[1]]);
});

it('a painted card stands in for what the pigment says', () => {
  const shelf = earths();
  const at = shelf.tubes.findIndex(({ pigments }) => pigments[0] === 'PB29');
  const tubes = mixingTubes(shelf);
  const white = tubes.find((tube) => tube.pigments[0].id === 'PW6')!;
  // A blue that is twice as strong as it says on the tube.
  const strong = mixingTubes(editTube(shelf, shelf.tubes[at].id, { strength: 2 }))[at];
  const card = {
    massTone: mixColour([strong.optics], [1]),
    tint: mixColour([strong.optics, white.optics], [1, 4]),
    whiteParts: 4,
  };
  const fitted = mixingTubes(editTube(shelf, shelf.tubes[at].id, { card }))[at];
  const tint = (tube: (typeof tubes)[number]) => mixColour([tube.optics, white.optics], [1, 12]);
  const miss = (tube: (typeof tubes)[number]) => oklabDistance(tint(tube), tint(strong));
  expect(miss(fitted)).toBeLessThan(miss(tubes[at]) / 3);
});

it('a tube that is taken off lies in the bin for thirty days, and comes back as it was', () => {
  const shelf = earths();
  const [first, second] = shelf.tubes;
  const day = (n: number) => new Date(Date.UTC(2026, 0, 1 + n));
  const off = removeTube(shelf, first.id, day(0));
  expect(off.bin).toEqual([{ ...first, removedAt: day(0).toISOString() }]);
  const back = putTubeBack(off, first.id);
  expect(back.bin).toEqual([]);
  expect(back.tubes.at(-1)).toEqual(first);
  expect(putTubeBack(back, first.id)).toBe(back);
  // What has lain in it for longer goes when the next one comes.
  expect(removeTube(off, second.id, day(29)).bin.map(({ id }) => id)).toEqual([
    second.id,
    first.id,
  ]);
  expect(removeTube(off, second.id, day(31)).bin.map(({ id }) => id)).toEqual([second.id]);
});
