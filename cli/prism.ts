import { readFile } from 'node:fs/promises';
import { parseArgs } from 'node:util';
import { FORMATS } from '../src/core/formats/formats';
import { MAX_RECIPE_TUBES } from '../src/core/mixing/recipes';
import { MOODS } from '../src/core/transfer/moods';
import { LEANS } from '../src/core/palette/lean';
import { amplify, hiddenReport, WAY_NAMES } from './amplify';
import { MAPPINGS } from '../src/core/pattern/map-paints';
import { colourway } from './colourway';
import { compareReport } from './compare';
import { convert, ConvertError } from './convert';
import { mixReport, pigmentReport, recipeReport } from './mix';
import { measureReport, paletteReport } from './reports';
import { mood, MODES, transfer } from './transfer';

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
  prism mix MIXTURE                      the colour of paints in parts by volume, as PB29:1,PY35:3, as JSON;
                                         --thin T of a full coat, over --ground HEX (white)
  prism recipe HEX --tubes LIST          how to mix a colour from some pigments, as PW6,PB29,PY35; --most N
                                         tubes in one, from 1 to 4
  prism pigments                         every pigment that is known, as JSON
  prism transfer PICTURE --palette FILE --out FILE
                                         the picture in the colours of a swatch library, its values held, as PNG; --mode
                                         strict: nothing but these colours
  prism mood PICTURE --mood MOOD --out FILE
                                         the same scene in another mood, as PNG; MOOD: ${MOODS.join(', ')}
  prism colourway DRAWING.svg --palette FILE --out FILE
                                         a vector drawing in a library's colours, near-duplicates as one, every other
                                         byte as it was; --by ${MAPPINGS.join(' or ')}; what could run is left out and said

  prism compare MODEL STUDY              a photographed study against its model, as JSON; --corners x,y,x,y,x,y,x,y
                                         of the model in it, clockwise from the upper left, in fractions of it;
                                         --white x,y a place of paper or grey card; --digital for a file made on a screen

PICTURE is a JPEG, PNG, WebP, AVIF, TIFF or GIF file. Exit code 2: a call or a file that can't be read.`;

/** A call that makes no sense; its message is one line for standard error. */
class BadCall extends Error {}

type Values = ReturnType<typeof parse>['values'];

interface Command {
  takes: (keyof Values)[];
  /** What stands after the command, one thing each, in words. */
  given: string[];
  run: (given: string[], values: Values) => unknown;
}

/** A command on a picture's bytes. */
function ofPicture(
  takes: Command['takes'],
  run: (bytes: Uint8Array, values: Values) => unknown,
): Command {
  return {
    takes,
    given: ['one picture'],
    run: async ([file], values) => run(await read(file), values),
  };
}

