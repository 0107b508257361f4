import { valueOfOklab } from '@/core/colour/value';
import type { TraySwatch } from '@/contracts/study';
import { useDocument } from '../../../desk-store';

/** The palette's swatches, light before dark. */
export function useLightFirst(): TraySwatch[] {
  const swatches = useDocument((document) => document.palette.swatches);
  return swatches.toSorted((one, other) => valueOfOklab(other.colour) - valueOfOklab(one.colour));
}
