import { oklabDistance, type Oklab } from '../colour/oklab';
import type { ColourHistogram } from '../picture/colour-histogram';

/** What makes an accent: how much there is of it, how far its chroma stands out, how far it is from all that is larger. */
const MIN_SHARE = 0.0025;
const MAX_SHARE = 0.034;
const STANDS_OUT = 0.05;
const APART = 0.075;
/** Accents that are nearer to each other than this are one: a red in its light and its shade. */
const ACCENT_RADIUS = 0.1;
/** Colours this near to a heavier one belong to its cluster, in OKLab. */
const CLUSTER_RADIUS = 0.06;
/**
 * Colours that light alone parts are one accent: nearer than this in a and b once both are brought to one
 * lightness. Lightness counts a little, or a black would be the shadow of every colour.
 */
const SHADE_RADIUS = 0.08;
const SHADE_LIGHTNESS = 0.6;
const LIGHTNESS_WEIGHT = 0.1;
/** Below these a colour's hue is that of the grain, whatever it would be in more light. */
const MIN_SHADE_LIGHTNESS = 0.15;
const MIN_SHADE_CHROMA = 0.04;
/** Smaller clusters are edges and grain, and count for nothing. */
const MIN_CLUSTER_SHARE = 0.0002;
/** Smaller ones may be a shade of an accent, and are none themselves. */
const MIN_HEAD_SHARE = 0.001;
const MAX_ACCENTS = 6;

export interface Accent {
  colour: Oklab;
  share: number;
  /** Distance from the nearest colour that there is more of, in OKLab. */
  apart: number;
}

interface Cluster {
  share: number;
  colour: Oklab;
}

/**
 * The small strong colours that an average loses: 0.3 to 3 % of the picture, with a chroma 0.06
 * over the mean and 0.10 away from every colour that there is more of, each with some allowance for
 * soft edges. A thing that turns from light into shadow is one, though it spreads over many cells and its
 * shadow is dull. The most telling first: much of it, far from all else.
 */
export function findAccents(histogram: ColourHistogram): Accent[] {
  const { share, oklab } = histogram;
  let mean = 0;
  for (let k = 0; k < share.length; k++)
    mean += share[k] * Math.hypot(oklab[k * 3 + 1], oklab[k * 3 + 2]);
  const clusters = clusterColours(histogram);
  const standsOut = ({ colour }: Cluster) => Math.hypot(colour.a, colour.b) >= mean + STANDS_OUT;
  // In more light it would: the shadow of what stands out may belong to it.
  const mayStandOut = ({ colour: { L, a, b } }: Cluster) =>
    L >= MIN_SHADE_LIGHTNESS &&
    Math.hypot(a, b) >= MIN_SHADE_CHROMA &&
    (Math.hypot(a, b) * SHADE_LIGHTNESS) / L >= mean + STANDS_OUT;
  const larger = (than: Cluster) => clusters.filter((cluster) => cluster.share > than.share);
  const apart = (cluster: Cluster, others: readonly Cluster[]) =>
    Math.min(1, ...others.map((other) => oklabDistance(cluster.colour, other.colour)));

  const small = clusters.filter(({ share: of }) => of <= MAX_SHARE);
  const accentsAmong = (groups: readonly Cluster[]): Accent[] =>
    groups
      .filter(standsOut)
      .map((cluster) => ({
        ...cluster,
        apart: apart(
          cluster,
          larger(cluster).filter((other) => other.share > MAX_SHARE || !standsOut(other)),
        ),
      }))
      .filter(
        (cluster) =>
          cluster.share >= MIN_SHARE && cluster.share <= MAX_SHARE && cluster.apart >= APART,
      );
  const isOne = (one: Oklab, other: Oklab) => isNear(one, other) || areShades(one, other);
  const candidates = small.filter((cluster) => standsOut(cluster) || mayStandOut(cluster));
  const shaded = accentsAmong(mergeClusters(candidates, isOne));
  // With its shades an accent may run into a ground of its hue: then it stands for itself.
  const heads = small.filter((cluster) => cluster.share >= MIN_HEAD_SHARE && standsOut(cluster));
  const plain = accentsAmong(mergeClusters(heads, isNear)).filter(({ colour }) =>
    shaded.every((accent) => !isOne(accent.colour, colour)),
  );
  return [...shaded, ...plain]
    .sort((one, other) => worth(other) - worth(one))
    .slice(0, MAX_ACCENTS);
}

/** Merges each cluster with the largest that is one with it. */
function mergeClusters(
  clusters: readonly Cluster[],
  areOne: (one: Oklab, other: Oklab) => boolean,
): Cluster[] {
  const groups: Cluster[] = [];
  for (const cluster of [...clusters].sort((one, other) => other.share - one.share)) {
    const at = groups.findIndex((group) => areOne(group.colour, cluster.colour));
    if (at < 0) groups.push(cluster);
    else groups[at] = meanOf(groups[at], cluster);
  }
  return groups;
}

const isNear = (one: Oklab, other: Oklab) => oklabDistance(one, other) < ACCENT_RADIUS;

/** Whether two colours could be one in more and in less light: OKLab is a cube root of light, which scales all of it. */
function areShades(one: Oklab, other: Oklab): boolean {
  if (Math.min(one.L, other.L) < MIN_SHADE_LIGHTNESS) return false;
  const scale = SHADE_LIGHTNESS / one.L;
  const otherScale = SHADE_LIGHTNESS / other.L;
  return (
    Math.hypot(
      one.a * scale - other.a * otherScale,
      one.b * scale - other.b * otherScale,
      LIGHTNESS_WEIGHT * (one.L - other.L),
    ) < SHADE_RADIUS
  );
}

function meanOf(one: Cluster, other: Cluster): Cluster {
  const share = one.share + other.share;
  const mix = (a: number, b: number) => (a * one.share + b * other.share) / share;
  return {
    share,
    colour: {
      L: mix(one.colour.L, other.colour.L),
      a: mix(one.colour.a, other.colour.a),
      b: mix(one.colour.b, other.colour.b),
    },
  };
}

function worth({ share, apart }: Accent): number {
  return Math.sqrt(share) * apart;
}

/** Gathers bins around the heaviest that is left, one cluster after another. */
function clusterColours({ share, oklab }: ColourHistogram): Cluster[] {
  const order = Array.from(share.keys()).sort((i, j) => share[j] - share[i] || i - j);
  const clusters: { share: number; at: number; sum: [number, number, number] }[] = [];
  for (const k of order) {
    let cluster = clusters.find(({ at }) => near(oklab, at, k));
    if (!cluster) clusters.push((cluster = { share: 0, at: k, sum: [0, 0, 0] }));
    cluster.share += share[k];
    for (let c = 0; c < 3; c++) cluster.sum[c] += share[k] * oklab[k * 3 + c];
  }
  return clusters
    .filter((cluster) => cluster.share >= MIN_CLUSTER_SHARE)
    .map(({ share: of, sum: [L, a, b] }) => ({
      share: of,
      colour: { L: L / of, a: a / of, b: b / of },
    }));
}

function near(oklab: Float64Array, one: number, other: number): boolean {
  const L = oklab[one * 3] - oklab[other * 3];
  const a = oklab[one * 3 + 1] - oklab[other * 3 + 1];
  const b = oklab[one * 3 + 2] - oklab[other * 3 + 2];
  return L * L + a * a + b * b < CLUSTER_RADIUS ** 2;
}