/** What each command takes, and what it answers. */
const COMMANDS: Record<string, Command> = {
  measure: ofPicture(['zones'], (bytes, { zones }) =>
    measureReport(bytes, zones === undefined ? undefined : whole('--zones', zones, 2, 9)),
  ),
  palette: ofPicture(['count', 'lean'], (bytes, { count, lean = 'balanced' }) => {
    if (count === undefined) throw new BadCall('palette needs --count K');
    return paletteReport(bytes, whole('--count', count, 2, 16), oneOf('--lean', LEANS, lean));
  }),
  convert: {
    takes: ['from', 'to'],
    given: ['a file to read', 'one to write'],
    run: async ([inFile, outFile], { from, to }) => {
      const { lost, ...done } = await convert(await read(inFile), inFile, outFile, { from, to });
      if (lost.length > 0) console.error(`lost on the way: ${lost.join(', ')}`);
      return done;
    },
  },
  hidden: ofPicture([], (bytes) => hiddenReport(bytes)),
  amplify: ofPicture(['way', 'strength', 'out'], (bytes, { way, strength = '0.5', out }) => {
    if (way === undefined) throw new BadCall(`amplify needs --way, one of ${WAY_NAMES.join(', ')}`);
    if (out === undefined) throw new BadCall('amplify needs --out FILE');
    return amplify(bytes, oneOf('--way', WAY_NAMES, way), number('--strength', strength, 1), out);
  }),
  mix: {
    takes: ['thin', 'ground'],
    given: ['a mixture'],
    run: ([mixture], { thin, ground }) =>
      mixReport(mixture, {
        coat: thin === undefined ? undefined : number('--thin', thin, MAX_COATS),
        ground,
      }),
  },
  recipe: {
    takes: ['tubes', 'most'],
    given: ['a colour'],
    run: ([hex], { tubes, most }) => {
      if (tubes === undefined) throw new BadCall('recipe needs --tubes, as PW6,PB29,PY35');
      return recipeReport(
        hex,
        tubes,
        most === undefined ? undefined : whole('--most', most, 1, MAX_RECIPE_TUBES),
      );
    },
  },
  pigments: { takes: [], given: [], run: () => pigmentReport() },
  transfer: ofPicture(
    ['palette', 'mode', 'out'],
    async (bytes, { palette, mode = 'held', out }) => {
      if (palette === undefined)
        throw new BadCall('transfer needs --palette FILE, a swatch library');
      if (out === undefined) throw new BadCall('transfer needs --out FILE');
      return transfer(bytes, palette, await read(palette), oneOf('--mode', MODES, mode), out);
    },
  ),
  colourway: {
    takes: ['palette', 'by', 'out'],
    given: ['one drawing'],
    run: async ([file], { palette, by = 'value', out }) => {
      if (palette === undefined)
        throw new BadCall('colourway needs --palette FILE, a swatch library');
      if (out === undefined) throw new BadCall('colourway needs --out FILE');
      const { leftOut, report } = await colourway(
        file,
        await read(file),
        palette,
        await read(palette),
        oneOf('--by', MAPPINGS, by),
        out,
      );
      if (leftOut.length > 0) console.error(`left out: ${leftOut.join('; ')}`);
      return report;
    },
  },
  compare: {
    takes: ['corners', 'white', 'digital'],
    given: ['a model', 'a study'],
    run: async ([model, study], { corners, white, digital }) =>
      compareReport(await read(model), await read(study), {
        corners: corners === undefined ? undefined : numbers('--corners', corners, 8, -1, 2),
        white: white === undefined ? undefined : numbers('--white', white, 2, 0, 1),
        isDigital: digital,
      }),
  },
  mood: ofPicture(['mood', 'out'], (bytes, { mood: name, out }) => {
    if (name === undefined) throw new BadCall(`mood needs --mood, one of ${MOODS.join(', ')}`);
    if (out === undefined) throw new BadCall('mood needs --out FILE');
    return mood(bytes, oneOf('--mood', MOODS, name), out);
  }),
};

/** Beyond this nothing of any ground shows. */
const MAX_COATS = 100;

async function main(): Promise<unknown> {
  const { positionals, values } = parse();
  const [verb, ...given] = positionals;
  if (values.help) return HELP;
  const command = verb && Object.hasOwn(COMMANDS, verb) ? COMMANDS[verb] : undefined;
  if (!command)
    throw new BadCall(`${verb ? `no such command: ${verb}` : 'no command'}; see prism --help`);
  if (given.length !== command.given.length)
    throw new BadCall(
      `${verb} takes ${command.given.join(' and ') || 'nothing else'}; see prism --help`,
    );
  for (const name of Object.keys(values) as (keyof Values)[])
    if (!command.takes.includes(name)) {
      const owners = Object.keys(COMMANDS).filter((one) => COMMANDS[one].takes.includes(name));
      throw new BadCall(`--${name} goes with ${owners.join(', ')}`);
    }
  return command.run(given, values);
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
        palette: { type: 'string' },
        mode: { type: 'string' },
        mood: { type: 'string' },
        by: { type: 'string' },
        corners: { type: 'string' },
        white: { type: 'string' },
        digital: { type: 'boolean' },
        from: { type: 'string' },
        to: { type: 'string' },
        thin: { type: 'string' },
        ground: { type: 'string' },
        tubes: { type: 'string' },
        most: { type: 'string' },
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

function number(name: string, text: string, most: number): number {
  const n = Number(text);
  if (text.trim() === '' || !(n >= 0 && n <= most))
    throw new BadCall(`${name} takes a number from 0 to ${most}, not “${text}”`);
  return n;
}

function whole(name: string, text: string, least: number, most: number): number {
  const n = Number(text);
  if (!Number.isInteger(n) || n < least || n > most)
    throw new BadCall(`${name} takes a whole number from ${least} to ${most}, not “${text}”`);
  return n;
}

/** Numbers between commas, each from `least` to `most`. */
function numbers(name: string, text: string, count: number, least: number, most: number): number[] {
  const list = text.split(',').map((one) => (one.trim() === '' ? NaN : Number(one)));
  if (list.length !== count || !list.every((n) => n >= least && n <= most))
    throw new BadCall(
      `${name} takes ${count} numbers from ${least} to ${most} between commas, not “${text}”`,
    );
  return list;
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
