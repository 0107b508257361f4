const MAX_LETTERS = 60;
const segmenter = new Intl.Segmenter(undefined, { granularity: 'word' });

/** Marks that Latin, Greek and Cyrillic letters may carry; the vowel signs of other scripts are letters to their readers. */
const MARKS = /[\u0300-\u036f]/g;

/** The words of a text as they are searched: in lower case, without accents, each once. Knows scripts without spaces. */
export function wordsOf(...texts: readonly string[]): string[] {
  const words = new Set<string>();
  for (const text of texts)
    for (const { segment, isWordLike } of segmenter.segment(folded(text))) {
      // A segment may hold what joins words, such as the point in "no.7".
      if (isWordLike)
        for (const part of segment.split(/[^\p{L}\p{N}\p{M}]+/u))
          if (part) words.add(part.slice(0, MAX_LETTERS));
    }
  return [...words];
}

/** The same text for all ways of writing it. */
function folded(text: string): string {
  return text.normalize('NFKD').replace(MARKS, '').toLowerCase().normalize('NFC');
}
