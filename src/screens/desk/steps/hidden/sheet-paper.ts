/** A sheet of A4 in pixels, 150 to the inch, lying or standing. */
const LONG = 1754;
const SHORT = 1240;
export const MARGIN = 70;

export interface SheetCanvas {
  canvas: HTMLCanvasElement;
  pen: CanvasRenderingContext2D;
  width: number;
  height: number;
}

export interface Box {
  x: number;
  y: number;
  width: number;
  height: number;
}

export function paperSize(lies: boolean): { width: number; height: number } {
  return lies ? { width: LONG, height: SHORT } : { width: SHORT, height: LONG };
}

/** White paper, with its title in the upper left. */
export function newPaper(title: string, about: string, lies: boolean): SheetCanvas {
  const canvas = document.createElement('canvas');
  Object.assign(canvas, paperSize(lies));
  const pen = canvas.getContext('2d');
  if (!pen) throw new Error('This browser can’t draw a sheet.');
  pen.fillStyle = '#ffffff';
  pen.fillRect(0, 0, canvas.width, canvas.height);
  pen.fillStyle = '#000000';
  pen.textBaseline = 'alphabetic';
  pen.font = `400 40px ${family('--font-serif')}`;
  pen.fillText(fitted(pen, title, canvas.width - 2 * MARGIN), MARGIN, MARGIN + 30);
  pen.font = `400 22px ${family('--font-sans')}`;
  pen.fillText(fitted(pen, about, canvas.width - 2 * MARGIN), MARGIN, MARGIN + 66);
  return { canvas, pen, width: canvas.width, height: canvas.height };
}

/** The largest box of an aspect = width / height within another, at its upper left. */
export function fitInto(aspect: number, { x, y, width, height }: Box): Box {
  const wide = Math.min(width, height * aspect);
  return { x, y, width: wide, height: wide / aspect };
}

/** Words cut short with dots where they are too long for a width. */
export function fitted(pen: CanvasRenderingContext2D, words: string, width: number): string {
  if (pen.measureText(words).width <= width) return words;
  let end = words.length;
  while (end > 1 && pen.measureText(`${words.slice(0, end)} …`).width > width) end--;
  return `${words.slice(0, end).trimEnd()} …`;
}

export function family(variable: '--font-serif' | '--font-sans'): string {
  return getComputedStyle(document.documentElement).getPropertyValue(variable) || 'sans-serif';
}

/** A frame round a box, so that a light picture does not run into the paper. */
export function framed(pen: CanvasRenderingContext2D, { x, y, width, height }: Box): void {
  pen.strokeStyle = '#000000';
  pen.lineWidth = 1;
  pen.strokeRect(x - 0.5, y - 0.5, width + 1, height + 1);
}

export function pngOf(canvas: HTMLCanvasElement): Promise<Blob> {
  return new Promise((resolve, reject) =>
    canvas.toBlob((blob) =>
      blob ? resolve(blob) : reject(new Error('The sheet could not be made into a PNG.')),
    ),
  );
}
