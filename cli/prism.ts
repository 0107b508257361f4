import { readFile } from 'node:fs/promises';
import { parseArgs } from 'node:util';
import { LEANS } from '../src/core/palette/lean';
import { measureReport, paletteReport } from './reports';

const HELP = `prism: Bold Prism's measures on the command line

  prism measure PICTURE [--zones N]      a JSON report of what is measured
  prism palette PICTURE --count K        the palette, K from 2 to 16, as JSON; --lean LEAN: one of
                                         ${LEANS.join(', ')}

PICTURE is a JPEG, PNG, WebP, AVIF, TIFF or GIF file. Exit code 2: a call or a file that can't be read.`;

/** A call that makes no sense; its message is one line for standard error. */
class BadCall extends Error {}

async function main(): Promise<unknown> {
  const { positionals, values } = parse();
  const [verb, file, ...more] = positionals;
  if (values.help) return HELP;
  if (verb !== 'measure' && verb !== 'palette')
    throw new BadCall(`${verb ? `no such command: ${verb}` : 'no command'}; see prism --help`);
  if (!file || more.length > 0) throw new BadCall(`${verb} takes one picture; see prism --help`);
  if (verb === 'measure') {
    for (const name of ['count', 'lean'] as const)
      if (values[name] !== undefined) throw new BadCall(`--${name} goes with palette`);
    return measureReport(
      await read(file),
      values.zones === undefined ? undefined : whole('--zones', values.zones, 2, 9),
    );
  }
  if (values.zones !== undefined) throw new BadCall('--zones goes with measure');
  if (values.count === undefined) throw new BadCall('palette needs --count K');
  const count = whole('--count', values.count, 2, 16);
  const lean = LEANS.find((one) => one === (values.lean ?? 'balanced'));
  if (!lean) throw new BadCall(`--lean takes one of ${LEANS.join(', ')}, not “${values.lean}”`);
  return paletteReport(await read(file), count, lean);
}

function parse() {
  try {
    return parseArgs({
      allowPositionals: true,
      options: {
        count: { type: 'string' },
        lean: { type: 'string' },
        zones: { type: 'string' },
        help: { type: 'boolean', short: 'h' },
      },
    });
  } catch (error) {
    throw new BadCall(error instanceof Error ? error.message : String(error));
  }
}

function whole(name: string, text: string, least: number, most: number): number {
  const n = Number(text);
  if (!Number.isInteger(n) || n < least || n > most)
    throw new BadCall(`${name} takes a whole number from ${least} to ${most}, not “${text}”`);
  return n;
}

async function read(file: string): Promise<Uint8Array> {
  try {
    return await readFile(file);
  } catch {
    throw new BadCall(`${file}: no such file, or not to be read`);
  }
}

try {
  const answer = await main();
  console.log(typeof answer === 'string' ? answer : JSON.stringify(answer, null, 2));
} catch (error) {
  // Both a bad call and a refused picture are the caller's to mend; anything else is ours.
  const known =
    error instanceof BadCall ||
    (error instanceof Error && error.name === 'ServiceError') ||
    error instanceof RangeError;
  console.error(known ? (error as Error).message.replace(/\s+/g, ' ') : error);
  process.exitCode = known ? 2 : 1;
}
