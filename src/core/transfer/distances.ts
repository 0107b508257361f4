import type { Distance, MassDepth } from '../depth/depth-marks';
import { NO_MASS, type Subject } from './subject';

const FAR: Record<Distance, number> = { near: 0, middle: 115, far: 255 };

/** For each pixel how far away its mass lies, 0 near to 255 far; at borders by what it is of either. */
export function distancesOf({ field }: Subject, depths: readonly MassDepth[]): Uint8Array {
  const { first, second, weight } = field;
  const distances = new Uint8Array(first.length);
  for (let pixel = 0; pixel < first.length; pixel++) {
    const mass = first[pixel];
    if (mass === NO_MASS) continue;
    const far = FAR[depths[mass].distance];
    const share = weight[pixel];
    distances[pixel] =
      share === 255
        ? far
        : (share * far + (255 - share) * FAR[depths[second[pixel]].distance]) / 255;
  }
  return distances;
}
