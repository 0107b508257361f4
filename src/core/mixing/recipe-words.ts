const FRACTIONS: Readonly<Record<number, string>> = {
  0.05: '1⁄20',
  0.1: '1⁄10',
  0.25: '¼',
  0.5: '½',
};

/** An amount as it is measured out. */
export function partWords(parts: number): string {
  return FRACTIONS[parts] ?? String(Math.round(parts * 100) / 100);
}

/** A recipe in a line: "6 Titanium white · 2 Yellow ochre · ½ Ultramarine blue". */
export function recipeWords(parts: readonly { name: string; parts: number }[]): string {
  return parts.map(({ name, parts: amount }) => `${partWords(amount)} ${name}`).join(' · ');
}
