/** A box of a drawing's own units. */
export interface ViewBox {
  x: number;
  y: number;
  width: number;
  height: number;
}

/** How large a drawing is: in CSS pixels, and what of its own units it shows. */
export interface DrawingSize {
  width: number;
  height: number;
  box: ViewBox;
}

const LENGTH = /^([-+]?(?:\d+(?:\.\d*)?|\.\d+)(?:e[-+]?\d+)?)(px|pt|pc|mm|cm|in|q)?$/i;
/** CSS pixels of a unit. */
const UNITS: Readonly<Record<string, number>> = {
  px: 1,
  pt: 96 / 72,
  pc: 16,
  mm: 96 / 25.4,
  cm: 96 / 2.54,
  in: 96,
  q: 96 / 101.6,
};
/** What a drawing without any size is drawn at, as CSS has it. */
const DEFAULT = { width: 300, height: 150 };
const MAX_SIDE = 1e6;

/** A drawing's own size in CSS pixels, and the box of its units, from the attributes of its first element. */
export function sizeOf(attributes: Readonly<Record<string, string>>): DrawingSize {
  const numbers = (attributes.viewBox ?? '')
    .trim()
    .split(/[\s,]+/)
    .map(Number);
  const view =
    numbers.length === 4 && numbers.every(Number.isFinite) && numbers[2] > 0 && numbers[3] > 0
      ? { x: numbers[0], y: numbers[1], width: numbers[2], height: numbers[3] }
      : null;
  const width = lengthOf(attributes.width);
  const height = lengthOf(attributes.height);
  const ratio = view ? view.width / view.height : null;
  const size = {
    width: width ?? (height && ratio ? height * ratio : (view?.width ?? DEFAULT.width)),
    height: height ?? (width && ratio ? width / ratio : (view?.height ?? DEFAULT.height)),
  };
  return {
    width: Math.min(MAX_SIDE, size.width),
    height: Math.min(MAX_SIDE, size.height),
    box: view ?? { x: 0, y: 0, ...size },
  };
}

function lengthOf(text: string | undefined): number | null {
  const match = LENGTH.exec((text ?? '').trim());
  if (!match) return null;
  const length = Number(match[1]) * UNITS[(match[2] ?? 'px').toLowerCase()];
  return length > 0 ? length : null;
}
