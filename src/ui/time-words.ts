/** Milliseconds as minutes and seconds: "24:59", with hours from 100 minutes on: "1:45:00". Started seconds count. */
export function clockFigures(milliseconds: number): string {
  const seconds = Math.ceil(Math.abs(milliseconds) / 1000);
  const two = (n: number) => String(n).padStart(2, '0');
  const minutes = Math.floor(seconds / 60);
  return minutes < 100
    ? `${minutes}:${two(seconds % 60)}`
    : `${Math.floor(minutes / 60)}:${two(minutes % 60)}:${two(seconds % 60)}`;
}

/** Milliseconds in words: "1 h 20 min", "12 min", "under a minute". */
export function durationWords(milliseconds: number): string {
  const minutes = Math.round(milliseconds / 60_000);
  if (minutes < 1) return 'under a minute';
  if (minutes < 60) return `${minutes} min`;
  const rest = minutes % 60;
  return rest === 0 ? `${Math.floor(minutes / 60)} h` : `${Math.floor(minutes / 60)} h ${rest} min`;
}
