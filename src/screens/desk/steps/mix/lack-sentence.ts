import { pigmentOf } from '@/core/mixing/pigments/pigments';
import type { MissingTubeAnswer } from '@/contracts/desk-query/mix-queries';

/** A mixture that misses its colour by more (CIEDE2000) is out of reach. */
export const OUT_OF_REACH = 3;
/** A tube helps if it brings a colour nearer by this: CIEDE2000. */
const HELPS = 1;

/** What would bring a colour that the palette misses within reach; `missing` is null until that is known. */
export function lackSentence(
  { name, miss }: { name: string; miss: number },
  missing: MissingTubeAnswer | null,
): string {
  const words = `“${name}” is missed by ΔE ${miss.toFixed(1)}`;
  if (!missing) return `${words}.`;
  const { own, more } = missing;
  if (own < miss - HELPS)
    return `“${name}” is out of reach of the palette alone, and within ΔE ${own.toFixed(1)} with what is kept off it.`;
  if (more && more.miss < own - HELPS)
    return `${words}; ${more.pigment} (${pigmentOf(more.pigment)?.names[0]}) would bring it to ${more.miss.toFixed(1)}.`;
  return `${words}, and no one tube more would help much.`;
}
