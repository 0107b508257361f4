/** Makes a thing when it is first asked for, and keeps it. */
export function once<T>(make: () => T): () => T {
  let made: { value: T } | null = null;
  return () => (made ??= { value: make() }).value;
}

/** Keeps what was last made for a key. */
export function keepLast<K, T>(make: (key: K) => T): (key: K) => T {
  let kept: { key: K; value: T } | null = null;
  return (key) => {
    if (kept?.key !== key) kept = { key, value: make(key) };
    return kept.value;
  };
}
