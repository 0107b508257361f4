import { deskQuerySchema, queryKey, type DeskQuery } from './desk-query';

const SETTINGS = { zones: 4, breaks: 'natural' as const, thresholds: [], squint: 0.01 };

describe('what the Desk asks of its worker', () => {
  it('has one key for equal queries, however they were written, and another for any other', () => {
    const one: DeskQuery = { kind: 'values', settings: SETTINGS, quick: false };
    const other: DeskQuery = {
      quick: false,
      settings: { squint: 0.01, thresholds: [], breaks: 'natural', zones: 4 },
      kind: 'values',
    };
    expect(queryKey(one)).toBe(queryKey(other));
    expect(queryKey({ ...one, quick: true })).not.toBe(queryKey(one));
    expect(queryKey({ ...one, settings: { ...SETTINGS, squint: 0.02 } })).not.toBe(queryKey(one));
    // The order of a list is part of what it says.
    const shares = (colours: { L: number; a: number; b: number }[]) =>
      queryKey({ kind: 'shares', colours });
    const [dark, light] = [0.2, 0.8].map((L) => ({ L, a: 0, b: 0 }));
    expect(shares([dark, light])).not.toBe(shares([light, dark]));
  });

  it('is refused where it is not as agreed', () => {
    for (const wrong of [
      { kind: 'fly' },
      { kind: 'squint', squint: 3, quick: false },
      { kind: 'values', settings: { ...SETTINGS, zones: 99 }, quick: false },
      { kind: 'veil', part: { kind: 'zone', index: -1, settings: SETTINGS } },
      { kind: 'reach', colours: [], wheel: 'painters' },
      { kind: 'mapped', colours: [] },
      null,
    ])
      expect(deskQuerySchema.safeParse(wrong).success).toBe(false);
    expect(deskQuerySchema.safeParse({ kind: 'greys' }).success).toBe(true);
  });
});
