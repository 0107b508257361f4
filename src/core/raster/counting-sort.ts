const STEPS = 10_000;

/**
 * The order of some keys of 0 to 1 from small to large, by counting sort in ten thousandths: keys
 * nearer than that keep their order.
 */
export function countingSort(keys: ArrayLike<number>): Uint32Array {
  const steps = new Uint16Array(keys.length);
  const starts = new Uint32Array(STEPS + 1);
  for (let i = 0; i < keys.length; i++) {
    steps[i] = Math.min(STEPS - 1, Math.round(keys[i] * STEPS));
    starts[steps[i] + 1]++;
  }
  for (let step = 1; step <= STEPS; step++) starts[step] += starts[step - 1];
  const order = new Uint32Array(keys.length);
  for (let i = 0; i < keys.length; i++) order[starts[steps[i]]++] = i;
  return order;
}
