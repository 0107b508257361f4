import { DrawingError } from './drawing-error';
import { labelOutlines } from './outlines';
import type { ClosedRegions } from './closed-regions';
import type { ViewBox } from './view-box';

/** Regions of a drawing of lines that are filled at most: more are hatching. */
export const MAX_REGIONS = 400;
/** The id of the group that the filled regions are in. */
export const REGIONS_ID = 'filled-regions';

/** The paper that regions are filled with before they are given colours: no two alike, all near white. */
export function regionPaper(number: number): string {
  const channels = [number % 8, Math.floor(number / 8) % 8, Math.floor(number / 64) % 8];
  return `#${channels.map((less) => (255 - less).toString(16)).join('')}`;
}

const ROOT = /<(?:[\w.-]+:)?svg\b(?:"[^"]*"|'[^']*'|[^'">])*>/;

/**
 * A drawing of lines with its regions filled below the lines, a path each; every other byte stays. The regions' pixels lie over the
 * whole of the drawing's box. Throws a DrawingError for a drawing that is closed at once, and for too many regions.
 */
export function fillRegions(
  text: string,
  { labels, sizes }: ClosedRegions,
  { width, height }: { width: number; height: number },
  box: ViewBox,
): string {
  if (sizes.length > MAX_REGIONS)
    throw new DrawingError(
      `the lines close off ${sizes.length} regions; ${MAX_REGIONS} can be filled.`,
    );
  const paths = labelOutlines(labels, width, height, sizes.length).map(
    (path, i) => `<path id="region-${i + 1}" fill="${regionPaper(i)}" stroke="none" d="${path}"/>`,
  );
  const scale = [box.width / width, box.height / height].map((n) => Number(n.toPrecision(9)));
  const group = `<g id="${REGIONS_ID}" transform="translate(${box.x} ${box.y}) scale(${scale.join(' ')})" shape-rendering="crispEdges">${paths.join('')}</g>`;
  return insertedBelow(text, group);
}

/** A drawing with its ground laid below all else, in its own units. */
export function groundLaid(text: string, box: ViewBox, hex: string): string {
  const { x, y, width, height } = box;
  return insertedBelow(
    text,
    `<rect x="${x}" y="${y}" width="${width}" height="${height}" fill="${hex}" stroke="none"/>`,
  );
}

function insertedBelow(text: string, group: string): string {
  const root = ROOT.exec(text);
  if (!root || root[0].endsWith('/>')) throw new DrawingError('there is nothing in the drawing.');
  const prefix = /^<([\w.-]+:)svg/.exec(root[0])?.[1] ?? '';
  const own = prefix ? group.replace(/<(\/?)(\w)/g, `<$1${prefix}$2`) : group;
  const at = root.index + root[0].length;
  return text.slice(0, at) + own + text.slice(at);
}
