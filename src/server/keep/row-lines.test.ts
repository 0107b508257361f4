import fc from 'fast-check';
import { jsonLines } from './row-lines';

/** A source in chunks that counts how many of them were taken. */
function sourceOf(chunks: Iterable<string>) {
  const source = {
    taken: 0,
    async *[Symbol.asyncIterator]() {
      for (const chunk of chunks) {
        source.taken++;
        yield Buffer.from(chunk);
      }
    },
  };
  return source;
}

async function all(source: AsyncIterable<Uint8Array>): Promise<unknown[]> {
  const rows: unknown[] = [];
  for await (const row of jsonLines(source)) rows.push(row);
  return rows;
}

function* forever(chunk: string): Generator<string> {
  for (;;) yield chunk;
}

describe('rows of a file, a line each', () => {
  it('are read however the file is cut into chunks, its last line ended or not', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.record({ a: fc.string(), b: fc.integer() }), { minLength: 1, maxLength: 6 }),
        fc.array(fc.integer({ min: 1, max: 9 }), { minLength: 1 }),
        fc.boolean(),
        async (rows, sizes, isEnded) => {
          const text = rows.map((row) => JSON.stringify(row)).join('\n') + (isEnded ? '\n' : '');
          const bytes = Buffer.from(text);
          const chunks: Buffer[] = [];
          for (let at = 0, i = 0; at < bytes.length; at += sizes[i++ % sizes.length])
            chunks.push(bytes.subarray(at, at + sizes[i % sizes.length]));
          async function* source() {
            yield* chunks;
          }
          expect(await all(source())).toEqual(rows);
        },
      ),
    );
  });

  it('end at the first that is none, with its number, and nothing is read beyond it', async () => {
    const empty = sourceOf(forever('\n\n\n'));
    await expect(all(empty)).rejects.toThrow(/line 1 is no row/);
    expect(empty.taken).toBe(1);
    const broken = sourceOf(['{"a":1}\n', '{"a":', '2\n', ...['{}\n']]);
    await expect(all(broken)).rejects.toThrow(/line 2 is no row/);
    expect(broken.taken).toBe(3);
  });

  it('are not gathered without end', async () => {
    const endless = sourceOf(forever('x'.repeat(8 * 1024 * 1024)));
    await expect(all(endless)).rejects.toThrow(/line 1 is too long/);
    expect(endless.taken).toBeLessThan(12);
  });
});
