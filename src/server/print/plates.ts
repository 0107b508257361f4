import { eq } from 'drizzle-orm';
import sharp from 'sharp';
import { fileNameFrom } from '@/core/file-name';
import { hexFromOklab } from '@/core/colour/hex';
import { SCREEN_ANGLES } from '@/core/mixing/halftone';
import { printed } from '@/core/mixing/inks';
import type { PlatesRequest } from '@/contracts/plates-request';
import type { MadePlates } from '@/workers/server/plates-job';
import { runPlates } from '@/workers/server/pool';
import { database } from '../db/client';
import { pictureBytes, study } from '../db/schema';
import { notFound, ServiceError } from '../errors';
import { zipped, type NamedBytes } from '../files/zips';
import { decodeOriginal } from '../pictures/read-picture';
import { semaphore } from '../semaphore';
import { MM } from './paper';
import { drawPdf, type Pen } from './pen';

/** Dots of the device to an inch, for plates that are screened. */
export const PLATE_DPI = 600;
/** The long side of a picture that plates are made of; more is lost on a screen of lines anyway. */
const SIDE = 3200;
const CM_PER_INCH = 2.54;
/** Around the print, for the marks and the words, in millimetres. */
const MARGIN = 18;
const MARK = 5;
const SMALL = 3;

const oneAtATime = semaphore(1);

/**
 * A study's picture as plates for its inks, one PNG each, black where the ink lies; all of them as PDF in the size of the
 * print, with marks to register them by; and the proof. As a zip. Throws not-found for a study that is not here, and
 * too-large for a screened print of too many dots.
 */
export function studyPlates(
  studyId: string,
  request: PlatesRequest,
  signal?: AbortSignal,
): Promise<{ bytes: Uint8Array; fileName: string }> {
  return oneAtATime(async () => {
    const db = await database();
    const [row] = await db
      .select({ original: pictureBytes.original, document: study.document })
      .from(study)
      .innerJoin(pictureBytes, eq(pictureBytes.pictureId, study.pictureId))
      .where(eq(study.id, studyId));
    if (!row) throw notFound('study');
    const picture = await decodeOriginal(await smaller(row.original));
    signal?.throwIfAborted();
    const { inks, paper, kind, ruling, width, framing, neutral } = request;
    const made = await runPlates(
      {
        picture,
        development: { framing, cast: neutral?.cast ?? null },
        set: {
          paper,
          inks: inks.map(({ colour }) => colour),
          strengths: inks.map(({ strength }) => strength),
        },
        kind,
        ruling,
        dpi: PLATE_DPI,
        inches: width / CM_PER_INCH,
      },
      signal,
    ).catch((error: unknown) => {
      // It comes from another thread: what it is an instance of is not what that is called here.
      const { name, message } = error as Error;
      throw name === 'RangeError' ? new ServiceError('too-large', message, 400) : error;
    });
    const { title } = row.document as { title?: string };
    const files = await platesAsFiles(made, request, title ?? 'study');
    return {
      bytes: await zipped(files),
      fileName: fileNameFrom(title ?? '', ', plates.zip', 'study'),
    };
  }, signal);
}

async function smaller(original: Uint8Array): Promise<Uint8Array> {
  const { width, height } = await sharp(original).metadata();
  if (Math.max(width, height) <= SIDE) return original;
  return sharp(original)
    .autoOrient()
    .keepIccProfile()
    .resize(SIDE, SIDE, { fit: 'inside' })
    .png()
    .toBuffer();
}

