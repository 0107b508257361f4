/** A sheet as marks in millimetres from the upper left: what every plan is drawn as, whoever puts it on paper. */
export interface Drawing {
  /** Of the paper. */
  width: number;
  height: number;
  title: string;
  parts: { name: string; marks: Mark[] }[];
}

/** Colours are `#rrggbb`; null draws nothing. */
export interface Paint {
  fill: string | null;
  stroke: string | null;
  strokeWidth: number;
}

export type Mark =
  /** An SVG path of M, L and Z; where it crosses itself, even parts are left out. */
  | ({ kind: 'path'; d: string } & Paint)
  | ({ kind: 'rect'; x: number; y: number; width: number; height: number } & Paint)
  | {
      kind: 'line';
      x1: number;
      y1: number;
      x2: number;
      y2: number;
      stroke: string;
      strokeWidth: number;
    }
  /** Stands on its base line. */
  | {
      kind: 'text';
      x: number;
      y: number;
      words: string;
      size: number;
      fill: string;
      anchor: Anchor;
    };
export type Anchor = 'start' | 'middle' | 'end';

/** The drawing as an SVG document in millimetres. */
export function svgOf({ width, height, title, parts }: Drawing): string {
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width}mm" height="${height}mm" viewBox="0 0 ${width} ${height}" font-family="'Source Sans 3', 'Helvetica', sans-serif">`,
    `<title>${escaped(title)}</title>`,
    `<rect width="${width}" height="${height}" fill="#ffffff"/>`,
    ...parts.map(
      ({ name, marks }) => `<g data-part="${escaped(name)}">${marks.map(markSvg).join('')}</g>`,
    ),
    '</svg>',
  ].join('\n');
}

function markSvg(mark: Mark): string {
  switch (mark.kind) {
    case 'path':
      return `<path d="${mark.d}" fill-rule="evenodd"${paintSvg(mark)}/>`;
    case 'rect':
      return `<rect x="${n(mark.x)}" y="${n(mark.y)}" width="${n(mark.width)}" height="${n(mark.height)}"${paintSvg(mark)}/>`;
    case 'line':
      return `<line x1="${n(mark.x1)}" y1="${n(mark.y1)}" x2="${n(mark.x2)}" y2="${n(mark.y2)}" stroke="${mark.stroke}" stroke-width="${mark.strokeWidth}"/>`;
    case 'text': {
      const at = mark.anchor === 'start' ? '' : ` text-anchor="${mark.anchor}"`;
      return `<text x="${n(mark.x)}" y="${n(mark.y)}" font-size="${n(mark.size)}" fill="${mark.fill}"${at}>${escaped(mark.words)}</text>`;
    }
  }
}

function paintSvg({ fill, stroke, strokeWidth }: Paint): string {
  const line = stroke === null ? '' : ` stroke="${stroke}" stroke-width="${strokeWidth}"`;
  return ` fill="${fill ?? 'none'}"${line}`;
}

const ESCAPES: Record<string, string> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' };

function escaped(words: string): string {
  // Control characters have no place in XML.
  return words.replace(/[\u0000-\u001f\u007f]/g, ' ').replace(/[&<>"]/g, (c) => ESCAPES[c]);
}

function n(number: number): string {
  return String(Math.round(number * 100) / 100);
}
