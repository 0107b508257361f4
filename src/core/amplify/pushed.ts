import { cubeRoot } from '../colour/cube-root';
import { once } from '../once';
import { blocksOf, type Blocks } from '../picture/blocks';
import { colourGrid } from '../picture/colour-grid';
import { BLUE_PART, byLuminance, GREEN_PART, RED_PART } from '../picture/luminance';
import { countOpaque, OPAQUE, type Picture } from '../picture/picture';
import { departuresOf, type Departure } from './departures';
import {
  chromaDenoiser,
  SMOOTH_CELLS,
  smoothChroma,
  type ChromaDenoiser,
  type SmoothChroma,
} from './denoise-chroma';
import { GROUND_CELLS, groundOf, type Ground } from './ground';
import { localCastOf, type LocalCast } from './local-cast';
import { checkPush, isPushed, NO_PUSH, pusher, spreadGain, type Push } from './push';
import {
  addTable,
  emptyPositions,
  greyPosition,
  setPosition,
  tableOf,
  usedNodes,
  type Positions,
} from './push-table';

/** A picture made ready to be pushed: all that no slider changes. */
export interface Pushable {
  picture: Picture;
  /** Whether nothing of it is transparent. */
  whole: boolean;
  ground: Ground;
  smooth: SmoothChroma;
  denoiser: ChromaDenoiser;
  local: () => LocalCast;
  departures: () => Departure[];
}

/**
 * A picture ready to be pushed; `quality` is that of the JPEG it came from (1–100), null for another file;
 * `blocksAlready` are the picture's, where they are known.
 */
export function pushable(
  picture: Picture,
  quality: number | null = null,
  blocksAlready: () => Blocks = () => blocksOf(picture),
): Pushable {
  const blocks = blocksAlready();
  const whole =
    blocks.opaque.reduce((sum, count) => sum + count, 0) === picture.width * picture.height;
  const read = groundOf(colourGrid(picture, blocks, GROUND_CELLS), quality);
  const smooth = smoothChroma(colourGrid(picture, blocks, SMOOTH_CELLS));
  return {
    picture,
    whole,
    ground: read,
    smooth,
    denoiser: chromaDenoiser(picture, smooth),
    local: once(() => localCastOf(read)),
    departures: once(() => departuresOf(read)),
  };
}

const NONE = pusher(NO_PUSH);

/** The same picture at another size: what is known of one serves the other. */
export function pushableLike(picture: Picture, like: Pushable): Pushable {
  const whole = countOpaque(picture) === picture.width * picture.height;
  return { ...like, picture, whole, denoiser: chromaDenoiser(picture, like.smooth) };
}

/** What a spread about the cast around each place needs besides. */
interface Aside {
  /** What a table makes of each pixel unpushed: what it errs in, it errs in alike when pushed. */
  even: Uint8ClampedArray;
  /** How far the cast around each pixel is from the picture's: a and b. */
  cast: Float32Array;
}

/** The pixels of some rows without noise. */
export interface Evened {
  /** OKLab lightness of the grey of each pixel's luminance. */
  grey: Float32Array;
  /** a and b, two floats a pixel. */
  ab: Float32Array;
}

/** Some rows of a pushable, ready for the table: what every move of a slider needs of them. */
export interface Rows {
  from: number;
  to: number;
  positions: Positions;
  /** What few moves need besides the positions. */
  evened: () => Evened;
  used: () => Uint8Array;
  aside: () => Aside;
}

export function rowsOf(subject: Pushable, from = 0, to = subject.picture.height): Rows {
  const pixels = subject.picture.width * (to - from);
  const positions = emptyPositions(pixels);
  forEachEvened(subject, from, to, (p, step, a, b) =>
    setPosition(positions, p, GREY_POSITION[step], a, b),
  );
  const evened = once((): Evened => {
    const grey = new Float32Array(pixels);
    const ab = new Float32Array(pixels * 2);
    forEachEvened(subject, from, to, (p, step, a, b) => {
      grey[p] = GREY[step];
      ab[p * 2] = a;
      ab[p * 2 + 1] = b;
    });
    return { grey, ab };
  });
  const rows = { from, to, positions, evened, used: once(() => usedNodes(positions)) };
  return { ...rows, aside: once(() => asideOf(subject, rows)) };
}

/** The lightness of the grey of a luminance, by its steps, and where that stands among a table's nodes. */
const GREY = byLuminance(Float32Array, cubeRoot);
const GREY_POSITION = byLuminance(Uint16Array, (Y) => greyPosition(cubeRoot(Y)));

/**
 * Gives the step of luminance and a and b of each pixel of some rows, 0 where it is transparent; `p` counts from
 * the first of them.
 */
