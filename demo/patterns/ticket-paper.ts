/** The paper that tickets of the cable railway are printed on: a tile whose waves and holes meet at its edges. */
const WIDTH = 240;
const HEIGHT = 160;
const WAVES = 16;

function wave(n: number): string {
  const y = (n + 0.5) * (HEIGHT / WAVES);
  const rise = n % 2 === 0 ? 7 : -7;
  const arcs = Array.from({ length: 4 }, (_, k) => {
    const x = k * 60;
    return `C${x + 20} ${y - rise} ${x + 40} ${y + rise} ${x + 60} ${y}`;
  }).join('');
  return `<path class="wave ${n % 4 === 1 ? 'strong' : ''}" d="M0 ${y}${arcs}"/>`;
}

const holes = Array.from({ length: 8 }, (_, i) => {
  const y = 10 + i * 20;
  return `<circle cx="0" cy="${y}" r="3.4"/><circle cx="${WIDTH}" cy="${y}" r="3.4"/>`;
}).join('');

/** A cabin on its cable, its windows in another colour than its body. */
const CABIN = `<symbol id="cabin" viewBox="0 0 60 60">
    <path d="M0 12 60 4" stroke="#39463a" stroke-width="1.6" fill="none"/>
    <path d="M28 8h4v12h-4z" fill="#39463a"/>
    <path d="M10 20h40c4 0 5 4 5 8v16c0 6-4 9-9 9H14c-5 0-9-3-9-9V28c0-4 1-8 5-8z" fill="currentColor"/>
    <path d="M12 26h10v12H12zM25 26h10v12H25zM38 26h10v12H38z" fill="#f6f1da"/>
    <path d="M6 43h48v3H6z" fill="#f6f1da" fill-opacity="0.7"/>
  </symbol>`;

export function ticketPaperSvg(): string {
  return `<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" width="${WIDTH}" height="${HEIGHT}" viewBox="0 0 ${WIDTH} ${HEIGHT}">
  <title>Ticket paper</title>
  <style>
    .paper { fill: #e6e4c6 }
    .wave { fill: none; stroke: #b3c199; stroke-width: 1.6 }
    .wave.strong { stroke: #8ba37c }
    .band { fill: #d9a441 }
    .hole > circle { fill: #fbf8e9 }
  </style>
  <defs>
  ${CABIN}
  </defs>
  <rect class="paper" width="${WIDTH}" height="${HEIGHT}"/>
  <g id="waves">${Array.from({ length: WAVES }, (_, n) => wave(n)).join('')}</g>
  <g id="bands"><rect class="band" y="70" width="${WIDTH}" height="5"/><rect class="band" y="150" width="${WIDTH}" height="5"/></g>
  <g id="cabins">
    <use href="#cabin" x="26" y="6" width="62" height="62" color="#b4492f"/>
    <use xlink:href="#cabin" x="146" y="84" width="62" height="62" style="color: #2f6b6d"/>
  </g>
  <g class="hole">${holes}</g>
</svg>
`;
}
