import type { z } from 'zod';
import { mergePolicyOf, type MergePolicy } from '@/contracts/documents/merge-policy';

/**
 * Three-way merging of documents: what one side changed and the other left alone is taken; what
 * both changed alike is taken once; where both changed the same thing differently, `mine` stands
 * and the conflict is named. How each field is merged its schema says. A thing of a list that one
 * side deleted while the other changed it stays: nothing is lost by merging.
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

export type Merge<T> = (base: T, mine: T, theirs: T) => Merged<T>;

/** How documents of a schema are merged. Throws an Error where the schema does not say how a field is. */
export function mergeOf<T>(schema: z.ZodType<T>): Merge<T> {
  const policy = mergePolicyOf(schema);
  return (base, mine, theirs) => {
    const conflicts: Conflict[] = [];
    return { value: mergeAt(policy, base, mine, theirs, [], conflicts) as T, conflicts };
  };
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
  policy: MergePolicy,
  base: unknown,
  mine: unknown,
  theirs: unknown,
  path: string[],
  conflicts: Conflict[],
): unknown {
  if (same(mine, base)) return theirs;
  if (same(theirs, base) || same(mine, theirs)) return mine;
  switch (policy.rule) {
    case 'derived':
      return mine;
    case 'strokes':
      return mergeStrokes(base as Thing[], mine as Thing[], theirs as Thing[]);
    case 'byId':
      return mergeThings(policy.entry, base as Thing[], mine as Thing[], theirs as Thing[], {
        path,
        conflicts,
      });
    case 'union': {
      const { on, options } = policy;
      const kinds = [base, mine, theirs].map((one) => (isRecord(one) ? one[on] : undefined));
      const option = options[String(kinds[0])] as MergePolicy | undefined;
      if (option && kinds.every((kind) => kind === kinds[0]))
        return mergeAt(option, base, mine, theirs, path, conflicts);
      break;
    }
    case 'fields':
      if (isRecord(base) && isRecord(mine) && isRecord(theirs))
        return mergeFields(policy.fields, base, mine, theirs, { path, conflicts });
  }
  conflicts.push({ path, mine, theirs });
  return mine;
}

interface Where {
  path: string[];
  conflicts: Conflict[];
}
type Fields = Record<string, unknown>;
const ONE: MergePolicy = { rule: 'one' };

function mergeFields(
  fields: Readonly<Record<string, MergePolicy>>,
  base: Fields,
  mine: Fields,
  theirs: Fields,
  { path, conflicts }: Where,
): Fields {
  const keys = new Set([...Object.keys(mine), ...Object.keys(theirs)]);
  return Object.fromEntries(
    [...keys].map((key) => [
      key,
      mergeAt(fields[key] ?? ONE, base[key], mine[key], theirs[key], [...path, key], conflicts),
    ]),
  );
}

interface Thing {
  id: string;
}

/** What both left, then what either drew: theirs first, so that one's own lie on top. */
function mergeStrokes(base: Thing[], mine: Thing[], theirs: Thing[]): Thing[] {
  const [known, my, their] = [base, mine, theirs].map((list) => new Set(list.map(({ id }) => id)));
  return [
    ...base.filter(({ id }) => my.has(id) && their.has(id)),
    ...theirs.filter(({ id }) => !known.has(id)),
    ...mine.filter(({ id }) => !known.has(id) && !their.has(id)),
  ];
}

function mergeThings(
  entry: MergePolicy,
  base: Thing[],
  mine: Thing[],
  theirs: Thing[],
  { path, conflicts }: Where,
): Thing[] {
  const baseOf = thingsById(base);
  const mineOf = thingsById(mine);
  const theirsOf = thingsById(theirs);
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
    if (my && their) return [mergeAt(entry, was, my, their, [...path, id], conflicts) as Thing];
    const left = (my ?? their) as Thing;
    const deleted = was !== undefined && same(decided(entry, left), decided(entry, was));
    return deleted ? [] : [left];
  });
}

/** A thing without what merely follows from the rest. */
function decided(entry: MergePolicy, thing: Thing): unknown {
  if (entry.rule !== 'fields') return thing;
  return Object.fromEntries(
    Object.entries(thing).filter(([key]) => entry.fields[key]?.rule !== 'derived'),
  );
}

function sameOrder(base: Thing[], changed: Thing[]): boolean {
  const kept = new Set(changed.map((thing) => thing.id));
  const known = new Set(base.map((thing) => thing.id));
  return same(
    base.filter((thing) => kept.has(thing.id)).map((thing) => thing.id),
    changed.filter((thing) => known.has(thing.id)).map((thing) => thing.id),
  );
}

function thingsById(things: Thing[]): Map<string, Thing> {
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
