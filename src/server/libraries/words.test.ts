import fc from 'fast-check';
import { wordsOf } from './words';

describe('the words a text is found by', () => {
  it('are in lower case, without accents, each once', () => {
    expect(wordsOf('Ébauche, ÉBAUCHE nº 7!', 'for plate 3')).toEqual([
      'ebauche',
      'no',
      '7',
      'for',
      'plate',
      '3',
    ]);
    expect(wordsOf('Ölfarbe Ночь Ελληνικό')).toEqual(['olfarbe', 'ночь', 'ελληνικο']);
  });

  it('are parted in scripts without spaces, and keep vowel signs that are letters', () => {
    expect(wordsOf('灯りの色').length).toBeGreaterThan(1);
    expect(wordsOf('हरा रंग')).toEqual(['हरा', 'रंग']);
    expect(wordsOf('غروب، شام')).toEqual(['غروب', 'شام']);
  });

  it('hold nothing that a query would read as an operator, however a text is written', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary', maxLength: 60 }), (text) => {
        for (const word of wordsOf(text)) {
          expect(word).toMatch(/^[\p{L}\p{N}\p{M}]+$/u);
          expect(word.length).toBeLessThanOrEqual(60);
        }
      }),
    );
  });

  it('are the same for all ways of writing one sign', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme', maxLength: 30 }), (text) => {
        expect(wordsOf(text.normalize('NFD'))).toEqual(wordsOf(text.normalize('NFC')));
      }),
    );
  });
});
