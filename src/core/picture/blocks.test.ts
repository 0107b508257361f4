import fc from 'fast-check';
import { anyPicture } from '../testing';
import { blocksOf, sampledBlocks } from './blocks';
import { mirror } from './picture';

describe('blocks', () => {
  it('are sampled from right to left as a mirror would turn the picture', () => {
    fc.assert(
      fc.property(anyPicture, (picture) => {
        expect(sampledBlocks(picture, true)).toEqual(sampledBlocks(mirror(picture)));
      }),
    );
  });

  it('count every opaque pixel once', () => {
    fc.assert(
      fc.property(anyPicture, (picture) => {
        const opaque = picture.data.filter((byte, i) => i % 4 === 3 && byte >= 128).length;
        expect(blocksOf(picture).opaque.reduce((sum, count) => sum + count, 0)).toBe(opaque);
      }),
    );
  });
});
