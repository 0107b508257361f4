import { cutText } from '@/core/text';

/** Tags or names as typed, with commas between: trimmed, none longer than `most`, none twice. */
export function splitTags(text: string, most = 60): string[] {
  const tags = text.split(',').map((tag) => cutText(tag.trim(), most));
  return [...new Set(tags.filter(Boolean))];
}
