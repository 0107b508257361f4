const NAMES: Record<number, readonly string[]> = {
  2: ['dark', 'light'],
  3: ['dark', 'middle', 'light'],
  4: ['dark', 'half-dark', 'half-light', 'light'],
  5: ['dark', 'half-dark', 'middle', 'half-light', 'light'],
};

/** What each zone is called, from dark to light; past five they are numbered. */
export function zoneNames(count: number): string[] {
  const names = NAMES[count];
  return names
    ? [...names]
    : Array.from({ length: count }, (_, i) =>
        i === 0 ? '1, darkest' : i === count - 1 ? `${count}, lightest` : String(i + 1),
      );
}
