import sharp from 'sharp';
import { ciede2000 } from '@/core/colour/ciede2000';
import { labFromOklab } from '@/core/colour/cielab';
import { oklabFromBytes, oklabFromHex, type Bytes } from '@/core/colour/hex';
import { proofOf } from '@/core/mixing/plates';
import { closePool } from '@/workers/server/pool';
import type { PlatesRequest } from '@/contracts/plates-request';
import { unzipped } from '../files/zips';
import { importPicture } from '../pictures/import-picture';
import { freshDatabase } from '../testing/test-database';
import { PLATE_DPI, studyPlates } from './plates';

let end: () => Promise<void>;
let studyId: string;
const [WIDTH, HEIGHT] = [240, 160];

beforeAll(async () => {
  end = await freshDatabase();
  const data = Buffer.from(
    Array.from({ length: WIDTH * HEIGHT }, (_, i) => {
      const [x, y] = [i % WIDTH, Math.floor(i / WIDTH)];
      return [x, y, (x + y) / 2].map((at) => Math.min(255, 40 + at));
    }).flat(),
  );
  const file = await sharp(data, { raw: { width: WIDTH, height: HEIGHT, channels: 3 } })
    .png()
    .toBuffer();
  const brought = await importPicture(file, 'ramp.png');
  if (brought.kind !== 'new') throw new Error('expected a new study');
  studyId = brought.studyId;
}, 60_000);
afterAll(async () => {
  await end();
  await closePool();
});

const request = (part: Partial<PlatesRequest> = {}): PlatesRequest => ({
  inks: [
    { name: 'ochre / gelb', colour: oklabFromHex('#deaa37')!, strength: 1 },
    { name: 'red', colour: oklabFromHex('#be402b')!, strength: 1 },
    { name: 'blue', colour: oklabFromHex('#2d5a7f')!, strength: 1.2 },
  ],
  paper: oklabFromHex('#f4efe3')!,
  kind: 'greys',
  ruling: 40,
  width: 8,
  framing: { angle: 0, crop: null },
  neutral: null,
  ...part,
});

async function made(part: Partial<PlatesRequest> = {}) {
  const { bytes, fileName } = await studyPlates(studyId, request(part));
  expect(fileName).toMatch(/, plates\.zip$/);
  const files = await unzipped(bytes);
  const pngs = files.filter(({ name }) => /^\d /.test(name));
  const read = (name: string) => files.find((file) => file.name === name)!.bytes;
  const raw = (png: Uint8Array) => sharp(png).raw().toBuffer({ resolveWithObject: true });
  /** A plate's one channel. */
  const plate = (png: Uint8Array) =>
    sharp(png).extractChannel(0).raw().toBuffer({ resolveWithObject: true });
  return { files, pngs, read, raw, plate };
}

it('plates as files add back to the proof, whatever wrote and read them', async () => {
  const { files, pngs, read, raw, plate } = await made();
  expect(files.map(({ name }) => name)).toEqual([
    '1 ochre gelb.png',
    '2 red.png',
    '3 blue.png',
    'proof.png',
    'plates.pdf',
  ]);
  const plates = await Promise.all(pngs.map(async ({ bytes }) => plate(bytes)));
  for (const { bytes } of pngs)
    expect(await sharp(bytes).metadata()).toMatchObject({
      width: WIDTH,
      height: HEIGHT,
      channels: 1,
      space: 'b-w',
    });
  const { paper, inks } = request();
  const again = proofOf(
    {
      paper,
      inks: inks.map(({ colour }) => colour),
      strengths: inks.map(({ strength }) => strength),
    },
    WIDTH,
    HEIGHT,
    plates.map(({ data }) => Uint8Array.from(data, (light) => 255 - light)),
  );
  const proof = await raw(read('proof.png'));
  let worst = 0;
  for (let at = 0; at < WIDTH * HEIGHT; at += 37) {
    const [one, other] = [
      Array.from(again.data.subarray(at * 4, at * 4 + 3)),
      Array.from(proof.data.subarray(at * 3, at * 3 + 3)),
    ].map((bytes) => labFromOklab(oklabFromBytes(bytes as unknown as Bytes)));
    worst = Math.max(worst, ciede2000(one, other));
  }
  expect(worst).toBeLessThan(1);
  const pdf = Buffer.from(read('plates.pdf')).toString('latin1');
  expect(pdf).toContain('/Count 4');
});

it('screened plates are dots in the size of the print, and flat ones solid or bare', async () => {
  const screened = await made({ kind: 'screened', width: 5 });
  const { data, info } = await screened.plate(screened.pngs[0].bytes);
  expect(info.width).toBe(Math.round((5 / 2.54) * PLATE_DPI));
  expect(new Set(data)).toEqual(new Set([0, 255]));
  const flat = await made({ kind: 'flat' });
  for (const { bytes } of flat.pngs)
    for (const light of new Set((await flat.plate(bytes)).data)) expect([0, 255]).toContain(light);
}, 60_000);

it('a screened print of too many dots is refused, with what to do', async () => {
  const tall = { angle: 0, crop: { x: 0, y: 0, width: 0.05, height: 1 } };
  await expect(
    studyPlates(studyId, request({ kind: 'screened', width: 40, framing: tall })),
  ).rejects.toMatchObject({ code: 'too-large', message: expect.stringMatching(/narrower/) });
});

it('plates are of the picture as it is framed, and of a study that is here', async () => {
  const { pngs, plate } = await made({
    framing: { angle: 0, crop: { x: 0, y: 0, width: 0.5, height: 1 } },
  });
  expect((await plate(pngs[0].bytes)).info.width).toBe(WIDTH / 2);
  await expect(
    studyPlates('00000000-0000-4000-8000-000000000000', request()),
  ).rejects.toMatchObject({ code: 'not-found' });
});
