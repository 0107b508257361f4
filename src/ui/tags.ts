/** Tags as typed, with commas between: trimmed, none twice. */
export function splitTags(text: string): string[] {
  const tags = text.split(',').map((tag) => tag.trim().slice(0, 60));
  return [...new Set(tags.filter(Boolean))];
}
