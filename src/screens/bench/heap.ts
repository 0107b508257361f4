import type { MixingTube } from '@/study/shelf';

/** A part of the pile whose tube is on the shelf. */
export interface Heap {
  tube: MixingTube;
  parts: number;
}
