const segmenter = new Intl.Segmenter(undefined, { granularity: 'grapheme' });

/** A text that every store and file can hold: without NUL, and without surrogates that are not in pairs. */
export function wellFormedText(text: string): string {
  return text.replace(/\0|\p{Surrogate}/gu, '');
}

/** The start of a text, at most `max` UTF-16 code units long, that ends between two graphemes. */
export function cutText(text: string, max: number): string {
  if (text.length <= max) return wellFormedText(text);
  let end = 0;
  // A grapheme that reaches beyond the cut needs to be seen only as far as it could be kept.
  for (const { index, segment } of segmenter.segment(text.slice(0, max + 1))) {
    if (index + segment.length > max) break;
    end = index + segment.length;
  }
  return wellFormedText(text.slice(0, end));
}
