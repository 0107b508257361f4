import { MAX_LOOKS, MAX_PROTECTED_PARTS, DEFAULT_HIDDEN } from '@/contracts/hidden';
import { newDocument, readStudyDocument, studyDocumentSchema } from '@/contracts/study';
import { mergeOf } from '@/ui/sync/merge';
import {
  keepFamily,
  protectNothing,
  protectPart,
  pushOnly,
  removeLook,
  saveLook,
  takeLook,
  withPush,
} from './hidden-edits';

const plain = newDocument('Fog');
const ids = () => {
  let n = 0;
  return () => `look-${n++}`;
};

const merge = mergeOf(studyDocumentSchema);

describe('what a study does to its quiet colours', () => {
  it('is spread by a half in a new study, and in one from before', () => {
    const { hidden: _, ...old } = plain;
    expect(readStudyDocument({ ...old, version: 1 }).hidden).toEqual(DEFAULT_HIDDEN);
    expect(plain.hidden.push).toEqual({ lift: 0, quiet: 0, spread: 0.5, cast: 'global' });
  });

  it('keeps looks, takes them up again and lets them go', () => {
    const strong = withPush(plain, { spread: 1, cast: 'local' });
    const kept = saveLook(strong, 'To look by', ids());
    const back = takeLook(withPush(kept, { spread: 0 }), 'look-0');
    expect(back.hidden.push).toEqual(strong.hidden.push);
    expect(removeLook(back, 'look-0').hidden.looks).toEqual([]);
    expect(takeLook(plain, 'nowhere')).toBe(plain);
    expect(studyDocumentSchema.parse(kept)).toEqual(kept);
  });

  it('keeps families of one wheel at a time', () => {
    const two = keepFamily(keepFamily(plain, 'painters', 2), 'painters', 1);
    expect(two.hidden.kept).toEqual({ wheel: 'painters', families: [1, 2] });
    expect(keepFamily(two, 'painters', 2).hidden.kept.families).toEqual([1]);
    expect(keepFamily(two, 'screen', 7).hidden.kept).toEqual({ wheel: 'screen', families: [7] });
  });

  it('protects parts and zones, and nothing again', () => {
    const part = { id: 'p', tool: 'brush' as const, radius: 0.02, points: [{ x: 0.5, y: 0.5 }] };
    const held = pushOnly(keepFamily(protectPart(plain, part), 'painters', 3), {
      kind: 'side',
      side: 'shadow',
    });
    expect(held.hidden.parts).toEqual([part]);
    expect(protectNothing(held).hidden).toEqual(plain.hidden);
    const full = {
      ...plain,
      hidden: { ...plain.hidden, parts: Array.from({ length: MAX_PROTECTED_PARTS }, () => part) },
    };
    expect(() => protectPart(full, part)).toThrow(RangeError);
  });

  it('refuses more looks than it keeps, and changes nothing', () => {
    let full = plain;
    const newId = ids();
    for (let i = 0; i < MAX_LOOKS; i++) full = saveLook(full, `Look ${i}`, newId);
    expect(() => saveLook(full, 'One more', newId)).toThrow(/Delete one first/);
    expect(full.hidden.looks).toHaveLength(MAX_LOOKS);
  });

  it('is merged whole: half of one push and half of another is neither', () => {
    const mine = withPush(plain, { spread: 0.9 });
    const theirs = withPush(saveLook(plain, 'Theirs', ids()), { quiet: 0.4 });
    const { value, conflicts } = merge(plain, mine, theirs);
    expect(value.hidden.push).toEqual(mine.hidden.push);
    expect(value.hidden.looks).toHaveLength(1);
    expect(conflicts.map(({ path }) => path.join('.'))).toEqual(['hidden.push']);
  });
});
