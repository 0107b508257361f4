import fc from 'fast-check';
import {
  MAX_CORRECTIONS,
  newDocument,
  studyDocumentSchema,
  type StoredCorrection,
  readStudyDocument,
} from '@/contracts/study';
import { addCorrection, withoutCorrections } from './light-edits';
import { moveThreshold, withBreaks, withZones } from './zone-edits';

const document = newDocument('Study');
const { values } = document;

describe('thresholds by hand', () => {
  it('move, and stop at their neighbours and at the ends', () => {
    const standing = [3, 6];
    expect(moveThreshold(values, standing, 0, 4.5)).toMatchObject({
      breaks: 'hand',
      zones: 3,
      thresholds: [4.5, 6],
    });
    expect(moveThreshold(values, standing, 0, 8).thresholds).toEqual([5.9, 6]);
    expect(moveThreshold(values, standing, 0, -4).thresholds).toEqual([0.1, 6]);
    expect(moveThreshold(values, standing, 1, 20).thresholds).toEqual([3, 9.9]);
  });

  it('become more by halving the widest zone and fewer by joining the nearest', () => {
    const byHand = withBreaks({ ...values, zones: 3 }, 'hand', [1, 3]);
    expect(withZones(byHand, 4).thresholds).toEqual([1, 3, 6.5]);
    expect(withZones(byHand, 2).thresholds).toEqual([1]);
    expect(withZones(values, 7)).toEqual({ ...values, zones: 7 });
    expect(withBreaks(byHand, 'even', []).breaks).toBe('even');
  });

  it('stay in order, few enough and in a document that can be stored, whatever is done', () => {
    const act = fc.oneof(
      fc.record({ zones: fc.integer({ min: 2, max: 9 }) }),
      fc.record({ index: fc.nat(7), to: fc.double({ min: -3, max: 13, noNaN: true }) }),
    );
    fc.assert(
      fc.property(fc.array(act, { maxLength: 12 }), (acts) => {
        let now = withBreaks(values, 'hand', [2.5, 5, 7.5]);
        for (const one of acts)
          now =
            'zones' in one
              ? withZones(now, one.zones)
              : moveThreshold(now, now.thresholds, one.index % now.thresholds.length, one.to);
        const { thresholds, zones } = studyDocumentSchema.parse({
          ...document,
          values: now,
        }).values;
        expect(zones).toBe(thresholds.length + 1);
        expect([...thresholds].sort((a, b) => a - b)).toEqual(thresholds);
      }),
    );
  });
});

describe('corrections of the light', () => {
  const correction = (id: string): StoredCorrection => ({
    id,
    side: 'light',
    tool: 'brush',
    radius: 0.02,
    points: [{ x: 0.5, y: 1.2 }],
  });

  it('are laid one over the other, and all taken away at once', () => {
    const two = addCorrection(addCorrection(document, correction('a')), correction('b'));
    expect(two.lightAndShadow.corrections.map(({ id }) => id)).toEqual(['a', 'b']);
    expect(studyDocumentSchema.parse(two)).toEqual(two);
    expect(withoutCorrections(two).lightAndShadow.corrections).toEqual([]);
    expect(withoutCorrections(document)).toBe(document);
  });

  it('have a limit that is said', () => {
    let full = document;
    for (let i = 0; i < MAX_CORRECTIONS; i++) full = addCorrection(full, correction(String(i)));
    expect(() => addCorrection(full, correction('more'))).toThrow(/keeps 200 corrections/);
  });

  it('are lifted into documents that were stored before there were any', () => {
    const { lightAndShadow, values: old, ...rest } = document;
    const { thresholds, ...without } = old;
    expect([lightAndShadow.corrections, thresholds]).toEqual([[], []]);
    expect(readStudyDocument({ ...rest, version: 1, values: without })).toEqual(document);
    expect(() =>
      studyDocumentSchema.parse({ ...document, values: { ...old, breaks: 'hand' } }),
    ).toThrow(/need a threshold/);
  });
});
