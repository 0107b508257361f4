/** A window for the upper station, drawn as its leading alone; the hand that drew it left a gap in the cable. */
export function stationGlassSvg(): string {
  const rays = Array.from({ length: 9 }, (_, i) => {
    const angle = Math.PI + (i * Math.PI) / 8;
    const at = (radius: number) =>
      `${(150 + radius * Math.cos(angle)).toFixed(1)} ${(190 + radius * Math.sin(angle)).toFixed(1)}`;
    return `M${at(46)}L${at(126)}`;
  }).join('');
  return `<svg xmlns="http://www.w3.org/2000/svg" width="300" height="400" viewBox="0 0 300 400">
  <title>Window of the upper station</title>
  <g fill="none" stroke="#1d1f22" stroke-width="4" stroke-linejoin="round">
    <path id="frame" d="M12 388V160A138 138 0 0 1 288 160V388Z"/>
    <path id="sun" d="M104 190A46 46 0 0 1 196 190"/>
    <path id="rays" d="${rays}"/>
    <path id="arch" d="M24 190A126 126 0 0 1 276 190"/>
    <path id="sky" d="M12 190H288"/>
    <path id="far-hills" d="M12 232C60 196 96 214 134 236C176 206 232 202 288 240"/>
    <path id="near-hills" d="M12 286C70 244 118 262 160 292C206 262 250 266 284 283"/>
    <path id="meadow" d="M12 338C90 312 190 326 288 346"/>
    <path id="cable" d="M12 214L137 247M143 249L288 288"/>
    <path id="cabin" d="M118 258H176V304H118ZM118 278H176M147 258V278"/>
    <path id="hanger" d="M147 250V258"/>
    <path id="path" d="M96 388C120 358 150 346 132 322M140 388C158 360 184 348 176 326"/>
  </g>
</svg>
`;
}
