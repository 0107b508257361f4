import type { Given } from './drawing-room';

/** How much of a colour that is not pointed at gives way to grey. */
const DIM = 0.84;
const GREY = 0x80;

/** What a drawing is given, all paints but some gone grey. */
export function dimmed(
  { map, laid }: Given,
  paints: readonly { hex: string }[],
  kept: readonly string[],
): Given {
  return {
    map: new Map(
      paints.map(({ hex }) => {
        const now = map.get(hex) ?? hex;
        return [hex, kept.includes(hex) ? now : greyed(now)];
      }),
    ),
    laid: laid && greyed(laid),
  };
}

function greyed(hex: string): string {
  const channels = [1, 3, 5].map((at) => {
    const channel = parseInt(hex.slice(at, at + 2), 16);
    return Math.round(channel + DIM * (GREY - channel))
      .toString(16)
      .padStart(2, '0');
  });
  return `#${channels.join('')}`;
}
