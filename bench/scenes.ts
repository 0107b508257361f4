import { bytesFromOklab } from '../src/core/colour/hex';
import { maxChroma } from '../src/core/colour/gamut';
import { oklabDistance, oklabFromOklch, type Oklab } from '../src/core/colour/oklab';
import { pictureOf, type Picture } from '../src/core/picture/picture';
import { randomFrom } from '../src/core/seeded';

/** A colour that a picture was made of, and how much of it has that colour. */
export interface Mass {
  /** On average. */
  colour: Oklab;
  share: number;
  /** What it turns through from shadow to light, where it is shaded: any of them stands for it. */
  shades?: Oklab[];
}

export interface Scene {
  name: string;
  picture: Picture;
  /** The small strong colours that a palette should not lose. */
  accents: Mass[];
}

/** What `science.md` calls an accent, of masses: 0.3–3 %, chroma 0.06 over the mean, 0.10 from all that is larger. */
export function accentsAmong(masses: readonly Mass[]): Mass[] {
  const chroma = ({ a, b }: Oklab) => Math.hypot(a, b);
  const all = masses.reduce((sum, { share }) => sum + share, 0);
  const mean = masses.reduce((sum, { colour, share }) => sum + chroma(colour) * share, 0) / all;
  return masses.filter(
    (one) =>
      one.share >= 0.003 &&
      one.share <= 0.03 &&
      chroma(one.colour) >= mean + 0.06 &&
      masses.every(
        (other) => other.share <= one.share || oklabDistance(one.colour, other.colour) >= 0.1,
      ),
  );
}

const WIDTH = 640;
const HEIGHT = 480;

/**
 * A made-up picture: a dozen masses under a light that falls off, their colours drifting within, grain
 * over all, and one to three small accents. Muted like what people study, not like confetti. `accents`
 * are flat discs, or balls that turn softly from light into shadow, down to the dull.
 */
export function generated(seed: number, accents: 'flat' | 'shaded' = 'flat'): Scene {
  const isShaded = accents === 'shaded';
  const random = randomFrom(seed);
  const between = (low: number, high: number) => low + (high - low) * random();
  const ground = between(0, 360);
  const colourful = between(0.01, 0.07);
  const sites = Array.from({ length: 12 }, () => {
    const L = between(0.2, 0.92);
    const h = ground + (random() < 0.6 ? between(-40, 40) : between(140, 220));
    return {
      x: random() * WIDTH,
      y: random() * HEIGHT,
      L,
      h,
      C: Math.min(between(0.3, 1.6) * colourful, 0.9 * maxChroma(L, h)),
    };
  });
  const discs = Array.from({ length: 1 + Math.floor(random() * 3) }, () => {
    const L = between(0.45, 0.75);
    const h = between(0, 360);
    return {
      x: between(0.1, 0.9) * WIDTH,
      y: between(0.1, 0.9) * HEIGHT,
      radius: Math.sqrt((between(0.004, 0.025) * WIDTH * HEIGHT) / Math.PI),
      colour: oklabFromOklch({
        L,
        C: Math.min(isShaded ? between(0.1, 0.17) : between(0.13, 0.2), 0.95 * maxChroma(L, h)),
        h,
      }),
    };
  });
  const tilt = between(-0.12, 0.12);
  const drift = between(-25, 25);
  const grain = between(0.004, 0.02);
  const data = new Uint8ClampedArray(WIDTH * HEIGHT * 4);
  const owned = new Map<number, { L: number; a: number; b: number; count: number }>();
  for (let y = 0; y < HEIGHT; y++)
    for (let x = 0; x < WIDTH; x++) {
      const disc = discs.findIndex((one) => Math.hypot(x - one.x, y - one.y) < one.radius);
      let owner = -1 - disc;
      let colour: Oklab;
      if (disc >= 0) {
        const { x: cx, y: cy, radius, colour: plain } = discs[disc];
        colour = isShaded
          ? shaded(plain, lightOnBall((x - cx) / radius, (y - cy) / radius))
          : plain;
      } else {
        let nearest = Infinity;
        sites.forEach((site, i) => {
          const away = Math.hypot(x - site.x, (y - site.y) * 1.3);
          if (away < nearest) {
            nearest = away;
            owner = i;
          }
        });
        const { L, C, h } = sites[owner];
        const light = tilt * (x / WIDTH - 0.5) + 0.05 * Math.sin(y / 40 + owner);
        colour = oklabFromOklch({ L: L + light, C, h: h + drift * (y / HEIGHT - 0.5) });
      }
      const noisy = () => grain * (random() + random() + random() - 1.5);
      const sum = owned.get(owner) ?? { L: 0, a: 0, b: 0, count: 0 };
      sum.L += colour.L;
      sum.a += colour.a;
      sum.b += colour.b;
      sum.count++;
      owned.set(owner, sum);
      const seen = { L: colour.L + 2 * noisy(), a: colour.a + noisy(), b: colour.b + noisy() };
      data.set([...bytesFromOklab(seen), 255], (y * WIDTH + x) * 4);
    }
  const masses = Array.from(owned.values(), ({ L, a, b, count }) => ({
    colour: { L: L / count, a: a / count, b: b / count },
    share: count / (WIDTH * HEIGHT),
  }));
  return {
    name: `made up ${seed}`,
    picture: pictureOf(WIDTH, HEIGHT, data),
    accents: accentsAmong(masses).map((accent) => ({
      ...accent,
      shades: isShaded ? SHADES.map((light) => shaded(accent.colour, light)) : undefined,
    })),
  };
}

/** What shades of the mean a ball has much of. */
const SHADES = [0.7, 0.8, 0.9, 1, 1.1, 1.2];

/** Light on a ball from the upper left, against its mean: 0.45 to about 1.35. */
function lightOnBall(x: number, y: number): number {
  const z = Math.sqrt(Math.max(0, 1 - x * x - y * y));
  return 0.45 + 0.9 * Math.max(0, -0.5 * x - 0.6 * y + 0.62 * z);
}

/** OKLab is a cube root of light: what dims a colour scales all of it alike. */
function shaded({ L, a, b }: Oklab, light: number): Oklab {
  return { L: L * light, a: a * light, b: b * light };
}
