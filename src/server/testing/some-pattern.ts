import sharp from 'sharp';

/** A drawing of a red ground with a blue square, and one more red that passes for the first. */
export const TWO_SQUARES =
  '<svg xmlns="http://www.w3.org/2000/svg" width="40" height="40"><rect width="40" height="40" fill="#b02020"/><rect id="spot" width="8" height="8" fill="#b22222"/><g id="square"><rect x="10" y="10" width="20" height="20" style="fill:#2040a0"/></g></svg>';

/** Lines that part a square in two, with a gap in the middle. */
export const TWO_PANES =
  '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 100 100"><path d="M2 2H98V98H2zM50 2V48M50 52V98" fill="none" stroke="#101010" stroke-width="3"/></svg>';

/** A picture of three flat colours. */
export const flatPng = () =>
  sharp(
    Buffer.from(
      '<svg xmlns="http://www.w3.org/2000/svg" width="60" height="40" shape-rendering="crispEdges"><rect width="60" height="40" fill="#e0d0a0"/><rect x="10" y="10" width="20" height="20" fill="#305080"/><path d="M35 5h20v30h-20z" fill="#803020"/></svg>',
    ),
  )
    .png()
    .toBuffer();

/** A drawing with everything in it that could run or be fetched. */
export const HOSTILE = `<?xml version="1.0"?><?xml-stylesheet href="http://127.0.0.1:9/a.css"?>
<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" width="40" height="40" onload="window.ran = true">
<script>window.ran = true</script><style>@import "http://127.0.0.1:9/b.css"; rect { fill: #b02020 }</style>
<foreignObject width="9" height="9"><body xmlns="http://www.w3.org/1999/xhtml"><img src="http://127.0.0.1:9/c.png" onerror="window.ran = true"/></body></foreignObject>
<image href="http://127.0.0.1:9/d.png" width="9" height="9"/><a xlink:href="javascript:window.ran = true"><rect width="40" height="40" fill="url(http://127.0.0.1:9/e.svg#f) #b02020"/></a>
<rect x="10" y="10" width="20" height="20" style="fill:#2040a0" onclick="window.ran = true"/></svg>`;
