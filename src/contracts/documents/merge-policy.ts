import { z } from 'zod';

/**
 * How two windows' changes to a field are merged, said where its schema stands:
 * - `asOne`: only means something whole; where both changed it, one of them stands;
 * - `byId`: a list of things with an `id`, merged thing by thing;
 * - `asStrokes`: a row of strokes that never change, the later over the earlier: those of both are kept;
 * - `derived`: follows from the rest and is put right after a merge; no conflict is worth a word.
 * An object without a policy is merged field by field; a plain value is as one.
 */
export type MergeRule = 'one' | 'byId' | 'strokes' | 'derived';

const rules = z.registry<{ rule: MergeRule }>();

const marked =
  (rule: MergeRule) =>
  <S extends z.ZodType>(schema: S): S => {
    rules.add(schema, { rule });
    return schema;
  };

export const asOne = marked('one');
export const byId = marked('byId');
export const asStrokes = marked('strokes');
export const derived = marked('derived');

/** How a value of some schema is merged. */
export type MergePolicy =
  | { rule: 'one' | 'derived' | 'strokes' }
  | { rule: 'byId'; entry: MergePolicy }
  | { rule: 'fields'; fields: Readonly<Record<string, MergePolicy>> }
  /** Field by field while the discriminator is the same on all sides, else as one. */
  | { rule: 'union'; on: string; options: Readonly<Record<string, MergePolicy>> };

const PLAIN = new Set(['string', 'number', 'boolean', 'enum', 'literal', 'int', 'null']);

/** The parts of a schema's definition that are looked at. */
interface Def {
  type: string;
  innerType?: z.ZodType;
  in?: z.ZodType;
  element?: z.ZodType;
  discriminator?: string;
  options?: readonly z.ZodType[];
  getter?: () => z.ZodType;
}

/** The policy of a schema. Throws an Error that names the field where a list or a choice has none. */
export function mergePolicyOf(schema: z.ZodType, path: readonly string[] = []): MergePolicy {
  const def = schema.def as unknown as Def;
  const rule = rules.get(schema)?.rule;
  if (rule === 'byId')
    return { rule, entry: mergePolicyOf(elementOf(schema, path), [...path, '[]']) };
  if (rule) return { rule };
  const inner = def.innerType ?? def.in ?? (def.type === 'lazy' ? def.getter?.() : undefined);
  if (inner) return mergePolicyOf(inner, path);
  if (schema instanceof z.ZodObject)
    return {
      rule: 'fields',
      fields: Object.fromEntries(
        Object.entries(schema.shape as Record<string, z.ZodType>).map(([key, field]) => [
          key,
          mergePolicyOf(field, [...path, key]),
        ]),
      ),
    };
  if (def.discriminator && def.options)
    return { rule: 'union', on: def.discriminator, options: optionsOf(def, path) };
  if (PLAIN.has(def.type)) return { rule: 'one' };
  throw new Error(`how is ${path.join('.') || 'this'} (${def.type}) merged?`);
}

function optionsOf({ discriminator, options }: Def, path: readonly string[]) {
  const found: Record<string, MergePolicy> = {};
  for (const option of options ?? []) {
    const { shape } = option as z.ZodObject<Record<string, z.ZodType>>;
    const literal = shape[discriminator as string] as z.ZodLiteral<string>;
    for (const value of literal.values) found[value] = mergePolicyOf(option, [...path, value]);
  }
  return found;
}

function elementOf(schema: z.ZodType, path: readonly string[]): z.ZodType {
  const def = schema.def as unknown as Def;
  if (def.element) return def.element;
  const inner = def.innerType ?? def.in;
  if (inner) return elementOf(inner, path);
  throw new Error(`${path.join('.')} is no list`);
}
