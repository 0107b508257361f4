/**
 * Three-way merging of documents: what one side changed and the other left alone is taken; what
 * both changed alike is taken once; where both changed the same thing differently, `mine` stands
 * and the conflict is named. Lists of things with an `id` are merged thing by thing, and a thing
 * one side deleted while the other changed it stays: nothing is lost by merging.
 */
export interface Conflict {
  path: string[];
  mine: unknown;
  theirs: unknown;
}

export interface Merged<T> {
  value: T;
  conflicts: Conflict[];
}

/** Objects that only mean something whole: half of one crop and half of another is neither. */
const WHOLE_KEYS = new Set([
  'crop',
  'neutral',
  'colour',
  'area',
  'provenance',
  'values',
  'region',
  'target',
  'settings',
  'follows',
  'kept',
  'only',
  'push',
  'components',
  'parts',
]);

/** What follows from the rest and is put right after a merge: not worth a word to the person. */
const DERIVED_KEYS = new Set(['share']);

export function merge<T>(base: T, mine: T, theirs: T): Merged<T> {
  const conflicts: Conflict[] = [];
  return { value: mergeAt(base, mine, theirs, [], conflicts) as T, conflicts };
}

export function same(one: unknown, other: unknown): boolean {
  if (Object.is(one, other)) return true;
  if (Array.isArray(one) && Array.isArray(other))
    return one.length === other.length && one.every((entry, i) => same(entry, other[i]));
  if (!isRecord(one) || !isRecord(other)) return false;
  const keys = Object.keys(one);
  return (
    keys.length === Object.keys(other).length &&
    keys.every((key) => key in other && same(one[key], other[key]))
  );
}

function mergeAt(
  base: unknown,
  mine: unknown,
  theirs: unknown,
  path: string[],
  conflicts: Conflict[],
): unknown {
  if (same(mine, base)) return theirs;
  if (same(theirs, base) || same(mine, theirs)) return mine;
  const whole = WHOLE_KEYS.has(path[path.length - 1]);
  if (!whole && isThings(base) && isThings(mine) && isThings(theirs))
    return mergeThings(base, mine, theirs, path, conflicts);
  if (!whole && isRecord(base) && isRecord(mine) && isRecord(theirs)) {
    const keys = new Set([...Object.keys(mine), ...Object.keys(theirs)]);
    return Object.fromEntries(
      [...keys].map((key) => [
        key,
        mergeAt(base[key], mine[key], theirs[key], [...path, key], conflicts),
      ]),
    );
  }
  if (!DERIVED_KEYS.has(path[path.length - 1])) conflicts.push({ path, mine, theirs });
  return mine;
}

interface Thing {
  id: string;
}

function mergeThings(
  base: Thing[],
  mine: Thing[],
  theirs: Thing[],
  path: string[],
  conflicts: Conflict[],
): Thing[] {
  const baseOf = byId(base);
  const mineOf = byId(mine);
  const theirsOf = byId(theirs);
  // The order is that of the side that changed it; what only the other side has follows its neighbour.
  const minesOrder = !sameOrder(base, mine);
  const [leading, other] = minesOrder ? [mine, theirs] : [theirs, mine];
  const order = leading.map((thing) => thing.id);
  other.forEach(({ id }, i) => {
    if (order.includes(id)) return;
    const before = i > 0 ? order.indexOf(other[i - 1].id) : -1;
    order.splice(before + 1, 0, id);
  });
  return order.flatMap((id) => {
    const was = baseOf.get(id);
    const my = mineOf.get(id);
    const their = theirsOf.get(id);
    if (my && their) return [mergeAt(was, my, their, [...path, id], conflicts) as Thing];
    const left = (my ?? their) as Thing;
    const deleted = was !== undefined && same(decided(left), decided(was));
    return deleted ? [] : [left];
  });
}

/** A thing without what merely follows from the rest. */
function decided(thing: Thing): unknown {
  return Object.fromEntries(Object.entries(thing).filter(([key]) => !DERIVED_KEYS.has(key)));
}

function sameOrder(base: Thing[], changed: Thing[]): boolean {
  const kept = new Set(changed.map((thing) => thing.id));
  const known = new Set(base.map((thing) => thing.id));
  return same(
    base.filter((thing) => kept.has(thing.id)).map((thing) => thing.id),
    changed.filter((thing) => known.has(thing.id)).map((thing) => thing.id),
  );
}

function byId(things: Thing[]): Map<string, Thing> {
  return new Map(things.map((thing) => [thing.id, thing]));
}

function isRecord(value: unknown): value is Record<string, unknown> {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

function isThings(value: unknown): value is Thing[] {
  return (
    Array.isArray(value) && value.every((entry) => isRecord(entry) && typeof entry.id === 'string')
  );
}

/** The value with theirs in every place of conflict; `value` itself stays as it is. */
export function yieldTo<T>(value: T, conflicts: readonly Conflict[]): T {
  return conflicts.reduce<unknown>(
    (whole, { path, theirs }) => replacedAt(whole, path, theirs),
    value,
  ) as T;
}

/** A copy with one place replaced; a list of things is entered by id. A place that is gone stays gone. */
function replacedAt(whole: unknown, [key, ...rest]: readonly string[], put: unknown): unknown {
  if (key === undefined) return put;
  if (isThings(whole))
    return whole.map((thing) => (thing.id === key ? replacedAt(thing, rest, put) : thing));
  return isRecord(whole) ? { ...whole, [key]: replacedAt(whole[key], rest, put) } : whole;
}
