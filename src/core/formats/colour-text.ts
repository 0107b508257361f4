import { oklabFromCssLab } from '../colour/css-lab';
import { oklabFromHex } from '../colour/hex';
import { toGamut } from '../colour/gamut';
import { oklabFromOklch, oklabFromRgb, type Oklab } from '../colour/oklab';

/** A colour that was found in some text, and where: from `start` up to before `end`. */
export interface FoundColour {
  colour: Oklab;
  start: number;
  end: number;
}

const NUMBER = String.raw`[-+]?(?:\d+(?:\.\d*)?|\.\d+)(?:e[-+]?\d+)?`;
const PART = String.raw`(?:${NUMBER}(?:%|deg)?|none)`;
/** A hex colour, or one of CSS's colour functions with three parts and perhaps an alpha. */
const COLOUR = new RegExp(
  String.raw`#[0-9a-f]{3,8}(?![0-9a-z])|\b(rgba?|hsla?|oklab|oklch|lab|lch)\(\s*(${PART})[\s,]+(${PART})[\s,]+(${PART})(?:\s*[,/]\s*${PART})?\s*\)`,
  'gi',
);

/**
 * All colours in a text, in their order: `#rgb` and `#rrggbb` (an alpha behind is passed over), `rgb()`, `hsl()`,
 * `lab()`, `lch()`, `oklab()` and `oklch()` as CSS Color 4 writes them. What only looks like a colour is left out.
 */
export function coloursIn(text: string): FoundColour[] {
  const found: FoundColour[] = [];
  for (const match of text.matchAll(COLOUR)) {
    const [whole, kind, ...parts] = match;
    const colour = kind ? fromFunction(kind.toLowerCase(), parts.slice(0, 3)) : fromHex(whole);
    if (colour) found.push({ colour, start: match.index, end: match.index + whole.length });
  }
  return found;
}

function fromHex(text: string): Oklab | null {
  const digits = text.slice(1);
  if (digits.length === 4) return oklabFromHex(digits.slice(0, 3));
  if (digits.length === 8) return oklabFromHex(digits.slice(0, 6));
  return oklabFromHex(digits);
}

function fromFunction(kind: string, parts: readonly string[]): Oklab | null {
  const [one, two, three] = parts.map((part) => (part === 'none' ? '0' : part));
  switch (kind) {
    case 'rgb':
    case 'rgba':
      return bounded(oklabFromRgb({ r: of(one, 255), g: of(two, 255), b: of(three, 255) }));
    case 'hsl':
    case 'hsla':
      return bounded(fromHsl(parseFloat(one), parseFloat(two) / 100, parseFloat(three) / 100));
    case 'oklab':
      return bounded({ L: of(one, 1), a: of(two, 1, 0.4), b: of(three, 1, 0.4) });
    case 'lab':
      return bounded(
        oklabFromCssLab({
          L: 100 * of(one, 100),
          a: 125 * of(two, 125),
          b: 125 * of(three, 125),
        }),
      );
    case 'lch': {
      const chroma = 150 * of(two, 150);
      const hue = (parseFloat(three) * Math.PI) / 180;
      return bounded(
        oklabFromCssLab({
          L: 100 * of(one, 100),
          a: chroma * Math.cos(hue),
          b: chroma * Math.sin(hue),
        }),
      );
    }
    default:
      return bounded(oklabFromOklch({ L: of(one, 1), C: of(two, 1, 0.4), h: parseFloat(three) }));
  }
}

/** A number against the most there is, or a percentage of `whole`. */
function of(text: string, most: number, whole = 1): number {
  const n = parseFloat(text);
  return text.endsWith('%') ? (n / 100) * whole : n / most;
}

/** Nothing beyond what a swatch may be; none for what is no number. */
function bounded({ L, a, b }: Oklab): Oklab | null {
  if (![L, a, b].every(Number.isFinite)) return null;
  const within = { L: Math.min(1, Math.max(0, L)), a, b };
  return Math.abs(a) <= 0.5 && Math.abs(b) <= 0.5 ? within : toGamut(within);
}

/** Source: A. R. Smith, "Color gamut transform pairs", SIGGRAPH 1978, in the form of CSS Color 4. */
function fromHsl(hue: number, saturation: number, lightness: number): Oklab {
  const channel = (n: number) => {
    const k = (((n + hue / 30) % 12) + 12) % 12;
    const spread = saturation * Math.min(lightness, 1 - lightness);
    return lightness - spread * Math.max(-1, Math.min(k - 3, 9 - k, 1));
  };
  return oklabFromRgb({ r: channel(0), g: channel(8), b: channel(4) });
}
