import { runsOf } from './runs';
import type { FaceName } from './faces';

/** A line as the outlines of its letters: SVG path data from a base line at `x`, `y`; needs no font where it is drawn. */
export function outlineOf(
  line: string,
  name: FaceName,
  size: number,
  x: number,
  y: number,
): string {
  const paths: string[] = [];
  let across = x;
  for (const { face, glyphs } of runsOf(line, name)) {
    const scale = size / face.font.unitsPerEm;
    glyphs.glyphs.forEach((glyph, i) => {
      const { xAdvance, xOffset, yOffset } = glyphs.positions[i];
      const path = glyph.path
        .scale(scale, -scale)
        .translate(across + xOffset * scale, y - yOffset * scale)
        .toSVG();
      if (path) paths.push(path);
      across += xAdvance * scale;
    });
  }
  return paths.join('');
}
