/** Seeded chance: the same seed gives the same picture on every machine. Source: mulberry32, T. Ettinger, 2017 (public domain). */
export type Chance = () => number;

export function chance(seed: number): Chance {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = Math.imul(state ^ (state >>> 15), state | 1);
    t = (t + Math.imul(t ^ (t >>> 7), t | 61)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

/** Value noise, −1 to 1, smooth over one unit. */
export function noise(x: number, y: number, seed: number): number {
  const x0 = Math.floor(x);
  const y0 = Math.floor(y);
  const fx = ease(x - x0);
  const fy = ease(y - y0);
  const top = mix(lattice(x0, y0, seed), lattice(x0 + 1, y0, seed), fx);
  const bottom = mix(lattice(x0, y0 + 1, seed), lattice(x0 + 1, y0 + 1, seed), fx);
  return mix(top, bottom, fy);
}

/** Several octaves of noise, −1 to 1. */
export function cloud(x: number, y: number, seed: number, octaves = 4): number {
  let sum = 0;
  let size = 1;
  let total = 0;
  for (let octave = 0; octave < octaves; octave++) {
    sum += size * noise(x * 2 ** octave, y * 2 ** octave, seed + octave * 101);
    total += size;
    size /= 2;
  }
  return sum / total;
}

export function mix(from: number, to: number, t: number): number {
  return from + (to - from) * t;
}

/** 0 below `from`, 1 above `to`, smooth between; `from` may be the larger. */
export function smooth(from: number, to: number, x: number): number {
  return ease(Math.min(1, Math.max(0, (x - from) / (to - from))));
}

function ease(t: number): number {
  return t * t * (3 - 2 * t);
}

function lattice(x: number, y: number, seed: number): number {
  let h = Math.imul(x, 374761393) ^ Math.imul(y, 668265263) ^ Math.imul(seed, 2246822519);
  h = Math.imul(h ^ (h >>> 13), 1274126177);
  return (((h ^ (h >>> 16)) >>> 0) / 4294967296) * 2 - 1;
}
