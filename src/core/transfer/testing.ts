import type { Bytes } from '../colour/hex';
import type { Picture } from '../picture/picture';
import { randomFrom } from '../seeded';
import { paintedBy } from '../testing';

/** A made-up scene: sky, hills, a house with a lit and a shaded wall, ground; with grain and turns of form. */
export function scene(seed: number): Picture {
  const random = randomFrom(seed);
  const colour = () => [40 + random() * 190, 40 + random() * 190, 40 + random() * 190];
  const [sky, hill, lit, shade, ground] = [colour(), colour(), colour(), colour(), colour()];
  const [horizon, left, width] = [40 + random() * 20, 20 + random() * 40, 40 + random() * 20];
  return paintedBy(160, 120, (x, y) => {
    const ridge = horizon + 10 * Math.sin(x / (12 + seed));
    const inHouse = x > left && x < left + width && y > horizon && y < horizon + 45;
    const base = inHouse
      ? x < left + width * 0.55
        ? lit
        : shade
      : y < ridge
        ? sky
        : y < ridge + 25
          ? hill
          : ground;
    const turn = 1 + 0.15 * Math.sin(x / 30) + 0.1 * Math.cos(y / 25) + 0.03 * (random() - 0.5);
    return base.map((channel) =>
      Math.max(0, Math.min(255, Math.round(channel * turn))),
    ) as unknown as Bytes;
  });
}
