import sharp from 'sharp';
import { oklabFromBytes } from '@/core/colour/hex';
import { oklabDistance } from '@/core/colour/oklab';
import type { Picture } from '@/core/picture/picture';
import { pngPromising, redAndBlue } from '../testing/test-pictures';
import { decodeWorking, encodeWorking, makeWorkingCopy, WORKING_SIDE } from './read-picture';

const pixel = ({ width, data }: Picture, x: number, y: number) =>
  Array.from(data.slice((y * width + x) * 4, (y * width + x) * 4 + 4));
const far = (one: number[], other: [number, number, number]) =>
  oklabDistance(oklabFromBytes([one[0], one[1], one[2]]), oklabFromBytes(other));

describe('reading a picture', () => {
  it.each([
    ['image/jpeg', () => redAndBlue().jpeg({ quality: 95, chromaSubsampling: '4:4:4' })],
    ['image/png', () => redAndBlue().png()],
    ['image/webp', () => redAndBlue().webp({ lossless: true })],
    ['image/avif', () => redAndBlue().avif({ lossless: true })],
    ['image/tiff', () => redAndBlue().tiff()],
    ['image/gif', () => redAndBlue().gif()],
  ])('reads %s', async (type, make) => {
    const read = await makeWorkingCopy(await make().toBuffer());
    expect(read).toMatchObject({ type, width: 90, height: 60 });
    expect(far(pixel(read.working, 10, 30), [200, 40, 30])).toBeLessThan(0.03);
    expect(far(pixel(read.working, 70, 30), [30, 60, 160])).toBeLessThan(0.03);
  });

  it('reads the first picture of an animation', async () => {
    const frames = [redAndBlue(30, 30).png(), redAndBlue(30, 30).negate().png()].map((frame) =>
      frame.toBuffer(),
    );
    const gif = await sharp(await Promise.all(frames), { join: { animated: true } })
      .gif()
      .toBuffer();
    const { working, height } = await makeWorkingCopy(gif);
    expect([height, working.height]).toEqual([30, 30]);
    expect(far(pixel(working, 2, 2), [200, 40, 30])).toBeLessThan(0.05);
  });

  it('turns upright by EXIF', async () => {
    const lying = await redAndBlue()
      .withMetadata({ orientation: 6 })
      .jpeg({ quality: 95 })
      .toBuffer();
    const { width, height, working } = await makeWorkingCopy(lying);
    expect([width, height, working.width, working.height]).toEqual([60, 90, 60, 90]);
    expect(far(pixel(working, 30, 5), [200, 40, 30])).toBeLessThan(0.05);
    expect(far(pixel(working, 30, 85), [30, 60, 160])).toBeLessThan(0.05);
  });

  it('brings the colours through the file’s own profile', async () => {
    const p3 = await redAndBlue().withIccProfile('p3').png().toBuffer();
    const stored = await sharp(p3, { unlimited: false }).raw().toBuffer();
    const { working } = await makeWorkingCopy(p3);
    expect(stored.length).toBe(90 * 60 * 3);
    expect(far(pixel(working, 10, 30), [200, 40, 30])).toBeLessThan(0.01);
  });

  it('converts CMYK', async () => {
    const cmyk = await redAndBlue().toColourspace('cmyk').jpeg({ quality: 95 }).toBuffer();
    expect((await sharp(cmyk).metadata()).space).toBe('cmyk');
    const { working } = await makeWorkingCopy(cmyk);
    const [r, g, b] = pixel(working, 10, 30);
    expect(r).toBeGreaterThan(g + 60);
    expect(r).toBeGreaterThan(b + 60);
  });

  it('reads 16 bits and grey alike', async () => {
    const grey = await redAndBlue().greyscale().toColourspace('grey16').png().toBuffer();
    const [r, g, b] = pixel((await makeWorkingCopy(grey)).working, 70, 30);
    expect(r).toBe(g);
    expect(g).toBe(b);
  });

  it('makes the copy 1600 px on its long side, never larger than the picture', async () => {
    const { working } = await makeWorkingCopy(await redAndBlue(2400, 800).jpeg().toBuffer());
    expect([working.width, working.height]).toEqual([WORKING_SIDE, 533]);
    expect((await makeWorkingCopy(await redAndBlue(9, 6).png().toBuffer())).working.width).toBe(9);
  });

  it('has a pixel there or not there, and stores the copy without loss', async () => {
    const data = Buffer.from([200, 40, 30, 255, 200, 40, 30, 130, 200, 40, 30, 100, 9, 9, 9, 0]);
    const png = await sharp(data, { raw: { width: 4, height: 1, channels: 4 } })
      .png()
      .toBuffer();
    const { working } = await makeWorkingCopy(png);
    expect(Array.from(working.data)).toEqual([
      200, 40, 30, 255, 200, 40, 30, 255, 0, 0, 0, 0, 0, 0, 0, 0,
    ]);
    expect(await decodeWorking(await encodeWorking(working))).toEqual(working);
    const whole = (await makeWorkingCopy(await redAndBlue().png().toBuffer())).working;
    expect(await decodeWorking(await encodeWorking(whole))).toEqual(whole);
  });
});