/** The plates, their PDF and the proof as files. */
export async function platesAsFiles(
  made: MadePlates,
  request: PlatesRequest,
  title: string,
): Promise<NamedBytes[]> {
  const { inks } = request;
  const plates = await Promise.all(made.plates.map((plate) => platePng(plate, made)));
  const { width, height, data } = made.proof;
  const proof = await sharp(Buffer.from(data.buffer, data.byteOffset, data.byteLength), {
    raw: { width, height, channels: 4 },
  })
    .flatten({ background: hexFromOklab(request.paper) })
    .png()
    .toBuffer();
  return [
    ...plates.map((bytes, i) => ({
      name: fileNameFrom(`${i + 1} ${inks[i].name}`, '.png', 'plate'),
      bytes,
    })),
    { name: 'proof.png', bytes: proof },
    { name: 'plates.pdf', bytes: await platesPdf(plates, proof, made, request, title) },
  ];
}

function platePng(plate: Uint8Array, { width, height }: MadePlates): Promise<Buffer> {
  return sharp(Buffer.from(plate.map((cover) => 255 - cover)), {
    raw: { width, height, channels: 1 },
  })
    .toColourspace('b-w')
    .png({ compressionLevel: 9 })
    .toBuffer();
}

function platesPdf(
  plates: readonly Uint8Array[],
  proof: Uint8Array,
  { width, height }: MadePlates,
  request: PlatesRequest,
  title: string,
): Promise<Uint8Array> {
  const wide = request.width * 10;
  const high = (wide * height) / width;
  const sheet = { width: (wide + 2 * MARGIN) * MM, height: (high + 2 * MARGIN) * MM };
  const size = SMALL * MM;
  const room = wide * MM;
  return drawPdf(sheet, `${title}, plates`, (pen) => {
    const lay = (image: Uint8Array, words: string) => {
      pen.image(image, MARGIN * MM, MARGIN * MM, wide * MM, high * MM);
      registerMarks(pen, wide, high);
      pen.write(words, MARGIN * MM, (MARGIN + high + 11) * MM, { size, room });
      pen.write(title, MARGIN * MM, (MARGIN + high + 15) * MM, { size, room, soft: true });
    };
    plates.forEach((plate, i) => {
      if (i > 0) pen.newPage();
      const screen =
        request.kind === 'screened'
          ? `, ${request.ruling} lines to the inch at ${SCREEN_ANGLES[i]}°`
          : '';
      lay(plate, `Plate ${i + 1} of ${plates.length}: ${request.inks[i].name}${screen}`);
    });
    pen.newPage();
    lay(proof, `Proof on ${hexFromOklab(request.paper)}: what the plates come to`);
    const { paper, inks } = request;
    const set = { paper, inks: inks.map(({ colour }) => colour) };
    inks.forEach((_, i) =>
      pen.block(
        printed(
          set,
          inks.map((_ink, j) => (i === j ? 1 : 0)),
        ),
        (MARGIN + i * 8) * MM,
        6 * MM,
        7 * MM,
        5 * MM,
      ),
    );
    return Promise.resolve();
  });
}

/** A cross in a ring in the middle of each side: the same place on every plate. */
function registerMarks(pen: Pen, wide: number, high: number): void {
  const middles = [
    [MARGIN + wide / 2, MARGIN - 2 - MARK],
    [MARGIN + wide / 2, MARGIN + high + 2 + MARK / 2],
    [MARGIN - 2 - MARK, MARGIN + high / 2],
    [MARGIN + wide + 2 + MARK, MARGIN + high / 2],
  ];
  const paint = { fill: null, stroke: '#000000', strokeWidth: 0.15 };
  for (const [x, y] of middles) {
    const ring = Array.from({ length: 25 }, (_, i) => {
      const turn = (i * Math.PI) / 12;
      const point = [x + (MARK / 2) * 0.6 * Math.cos(turn), y + (MARK / 2) * 0.6 * Math.sin(turn)];
      return `${i === 0 ? 'M' : 'L'}${point.map((at) => at.toFixed(3)).join(' ')}`;
    });
    pen.path(ring.join(''), MM, paint);
    pen.path(
      `M${x - MARK / 2} ${y}L${x + MARK / 2} ${y}M${x} ${y - MARK / 2}L${x} ${y + MARK / 2}`,
      MM,
      paint,
    );
  }
}
