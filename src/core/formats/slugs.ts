/**
 * Names as identifiers, each its own: letters and digits of any script kept, the rest made hyphens. None
 * begins with a digit or a hyphen, so that style sheets take them and JSON keeps their order.
 */
export function slugs(names: readonly string[]): string[] {
  const taken = new Set<string>();
  return names.map((name) => {
    const bare = name
      .normalize('NFC')
      .toLowerCase()
      .replace(/[^\p{L}\p{N}\p{M}]+/gu, '-')
      .replace(/^-+|-+$/g, '')
      .slice(0, 60);
    const start = /^\p{L}/u.test(bare) ? bare : `colour${bare ? `-${bare}` : ''}`;
    let slug = start;
    for (let n = 2; taken.has(slug); n++) slug = `${start}-${n}`;
    taken.add(slug);
    return slug;
  });
}
