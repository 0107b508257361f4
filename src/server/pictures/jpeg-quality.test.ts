import sharp from 'sharp';
import { jpegQuality } from './jpeg-quality';

describe('the quality of a JPEG', () => {
  it('is read off its tables, as it was written', async () => {
    const picture = sharp({
      create: { width: 32, height: 32, channels: 3, background: '#887766' },
    });
    for (const quality of [20, 45, 60, 85, 97]) {
      const bytes = await picture.clone().jpeg({ quality }).toBuffer();
      expect(Math.abs((jpegQuality(bytes) ?? 0) - quality)).toBeLessThanOrEqual(2);
    }
  });

  it('is none for what is no JPEG, or is broken off', async () => {
    const picture = sharp({ create: { width: 8, height: 8, channels: 3, background: '#888' } });
    expect(jpegQuality(await picture.clone().png().toBuffer())).toBeNull();
    expect(jpegQuality(new Uint8Array())).toBeNull();
    const jpeg = await picture.clone().jpeg().toBuffer();
    for (let length = 2; length < 60; length++)
      expect(() => jpegQuality(jpeg.subarray(0, length))).not.toThrow();
  });
});