function forEachEvened(
  { picture: { width, data }, denoiser }: Pushable,
  from: number,
  to: number,
  take: (p: number, step: number, a: number, b: number) => void,
): void {
  const lab = new Float32Array(width * 3);
  for (let y = from, p = 0; y < to; y++) {
    denoiser.writeRow(y, lab);
    for (let x = 0, i = y * width * 4; x < width; x++, p++, i += 4) {
      if (data[i + 3] < OPAQUE) take(p, 0, 0, 0);
      else {
        const Y = RED_PART[data[i]] + GREEN_PART[data[i + 1]] + BLUE_PART[data[i + 2]];
        take(p, (Y + 0.5) | 0, lab[x * 3 + 1], lab[x * 3 + 2]);
      }
    }
  }
}

function asideOf({ picture, local, ground }: Pushable, rows: Omit<Rows, 'aside'>): Aside {
  const { width, height } = picture;
  const { from } = rows;
  const { grey, ab } = rows.evened();
  const cast = new Float32Array(ab.length);
  const field = local();
  const there = new Float64Array(2);
  for (let p = 0; p < grey.length; p++) {
    const x = p % width;
    const y = from + (p - x) / width;
    field.write((x + 0.5) / width, (y + 0.5) / height, there);
    cast[p * 2] = ground.cast[0] - there[0];
    cast[p * 2 + 1] = ground.cast[1] - there[1];
  }
  const even = new Uint8ClampedArray(grey.length * 4);
  const table = tableOf(NONE, null, ground.cast, rows.used());
  addTable(rows.positions, table, new Uint8ClampedArray(even.length), null, even);
  return { even, cast };
}

/**
 * Rows of the picture with its quiet colours pushed up; `keep` says for each of their pixels how far, in
 * 255ths, null for all. Throws a RangeError for a strength outside 0–1.
 */
export function pushedRows(
  { picture, ground, whole }: Pushable,
  rows: Rows,
  push: Push,
  keep: Uint8Array | null = null,
): Uint8ClampedArray {
  checkPush(push);
  const { width, data } = picture;
  const from = data.subarray(rows.from * width * 4, rows.to * width * 4);
  const out = new Uint8ClampedArray(from.length);
  if (!isPushed(push)) {
    out.set(from);
    return out;
  }
  if (push.spread > 0 && push.cast === 'local') pushAside(ground.cast, rows, push, from, keep, out);
  else {
    const table = tableOf(pusher(push), NONE, ground.cast, rows.used());
    addTable(rows.positions, table, from, keep, out);
  }
  if (!whole)
    for (let i = 3; i < from.length; i += 4)
      if (from[i] < OPAQUE) for (let k = 1; k < 4; k++) out[i - k] = from[i - k];
  return out;
}

/**
 * Spread about the cast around each place. With a gain of 1 + g, spreading a colour about one cast is the
 * same as spreading it about another once it is set aside by g / (1 + g) of what parts the two: so the
 * table of the picture's cast serves, read at other positions.
 */
function pushAside(
  cast: readonly [number, number],
  { evened, aside }: Rows,
  push: Push,
  from: Uint8ClampedArray,
  keep: Uint8Array | null,
  out: Uint8ClampedArray,
): void {
  const { even, cast: apart } = aside();
  const { grey, ab } = evened();
  const g = spreadGain(push);
  const share = g / (1 + g);
  const positions = emptyPositions(grey.length);
  for (let p = 0; p < grey.length; p++)
    setPosition(
      positions,
      p,
      greyPosition(grey[p]),
      ab[p * 2] + share * apart[p * 2],
      ab[p * 2 + 1] + share * apart[p * 2 + 1],
    );
  const table = tableOf(pusher(push), null, cast, usedNodes(positions));
  const zero = new Uint8ClampedArray(from.length);
  const there = new Uint8ClampedArray(from.length);
  addTable(positions, table, zero, null, there);
  for (let p = 0, i = 0; p < grey.length; p++, i += 4) {
    const part = keep === null ? 1 : keep[p] / 255;
    for (let k = 0; k < 3; k++) out[i + k] = from[i + k] + part * (there[i + k] - even[i + k]);
    out[i + 3] = from[i + 3];
  }
}

/** Rows pushed at once: bounds what is held beside the picture itself. */
const TILE = 128;

/**
 * Pushes a picture in place, a tile of rows after the other, for one so large that a copy is dear: rows read no
 * pixels but their own. `keepOf` says how far each pixel of some rows may be pushed; `onShare` is told what share is done.
 */
export function pushInPlace(
  subject: Pushable,
  push: Push,
  keepOf: (rows: Rows) => Uint8Array | null = () => null,
  onShare: (share: number) => void = () => undefined,
): void {
  const { width, height, data } = subject.picture;
  for (let from = 0; from < height; from += TILE) {
    const rows = rowsOf(subject, from, Math.min(height, from + TILE));
    data.set(pushedRows(subject, rows, push, keepOf(rows)), from * width * 4);
    onShare(rows.to / height);
  }
}

/** The whole picture pushed, for once: a screen that follows a slider keeps its rows. */
export function pushedPicture(picture: Picture, push: Push): Picture {
  const subject = pushable(picture);
  const data = pushedRows(subject, rowsOf(subject), push);
  return { width: picture.width, height: picture.height, data };
}