describe('a picture that can’t be read', () => {
  const refused = async (bytes: Uint8Array, code: string, words: RegExp) => {
    const why = await makeWorkingCopy(bytes).then(
      () => null,
      (error: unknown) => error,
    );
    expect(why).toMatchObject({
      name: 'ServiceError',
      code,
      message: expect.stringMatching(words),
    });
    expect((why as Error).message).toContain('Nothing was stored.');
  };

  it('is refused when empty', () => refused(new Uint8Array(0), 'empty', /empty/));
  it('is refused when it is something else', async () => {
    await refused(Buffer.from('just some text, no picture at all'), 'not-a-picture', /JPEG, PNG/);
    await refused(
      Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"/>'),
      'not-a-picture',
      /JPEG, PNG/,
    );
    await refused(Buffer.from('%PDF-1.7 \n1 0 obj'), 'not-a-picture', /JPEG, PNG/);
  });

  it.each(['jpeg', 'png', 'webp', 'tiff'] as const)(
    'is refused when a %s is cut short',
    async (format) => {
      const bytes = await redAndBlue(600, 600).toFormat(format, { quality: 95 }).toBuffer();
      const cut = bytes.subarray(0, Math.floor(bytes.length * 0.6));
      const why = await makeWorkingCopy(cut).then(
        () => null,
        (error: unknown) => error,
      );
      expect(why).toMatchObject({ name: 'ServiceError', code: 'broken' });
    },
  );

  it.each([0.03, 0.1, 0.6])('is called cut short with %d of a WebP or TIFF', async (share) => {
    for (const format of ['webp', 'tiff'] as const) {
      const bytes = await redAndBlue(600, 600).toFormat(format).toBuffer();
      await refused(bytes.subarray(0, Math.floor(bytes.length * share)), 'broken', /cut short/);
    }
  });

  it('is refused when a JPEG’s header promises more than there is', async () => {
    const jpeg = await redAndBlue(400, 300).jpeg().toBuffer();
    const frame = jpeg.indexOf(Buffer.from([0xff, 0xc0]));
    jpeg.writeUInt16BE(8000, frame + 5);
    jpeg.writeUInt16BE(9999, frame + 7);
    await refused(jpeg, 'broken', /cut short/);
  }, 60_000);

  it('is taken when a JPEG is whole and only oddly made', async () => {
    const jpeg = await redAndBlue(400, 300).jpeg().toBuffer();
    const odd = Buffer.concat([jpeg, Buffer.from('and something behind it')]);
    expect((await makeWorkingCopy(odd)).working.width).toBe(400);
  });

  it('is refused when nothing of it can be seen', async () => {
    const clear = await sharp(Buffer.alloc(16 * 16 * 4), {
      raw: { width: 16, height: 16, channels: 4 },
    })
      .png()
      .toBuffer();
    await refused(clear, 'transparent', /nothing to study/);
  });

  it('is refused by its header alone when it promises too many pixels', async () => {
    const start = performance.now();
    await refused(pngPromising(50_000, 50_000), 'too-many-pixels', /50000 × 50000.*80 million/);
    expect(performance.now() - start).toBeLessThan(1000);
  });

  it('is refused as a TIFF of several pages', async () => {
    const pages = await Promise.all(
      [redAndBlue(), redAndBlue().negate()].map((page) => page.png().toBuffer()),
    );
    const tiff = await sharp(pages, { join: { animated: true } })
      .tiff()
      .toBuffer();
    await refused(tiff, 'pages', /2 pages/);
  });
});
