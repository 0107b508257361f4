/** The cloth of the cabins' seats: woven ground, lozenges and stripes; a tile whose edges meet. */
const SIDE = 160;

const lozenge = (x: number, y: number, wide: number, high: number) =>
  `<path d="M${x} ${y - high}L${x + wide} ${y}L${x} ${y + high}L${x - wide} ${y}z"/>`;
const corners = [
  [0, 0],
  [SIDE, 0],
  [SIDE, SIDE],
  [0, SIDE],
] as const;
const middle = SIDE / 2;
const everywhere = (wide: number, high: number) =>
  [...corners, [middle, middle] as const].map(([x, y]) => lozenge(x, y, wide, high)).join('');

const bars = [20, 60, 100, 140].map((x) => `<path d="M${x} 0V${SIDE}"/>`).join('');
const dashes = [40, 120]
  .flatMap((x) => [0, middle, SIDE].map((y) => lozenge(x, y, 7, 14)))
  .join('');

export function seatClothSvg(): string {
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${SIDE}" height="${SIDE}" viewBox="0 0 ${SIDE} ${SIDE}">
  <title>Seat cloth</title>
  <defs>
    <pattern id="weave" width="8" height="8" patternUnits="userSpaceOnUse">
      <rect width="8" height="8" fill="hsl(212, 46%, 21%)"/>
      <path d="M0 0h4v4h-4zM4 4h4v4h-4z" fill="hsl(211, 38%, 28%)"/>
    </pattern>
    <linearGradient id="sheen" x1="0" y1="0" x2="0" y2="1">
      <stop offset="0" stop-color="#c4562f"/>
      <stop offset="1" style="stop-color: #9c3d28"/>
    </linearGradient>
  </defs>
  <rect width="${SIDE}" height="${SIDE}" fill="url(#weave)"/>
  <g id="bars" stroke="#4f7f83" stroke-width="5">${bars}</g>
  <g id="lozenges" fill="url(#sheen)">${everywhere(34, 52)}</g>
  <g id="hearts" color="#e3b34c"><g fill="currentColor">${everywhere(20, 31)}</g></g>
  <g id="eyes" style="fill:rgb(34 30 44)">${everywhere(9, 14)}</g>
  <g id="buds" fill="rgb(91%, 86%, 74%)">${dashes}</g>
</svg>
`;
}
