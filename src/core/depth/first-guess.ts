import type { Masses } from '../measure/masses';
import type { Distance, Facing, MassDepth } from './depth-marks';
import { massExtents, type MassExtent } from './mass-extents';

/** A mass is sky only where it takes this part of the upper border … */
const SKY_BORDER = 0.2;
/** … lies above this on the whole (0 is the top), and ends above that … */
const SKY_MIDDLE = 0.45;
const SKY_BASE = 0.8;
/** … and is no darker than this below the median of the picture, in Munsell steps. */
const SKY_DARKER = 0.5;
/** What touches the sky, ends above the ground and is no darker than this below it is sky as well. */
const CLOUD_DARKER = 0.3;
/** A mass is ground where its middle lies below this … */
const GROUND_MIDDLE = 0.5;
/** … and it is at least so many times as wide as high, or takes this part of the lower border. */
const GROUND_FLAT = 3;
const GROUND_BORDER = 0.2;
/** What stands with this part of its lower edge on another upright is one thing with it: a roof on its wall. */
const STANDS_ON = 0.6;
/** Where no ground and no sky show it, the horizon is taken to be here. */
const USUAL_HORIZON = 0.45;
const LOWEST_HORIZON = 0.85;
/** From the horizon (0) to the lower border (1), what stands above the first is far, below the second near. */
const FAR = 0.22;
const NEAR = 0.62;

/**
 * A first guess how far away each mass lies and which way it faces: from where it stands in the picture,
 * as on a plane seen from above, the lower the nearer; sky is light and open to the upper border, ground is
 * wide and low. It knows nothing of things, and of an interior it says little.
 */
export function firstGuess(masses: Masses): MassDepth[] {
  const extents = massExtents(masses);
  const facings = facingsOf(masses, extents);
  const bases = standingBases(extents, facings);
  const horizon = horizonOf(extents, facings);
  // Ground that runs to the lower border begins at one's feet; other ground is as near as its middle.
  const groundStands = ({ lowerBorder, middle }: MassExtent) =>
    lowerBorder >= GROUND_BORDER ? 1 : middle;
  return extents.map((extent, i) => ({
    facing: facings[i],
    distance: distanceOf(
      facings[i],
      facings[i] === 'ground' ? groundStands(extent) : bases[i],
      horizon,
    ),
    byHand: { distance: false, facing: false },
  }));
}

function facingsOf({ masses }: Masses, extents: readonly MassExtent[]): Facing[] {
  const darkestSky = medianValue(masses) - SKY_DARKER;
  const facings = extents.map((extent, i): Facing => {
    const isSky =
      extent.upperBorder >= SKY_BORDER &&
      extent.middle < SKY_MIDDLE &&
      extent.base < SKY_BASE &&
      masses[i].value >= darkestSky;
    if (isSky) return 'sky';
    const isFlat = extent.aspect >= GROUND_FLAT || extent.lowerBorder >= GROUND_BORDER;
    return isFlat && extent.middle > GROUND_MIDDLE ? 'ground' : 'upright';
  });
  const sky = facings.flatMap((facing, i) => (facing === 'sky' ? [i] : []));
  const lowest = horizonOf(extents, facings);
  // Masses come the largest first: what is joined can be joined to in its turn.
  for (const from of sky)
    for (const other of extents[from].beside) {
      if (facings[other] === 'sky' || extents[other].middle >= SKY_MIDDLE) continue;
      if (extents[other].base > lowest || masses[other].value < masses[from].value - CLOUD_DARKER)
        continue;
      facings[other] = 'sky';
      sky.push(other);
    }
  return facings;
}

/** Where each thing stands: the base of the lowest upright that it is one with. */
function standingBases(extents: readonly MassExtent[], facings: readonly Facing[]): number[] {
  const bases = extents.map(({ base }) => base);
  for (let changed = true; changed;) {
    changed = false;
    extents.forEach(({ standsOn }, i) => {
      for (const [other, part] of standsOn) {
        if (part < STANDS_ON || facings[other] !== 'upright' || bases[other] <= bases[i]) continue;
        bases[i] = bases[other];
        changed = true;
      }
    });
  }
  return bases;
}

/** The height at which the ground ends: its upper edge, or how far the sky reaches down. */
function horizonOf(extents: readonly MassExtent[], facings: readonly Facing[]): number {
  const of = (facing: Facing) => extents.filter((_, i) => facings[i] === facing);
  const ground = of('ground').map(({ top }) => top);
  const sky = of('sky').map(({ base }) => base);
  if (ground.length > 0) return Math.min(LOWEST_HORIZON, ...ground);
  return sky.length > 0 ? Math.min(LOWEST_HORIZON, Math.max(...sky)) : USUAL_HORIZON;
}

/** By where it stands: 0 at the top, 1 at the lower border. */
function distanceOf(facing: Facing, stands: number, horizon: number): Distance {
  if (facing === 'sky') return 'far';
  const below = (stands - horizon) / (1 - horizon);
  return below < FAR ? 'far' : below < NEAR ? 'middle' : 'near';
}

/** The value that half of the picture is darker than, by masses. */
function medianValue(masses: Masses['masses']): number {
  const sorted = [...masses].sort((one, other) => one.value - other.value);
  let passed = 0;
  for (const { share, value } of sorted) {
    passed += share;
    if (passed >= 0.5) return value;
  }
  return sorted.at(-1)?.value ?? 0;
}
