import { oklchFromOklab } from '@/core/colour/oklab';
import { NEUTRAL_CHROMA } from '@/core/colour/intensity';
import { PAINTERS_WHEEL, wheelPosition } from '@/core/colour/wheel';
import type { Swatch } from '@/contracts/library';

export const SWATCH_ORDERS = [
  'dark to light',
  'by family',
  'by name',
  'largest share first',
] as const;
export type SwatchOrder = (typeof SWATCH_ORDERS)[number];

/** Swatches in an order; what it can't tell apart stays as it was. Neutrals come after all families. */
export function sortedSwatches(swatches: readonly Swatch[], order: SwatchOrder): Swatch[] {
  const sorted = [...swatches];
  switch (order) {
    case 'dark to light':
      return sorted.sort((one, other) => one.colour.L - other.colour.L);
    case 'by name':
      return sorted.sort((one, other) =>
        one.name.localeCompare(other.name, undefined, { numeric: true }),
      );
    case 'largest share first':
      return sorted.sort((one, other) => (other.share ?? 0) - (one.share ?? 0));
    case 'by family':
      return sorted.sort((one, other) => familyPlace(one) - familyPlace(other));
  }
}

function familyPlace({ colour }: Swatch): number {
  const { C } = oklchFromOklab(colour);
  if (C < NEUTRAL_CHROMA) return 12 + colour.L;
  return wheelPosition(PAINTERS_WHEEL.hueOf(colour), PAINTERS_WHEEL);
}
