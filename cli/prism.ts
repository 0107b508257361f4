import { readFile } from 'node:fs/promises';
import { parseArgs } from 'node:util';
import { FORMATS } from '../src/core/formats/formats';
import { LEANS } from '../src/core/palette/lean';
import { amplify, hiddenReport, WAY_NAMES } from './amplify';
import { convert, ConvertError } from './convert';
import { measureReport, paletteReport } from './reports';

const HELP = `prism: Bold Prism's measures on the command line

  prism measure PICTURE [--zones N]      a JSON report of what is measured
  prism palette PICTURE --count K        the palette, K from 2 to 16, as JSON; --lean LEAN: one of
                                         ${LEANS.join(', ')}
  prism hidden PICTURE                   the quiet colours: family, place, share, as it is and pushed, as JSON
  prism amplify PICTURE --way WAY --out FILE
                                         the picture at its own size with its quiet colours pushed, as PNG;
                                         WAY: ${WAY_NAMES.join(', ')}; --strength S from 0 to 1 (0.5)
  prism convert IN OUT                   a swatch library from one format to another, by the endings or --from
                                         and --to: ${FORMATS.map(({ id }) => id).join(', ')}; what is lost goes to standard error

PICTURE is a JPEG, PNG, WebP, AVIF, TIFF or GIF file. Exit code 2: a call or a file that can't be read.`;

/** A call that makes no sense; its message is one line for standard error. */
class BadCall extends Error {}

type Values = ReturnType<typeof parse>['values'];

/** What each command takes besides its picture, and what it answers. */
const COMMANDS: Record<
  string,
  {
    takes: (keyof Values)[];
    run: (bytes: Uint8Array, values: Values, files: string[]) => Promise<unknown>;
  }
> = {
  measure: {
    takes: ['zones'],
    run: (bytes, { zones }) =>
      measureReport(bytes, zones === undefined ? undefined : whole('--zones', zones, 2, 9)),
  },
  palette: {
    takes: ['count', 'lean'],
    run: (bytes, { count, lean = 'balanced' }) => {
      if (count === undefined) throw new BadCall('palette needs --count K');
      return paletteReport(bytes, whole('--count', count, 2, 16), oneOf('--lean', LEANS, lean));
    },
  },
  convert: {
    takes: ['from', 'to'],
    run: async (bytes, { from, to }, [inFile, outFile]) => {
      const { lost, ...done } = await convert(bytes, inFile, outFile, { from, to });
      if (lost.length > 0) console.error(`lost on the way: ${lost.join(', ')}`);
      return done;
    },
  },
  hidden: { takes: [], run: (bytes) => hiddenReport(bytes) },
  amplify: {
    takes: ['way', 'strength', 'out'],
    run: (bytes, { way, strength = '0.5', out }) => {
      if (way === undefined)
        throw new BadCall(`amplify needs --way, one of ${WAY_NAMES.join(', ')}`);
      if (out === undefined) throw new BadCall('amplify needs --out FILE');
      const far = Number(strength);
      if (strength.trim() === '' || !(far >= 0 && far <= 1))
        throw new BadCall(`--strength takes a number from 0 to 1, not “${strength}”`);
      return amplify(bytes, oneOf('--way', WAY_NAMES, way), far, out);
    },
  },
};

async function main(): Promise<unknown> {
  const { positionals, values } = parse();
  const [verb, file, ...more] = positionals;
  if (values.help) return HELP;
  const command = verb && Object.hasOwn(COMMANDS, verb) ? COMMANDS[verb] : undefined;
  if (!command)
    throw new BadCall(`${verb ? `no such command: ${verb}` : 'no command'}; see prism --help`);
  const files = verb === 'convert' ? 2 : 1;
  if (!file || more.length !== files - 1)
    throw new BadCall(
      `${verb} takes ${files === 2 ? 'a file to read and one to write' : 'one picture'}; see prism --help`,
    );
  for (const name of Object.keys(values) as (keyof Values)[])
    if (!command.takes.includes(name)) {
      const owners = Object.keys(COMMANDS).filter((one) => COMMANDS[one].takes.includes(name));
      throw new BadCall(`--${name} goes with ${owners.join(', ')}`);
    }
  return command.run(await read(file), values, positionals.slice(1));
}

function parse() {
  try {
    return parseArgs({
      allowPositionals: true,
      options: {
        count: { type: 'string' },
        lean: { type: 'string' },
        zones: { type: 'string' },
        way: { type: 'string' },
        strength: { type: 'string' },
        out: { type: 'string' },
        from: { type: 'string' },
        to: { type: 'string' },
        help: { type: 'boolean', short: 'h' },
      },
    });
  } catch (error) {
    throw new BadCall(error instanceof Error ? error.message : String(error));
  }
}

function oneOf<T extends string>(name: string, known: readonly T[], text: string): T {
  const found = known.find((one) => one === text);
  if (!found) throw new BadCall(`${name} takes one of ${known.join(', ')}, not “${text}”`);
  return found;
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
    error instanceof ConvertError ||
    (error instanceof Error && error.name === 'ServiceError') ||
    error instanceof RangeError ||
    (error instanceof Error && 'code' in error && 'syscall' in error);
  console.error(known ? (error as Error).message.replace(/\s+/g, ' ') : error);
  process.exitCode = known ? 2 : 1;
}
