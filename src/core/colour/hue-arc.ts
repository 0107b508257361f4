/** Whether a hue (degrees, 0–360) lies in the arc from `from` on to before `to`, going up and through 0 where `from` is above `to`. */
export function inHueArc(hue: number, from: number, to: number): boolean {
  return from <= to ? hue >= from && hue < to : hue >= from || hue < to;
}
