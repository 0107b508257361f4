import type { Pigment } from '../pigment';
import { BLACKS } from './blacks';
import { BLUES } from './blues';
import { EARTHS } from './earths';
import { GREENS } from './greens';
import { REDS } from './reds';
import { VIOLETS } from './violets';
import { WHITES } from './whites';
import { YELLOWS } from './yellows';

/** Every pigment that is known, from white by way of the wheel to black. */
export const PIGMENTS: readonly Pigment[] = [
  ...WHITES,
  ...YELLOWS,
  ...REDS,
  ...VIOLETS,
  ...BLUES,
  ...GREENS,
  ...EARTHS,
  ...BLACKS,
];

const BY_ID = new Map(PIGMENTS.map((pigment) => [pigment.id.toLowerCase(), pigment]));

/** A pigment by its Colour Index name, with or without spaces, `PB15:3` as well as `PB15.3`; null for none. */
export function pigmentOf(name: string): Pigment | null {
  const id = name.replaceAll(/\s+/g, '').replace(':', '.').toLowerCase();
  return BY_ID.get(ALIASES[id] ?? id) ?? null;
}

/** What tints are made with. */
export const TITANIUM_WHITE: Pigment = knownWhite();

function knownWhite(): Pigment {
  const white = PIGMENTS.find(({ id }) => id === 'PW6');
  if (!white) throw new Error('Titanium white is missing');
  return white;
}

const ALIASES: Partial<Record<string, string>> = {
  nr9: 'pr83',
  'pv19-violet': 'pv19',
};

/** Variants of a name that stands for several pigments, as PBr7 does. */
export function variantsOf(name: string): string[] {
  const stem = `${name.replaceAll(/\s+/g, '').toLowerCase()}-`;
  return PIGMENTS.filter(({ id }) => id.toLowerCase().startsWith(stem)).map(({ id }) => id);
}
