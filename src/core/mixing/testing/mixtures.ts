import { oklchFromOklab } from '../../colour/oklab';
import { valueOfOklab } from '../../colour/value';
import { mixed, paintColour } from '../paint';
import { opticsOf, type Optics } from '../pigment';
import { knownPigment, readMix } from '../read-mix';
import { tubeOf, type Tube } from '../tube';

/** The optics of a mixture written as `PB29:1,PY35:3`. */
export const opticsOfMix = (text: string): Optics =>
  mixed(readMix(text).map(({ pigment, parts }) => ({ optics: opticsOf(pigment), parts })));

/** Value, chroma and hue of thick paint mixed so. */
export function mixOf(text: string): { V: number; C: number; h: number } {
  const colour = paintColour(opticsOfMix(text));
  const { C, h } = oklchFromOklab(colour);
  return { V: valueOfOklab(colour), C, h };
}

export const TWELVE = [
  'PW6',
  'PY35',
  'PY42',
  'PO20',
  'PR108',
  'PR122',
  'PB29',
  'PB15.3',
  'PG7',
  'PBr7-burnt-sienna',
  'PBr7-raw-umber',
  'PV23',
];

/** A tube of usual strength of each pigment. */
export const tubesOf = (ids: readonly string[]): Tube[] =>
  ids.map((id) => tubeOf(id, [knownPigment(id)]));
