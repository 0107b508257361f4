import type { Colourway } from '@/core/pattern/colourway';
import type { ValueScale } from '@/core/colour/value-scale';
import { stepWords, capital, several } from '@/ui/words';
import type { DrawingRoom } from './drawing-room';

/** What a colourway did to the drawing, in a sentence or two. */
export function colourwayFinding(
  { colours, fallen, inks }: Pick<Colourway, 'colours' | 'fallen' | 'inks'>,
  { painted, nameOf }: Pick<DrawingRoom, 'painted' | 'nameOf'>,
  scale: ValueScale,
): string {
  const many = painted.paints.length;
  const printed = inks ? ` by ${several(inks.inks.length, 'ink')}` : '';
  const begin = `${capital(several(many, 'colour'))} became ${several(colours.length, 'colour')}${printed}`;
  const [worst] = fallen;
  if (!worst) return `${begin}; what stood apart in value still does.`;
  const [one, other] = worst.pair;
  const value = (hex: string) => painted.paints.find((paint) => paint.hex === hex)?.value ?? 0;
  const apart = stepWords(value(one) - value(other), scale);
  const others = fallen.length - 1;
  const more =
    others > 0 ? `, and so ${others === 1 ? 'does' : 'do'} ${several(others, 'more pair')}` : '';
  return `${begin}. ${capital(nameOf(one))} and ${nameOf(other)} stood ${apart} apart and fall together${more}.`;
}
