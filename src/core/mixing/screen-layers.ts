import { hexFromOklab, oklabFromHex } from '../colour/hex';
import { greyOf } from '../colour/grey-of';
import type { Oklab } from '../colour/oklab';
import { movedColour, NO_MOVES } from '../palette/colour-change';

/** How a layer of colour meets what lies below it. */
export const BLEND_MODES = ['normal', 'multiply', 'screen', 'overlay', 'soft-light'] as const;
export type BlendMode = (typeof BLEND_MODES)[number];

/** An even layer of an opaque picture: its colour, how much of it is laid (0–1), and how it meets what is below. */
export interface ScreenLayer {
  /** `#rrggbb`, encoded sRGB, as a person types it. */
  hex: string;
  opacity: number;
  mode: BlendMode;
}

type Channels = readonly [number, number, number];

/** Of a channel below and one above, each 0–1: what the mode makes of the two. */
const BLENDS: Readonly<Record<BlendMode, (below: number, above: number) => number>> = {
  normal: (_, above) => above,
  multiply: (below, above) => below * above,
  screen: (below, above) => below + above - below * above,
  overlay: (below, above) => (below <= 0.5 ? 2 * below * above : 1 - 2 * (1 - below) * (1 - above)),
  'soft-light': softLight,
};

function softLight(below: number, above: number): number {
  if (above <= 0.5) return below - (1 - 2 * above) * below * (1 - below);
  const rise = below <= 0.25 ? ((16 * below - 12) * below + 4) * below : Math.sqrt(below);
  return below + (2 * above - 1) * (rise - below);
}

/**
 * What layers come to over an opaque base, each channel 0–255 and not rounded. Source: W3C, Compositing and Blending
 * Level 1: separable blend modes over an opaque backdrop, in encoded sRGB.
 */
export function composite(base: string, layers: readonly ScreenLayer[]): Channels {
  return layers
    .reduce<Channels>((below, { hex, opacity, mode }) => {
      const above = channelsOf(hex);
      const blend = BLENDS[mode];
      const at = (i: number) => (1 - opacity) * below[i] + opacity * blend(below[i], above[i]);
      return [at(0), at(1), at(2)];
    }, channelsOf(base))
    .map((channel) => channel * 255) as unknown as Channels;
}

/** Throws a RangeError for what is no `#rrggbb`. */
function channelsOf(hex: string): Channels {
  if (!/^#[0-9a-f]{6}$/i.test(hex)) throw new RangeError(`“${hex}” is no colour as #rrggbb`);
  const at = (i: number) => parseInt(hex.slice(1 + 2 * i, 3 + 2 * i), 16) / 255;
  return [at(0), at(1), at(2)];
}

const hexOf = (channels: Channels): string =>
  `#${channels
    .map((one) =>
      Math.round(Math.min(255, Math.max(0, one)))
        .toString(16)
        .padStart(2, '0'),
    )
    .join('')}`;

/** What each layer of a form is for. */
export const FORM_PARTS = ['base', 'shadow', 'half-tone edge', 'light', 'glaze', 'mute'] as const;
export type FormPart = (typeof FORM_PARTS)[number];

export interface FormLayer {
  part: FormPart;
  layer: ScreenLayer;
  /** What the base comes to under it, `#rrggbb`. */
  comesTo: string;
}

/** Moves that a form makes: Munsell steps, units of temperature, OKLCH chroma. */
const SHADOW = { ...NO_MOVES, value: -2, warmth: -0.2, chroma: -0.01 };
const EDGE = { ...NO_MOVES, value: -0.8, chroma: 0.025 };
const LIGHT = { ...NO_MOVES, value: 1.2, warmth: 0.15, chroma: -0.01 };
const EDGE_OPACITY = 0.6;
const GLAZE_OPACITY = 0.35;
const MUTE_OPACITY = 0.4;

/**
 * A colour as layers for who paints on a screen: the base; a shadow that multiplies it, two steps darker and cooler; an
 * edge of half-tone, stronger; a light that screens it; a glaze of its own hue; and its own grey to mute it, which holds
 * the value where a complement would not.
 */
export function formLayers(colour: Oklab): FormLayer[] {
  const base = hexFromOklab(colour);
  const below = channelsOf(base);
  const toward = (target: Oklab, of: (below: number, wanted: number) => number): string =>
    hexOf(
      channelsOf(hexFromOklab(target)).map(
        (wanted, i) => 255 * of(below[i], wanted),
      ) as unknown as Channels,
    );
  const layers: [FormPart, ScreenLayer][] = [
    ['base', { hex: base, opacity: 1, mode: 'normal' }],
    [
      'shadow',
      {
        hex: toward(movedColour(colour, SHADOW), (own, wanted) => (own > 0 ? wanted / own : 1)),
        opacity: 1,
        mode: 'multiply',
      },
    ],
    [
      'half-tone edge',
      { hex: hexFromOklab(movedColour(colour, EDGE)), opacity: EDGE_OPACITY, mode: 'normal' },
    ],
    [
      'light',
      {
        hex: toward(movedColour(colour, LIGHT), (own, wanted) =>
          own < 1 ? 1 - (1 - wanted) / (1 - own) : 0,
        ),
        opacity: 1,
        mode: 'screen',
      },
    ],
    ['glaze', { hex: base, opacity: GLAZE_OPACITY, mode: 'multiply' }],
    ['mute', { hex: hexFromOklab(greyOf(colour)), opacity: MUTE_OPACITY, mode: 'normal' }],
  ];
  return layers.map(([part, layer]) => ({
    part,
    layer,
    comesTo: hexOf(composite(base, [layer])),
  }));
}

/** OKLab of what a layer makes of the base. */
export const comesToColour = ({ comesTo }: FormLayer): Oklab => oklabFromHex(comesTo)!;
