import fc from 'fast-check';
import { slugs } from './slugs';

describe('names as identifiers', () => {
  it('keep letters of any script, and part what is alike', () => {
    expect(slugs(['Wet slate', 'wet  slate!', '12 reds', '灯りの色', '--'])).toEqual([
      'wet-slate',
      'wet-slate-2',
      'colour-12-reds',
      '灯りの色',
      'colour',
    ]);
  });

  it('are each their own, and begin with a letter', () => {
    fc.assert(
      fc.property(
        fc.array(fc.string({ unit: 'grapheme', maxLength: 20 }), { maxLength: 20 }),
        (names) => {
          const made = slugs(names);
          expect(new Set(made).size).toBe(names.length);
          for (const slug of made) expect(slug).toMatch(/^\p{L}/u);
        },
      ),
    );
  });
});
