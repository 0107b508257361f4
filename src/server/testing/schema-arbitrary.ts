import fc, { type Arbitrary } from 'fast-check';
import { z } from 'zod';

/** Values that have broken servers: beyond every bound, of the wrong type, or not text that a store can hold. */
export const hostile: Arbitrary<unknown> = fc.oneof(
  fc.constantFrom<unknown>(
    ...[
      null,
      true,
      '',
      ' ',
      '\0',
      '\ud83d',
      'a\udc00b',
      '__proto__',
      'constructor',
      '٣',
      '𝒳'.repeat(300),
    ],
    ...[0, -1, 0.5, 1e-320, 2 ** 31, 2 ** 53, -(2 ** 63), 1e308, '1e999', 'NaN'],
    ...[
      [],
      {},
      [[]],
      { __proto__: null },
      ['a', 1],
      'x'.repeat(5000),
      '2026-02-30',
      "' or 1 = 1 --",
    ],
  ),
  fc.jsonValue({ maxDepth: 3 }),
  fc.string({ unit: 'binary', maxLength: 60 }),
);

/** Values that a schema takes for the most part; what it checks beyond types is not looked at. */
export function arbitraryOf(schema: z.ZodType): Arbitrary<unknown> {
  if (schema instanceof z.ZodObject)
    return fc.record(
      Object.fromEntries(
        Object.entries(schema.shape).map(([key, part]) => [key, arbitraryOf(part as z.ZodType)]),
      ),
    );
  if (schema instanceof z.ZodArray)
    return fc.array(arbitraryOf(schema.element as z.ZodType), { maxLength: 4 });
  if (schema instanceof z.ZodTuple)
    return fc.tuple(...(schema.def.items as unknown as z.ZodType[]).map(arbitraryOf));
  if (schema instanceof z.ZodNullable)
    return fc.option(arbitraryOf(schema.unwrap() as z.ZodType), { nil: null });
  if (schema instanceof z.ZodOptional)
    return fc.option(arbitraryOf(schema.unwrap() as z.ZodType), { nil: undefined });
  if (schema instanceof z.ZodDefault || schema instanceof z.ZodPrefault)
    return arbitraryOf(schema.unwrap() as z.ZodType);
  if (schema instanceof z.ZodPipe) return arbitraryOf(schema.in as z.ZodType);
  if (schema instanceof z.ZodLazy) return fc.constant({});
  if (schema instanceof z.ZodUnion || schema instanceof z.ZodDiscriminatedUnion)
    return fc.oneof(...(schema.options as z.ZodType[]).map(arbitraryOf));
  if (schema instanceof z.ZodEnum) return fc.constantFrom(...(schema.options as unknown[]));
  if (schema instanceof z.ZodLiteral) return fc.constantFrom(...(schema.values as Set<unknown>));
  if (schema instanceof z.ZodBoolean) return fc.boolean();
  if (schema instanceof z.ZodNumber) return fc.constantFrom(0, 1, 0.5, 2, 5, 11, 0.01);
  if (schema instanceof z.ZodUUID) return fc.uuid();
  if (schema instanceof z.ZodString)
    return fc.oneof(fc.string({ minLength: 1, maxLength: 12 }), fc.uuid());
  return fc.jsonValue({ maxDepth: 2 });
}

/** A value with one place of it, or the whole, made something else; `pick` says which place. */
export function spoilt(value: unknown, pick: number, by: unknown): unknown {
  if (typeof value !== 'object' || value === null) return by;
  const keys = Object.keys(value);
  if (keys.length === 0 || pick % 7 === 0) return by;
  const key = keys[pick % keys.length];
  const part = spoilt((value as Record<string, unknown>)[key], Math.floor(pick / 7), by);
  if (Array.isArray(value)) return value.map((one, i) => (String(i) === key ? part : one));
  return { ...value, [key]: part };
}
