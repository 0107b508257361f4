import { z } from 'zod';

/** One value of a view and how an address holds it. */
export interface AddressField<T> {
  initial: T;
  /** Undefined where the address has nothing, or nothing that makes sense. */
  read: (query: URLSearchParams) => T | undefined;
  write: (value: T, query: URLSearchParams) => void;
}

export type AddressFields<V> = { [K in keyof V]: AddressField<V[K]> };

/** A view both ways: out of an address, and into one without what is as at first. */
export interface AddressCodec<V> {
  initial: V;
  read(query: URLSearchParams): V;
  write(view: V, query: URLSearchParams): void;
}

export function addressCodec<V extends object>(fields: AddressFields<V>): AddressCodec<V> {
  const keys = Object.keys(fields) as (keyof V)[];
  const collect = (of: <K extends keyof V>(key: K) => V[K]) =>
    Object.fromEntries(keys.map((key) => [key, of(key)])) as V;
  return {
    initial: collect((key) => fields[key].initial),
    read: (query) => collect((key) => fields[key].read(query) ?? fields[key].initial),
    write: (view, query) => keys.forEach((key) => fields[key].write(view[key], query)),
  };
}

/** The address of a view: what `URLSearchParams` writes, but for commas, which are fit to be read. */
export function addressOf<V>(codec: AddressCodec<V>, view: V): string {
  const query = new URLSearchParams();
  codec.write(view, query);
  return readable(query);
}

export function readable(query: URLSearchParams): string {
  return query.toString().replaceAll('%2C', ',');
}

/** All that stands under a name, to a value and back. */
type TextCodec<T> = z.ZodType<T, string[]>;

function textCodec<T>(
  schema: z.ZodType<T>,
  decode: (texts: string[]) => unknown,
  encode: (value: T) => string[],
): TextCodec<T> {
  return z.codec(z.array(z.string()), schema as z.ZodType<T, T>, {
    decode: decode as (texts: string[]) => T,
    encode,
  });
}

/** A field under one name; what it was called before is still read. */
function named<T>(
  name: string,
  codec: TextCodec<T>,
  initial: T,
  formerNames: readonly string[] = [],
): AddressField<T> {
  const plain = JSON.stringify(z.encode(codec, initial));
  return {
    initial,
    read(query) {
      const own = [name, ...formerNames].find((one) => query.has(one));
      const decoded = own === undefined ? null : z.safeDecode(codec, query.getAll(own));
      return decoded?.success ? decoded.data : undefined;
    },
    write(value, query) {
      const texts = z.encode(codec, value);
      if (JSON.stringify(texts) !== plain) texts.forEach((text) => query.append(name, text));
    },
  };
}

interface Former<T extends string> {
  /** Names that the field had. */
  names?: readonly string[];
  /** What values were called. */
  values?: Readonly<Record<string, T>>;
}

export function oneOf<T extends string>(
  name: string,
  values: readonly T[],
  initial: NoInfer<T>,
  former: Former<T> = {},
): AddressField<T> {
  const codec = textCodec<T>(
    z.enum(values as [T, ...T[]]) as unknown as z.ZodType<T>,
    ([text]) => former.values?.[text] ?? text,
    (value) => [value],
  );
  return named(name, codec, initial, former.names);
}

/** One of some values, or none of them. */
export function anyOf<T extends string>(
  name: string,
  values: readonly T[],
): AddressField<T | null> {
  const codec = textCodec<T | null>(
    z.enum(values as [T, ...T[]]).nullable() as unknown as z.ZodType<T | null>,
    ([text]) => text,
    (value) => (value === null ? [] : [value]),
  );
  return named(name, codec, null);
}

export function flag(name: string, on = ''): AddressField<boolean> {
  const codec = textCodec(
    z.boolean(),
    ([text]) => (on === '' ? true : text === on),
    (value) => (value ? [on] : []),
  );
  return named(name, codec, false);
}

/** Words, up to so many signs, without blanks around them. */
export function text(name: string, max: number): AddressField<string> {
  const codec = textCodec(
    z.string(),
    ([value]) => value.slice(0, max),
    (value) => (value.trim() ? [value.trim()] : []),
  );
  return named(name, codec, '');
}

/** A number to three places, held between two ends. */
export function bounded<T extends number | null>(
  name: string,
  [min, max]: readonly [number, number],
  initial: T,
): AddressField<number | T> {
  const codec = textCodec<number | T>(
    z.union([z.number(), z.literal(initial as number | null)]) as unknown as z.ZodType<number | T>,
    ([value]) => numberIn(value, min, max) ?? undefined,
    (value) => (value === null ? [] : [short(value)]),
  );
  return named<number | T>(name, codec, initial);
}

/** Up to so many points of some coordinates of 0 to 1 each, with commas between. */
export function points(name: string, coordinates: number, max: number): AddressField<number[][]> {
  const codec = textCodec<number[][]>(
    z.array(z.array(z.number())).max(max),
    (texts) =>
      texts.slice(0, max).flatMap((value) => {
        const numbers = value.split(',').map((part) => numberIn(part, 0, 1));
        return numbers.length === coordinates && !numbers.includes(null) ? [numbers] : [];
      }),
    (value) => value.map((numbers) => numbers.map(short).join(',')),
  );
  return named(name, codec, []);
}

/** A field of a schema's: its initial value is what the schema makes of nothing. */
export function parsed<T>(
  name: string,
  schema: z.ZodType<T>,
  decode: (texts: string[]) => unknown,
  encode: (value: T) => string[],
): AddressField<T> {
  return named(name, textCodec<T>(schema, decode, encode), schema.parse(undefined));
}

/** A field by way of another: its value made of the other's, and back. */
export function mapped<T, U>(
  field: AddressField<U>,
  to: (value: U) => T | undefined,
  back: (value: T) => U,
): AddressField<T> {
  return {
    initial: to(field.initial) as T,
    read(query) {
      const value = field.read(query);
      return value === undefined ? undefined : to(value);
    },
    write: (value, query) => field.write(back(value), query),
  };
}

/** What a view holds and no address does. */
export function transient<T>(initial: T): AddressField<T> {
  return { initial, read: () => undefined, write: () => undefined };
}

function short(n: number): string {
  return String(Math.round(n * 1000) / 1000);
}

function numberIn(value: string, min: number, max: number): number | null {
  if (value.trim() === '') return null;
  const n = Number(value);
  return Number.isFinite(n) ? Math.min(max, Math.max(min, n)) : null;
}
