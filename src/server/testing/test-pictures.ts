import { crc32 } from '@/core/crc32';
import sharp, { type Sharp } from 'sharp';

/** For tests: a picture with a red left third and a blue rest, at any size. */
export function redAndBlue(width = 90, height = 60): Sharp {
  const data = Buffer.alloc(width * height * 3);
  for (let p = 0; p < width * height; p++)
    data.set(p % width < width / 3 ? [200, 40, 30] : [30, 60, 160], p * 3);
  return sharp(data, { raw: { width, height, channels: 3 } });
}

/** For tests: a PNG header that promises a picture of this size and brings none of it. */
export function pngPromising(width: number, height: number): Buffer {
  const chunk = Buffer.alloc(25);
  chunk.writeUInt32BE(13, 0);
  chunk.write('IHDR', 4, 'latin1');
  chunk.writeUInt32BE(width, 8);
  chunk.writeUInt32BE(height, 12);
  chunk.set([8, 2, 0, 0, 0], 16);
  chunk.writeUInt32BE(crc32(chunk.subarray(4, 21)), 21);
  const data = Buffer.from('0000000049444154', 'hex');
  return Buffer.concat([
    Buffer.from('89504e470d0a1a0a', 'hex'),
    chunk,
    data,
    Buffer.from('35af061e0000000049454e44ae426082', 'hex'),
  ]);
}
