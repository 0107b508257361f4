import fc from 'fast-check';
import { cutText, wellFormedText } from './text';

const anyText = fc.string({ unit: 'binary', maxLength: 60 });
const halves = fc
  .array(fc.constantFrom('a', '\ud83d', '\ude00', '😀', '\0', 'é', 'e\u0301', '👩‍👩‍👧', '\u200d'), {
    maxLength: 30,
  })
  .map((parts) => parts.join(''));
const isWellFormed = (text: string) => !/\0|\p{Surrogate}/u.test(text);

describe('well-formed text', () => {
  it('loses NUL and half signs, and nothing else', () => {
    expect(wellFormedText('a\0b\ud83dc\ude00d 😀')).toBe('abcd 😀');
    fc.assert(
      fc.property(fc.oneof(anyText, halves), (text) => {
        const whole = wellFormedText(text);
        expect(isWellFormed(whole)).toBe(true);
        if (isWellFormed(text)) expect(whole).toBe(text);
      }),
    );
  });
});

describe('cutting', () => {
  it('never cuts through a sign', () => {
    expect(cutText('ab😀', 3)).toBe('ab');
    expect(cutText('ab😀', 4)).toBe('ab😀');
    expect(cutText('xe\u0301', 2)).toBe('x');
    expect(cutText('👩‍👩‍👧', 5)).toBe('');
  });

  it('keeps a start of at most so many units', () => {
    fc.assert(
      fc.property(fc.oneof(anyText, halves), fc.nat(40), (text, max) => {
        const cut = cutText(text, max);
        expect(cut.length).toBeLessThanOrEqual(max);
        expect(isWellFormed(cut)).toBe(true);
        expect(wellFormedText(text).startsWith(cut)).toBe(true);
      }),
    );
  });
});
