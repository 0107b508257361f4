import sharp from 'sharp';
import { demoPicture, prism, testFolder } from './testing/run-prism';

const file = testFolder();

describe('prism, on a study and its model', () => {
  it('compares a study with its model: the shift, relations with their places, and how well it lies', async () => {
    const model = file('model.png');
    const other = file('other.png');
    await sharp(demoPicture('lower-station.webp')).resize(480).png().toFile(model);
    await sharp(demoPicture('summit.jpg')).resize(480).png().toFile(other);
    const same = prism('compare', model, model, '--digital');
    expect(same.status).toBe(0);
    const report = JSON.parse(same.stdout) as {
      shift: unknown;
      relations: unknown[];
      registration: { error: number; confidence: number };
    };
    expect(report.shift).toEqual({
      value: expect.closeTo(0, 1),
      valueGain: expect.closeTo(1, 1),
      chromaGain: expect.closeTo(1, 1),
      hueTurn: expect.closeTo(0, 0),
      words: 'On the whole the study stands where its model does.',
    });
    expect(report.relations).toEqual([]);
    expect(report.registration.error).toBeLessThan(0.005);
    expect(report.registration.confidence).toBeGreaterThan(0.9);
    // Lighter in its left half.
    const { width, height } = await sharp(model).metadata();
    const lighter = {
      width: Math.round(width / 2),
      height,
      channels: 4 as const,
      background: { r: 255, g: 255, b: 255, alpha: 0.3 },
    };
    const overlay = await sharp({ create: lighter }).png().toBuffer();
    await sharp(model)
      .composite([{ input: overlay, left: 0, top: 0 }])
      .png()
      .toFile(file('study.png'));
    const half = prism('compare', model, file('study.png'));
    const { shift, relations } = JSON.parse(half.stdout) as {
      shift: null;
      relations: {
        x: number;
        y: number;
        value: number;
        chroma: number;
        hue: number;
        words: string;
      }[];
    };
    expect(shift).toBeNull();
    expect(Object.keys(relations[0])).toEqual(['x', 'y', 'value', 'chroma', 'hue', 'words']);
    expect(Math.abs(relations[0].value)).toBeGreaterThan(1);
    expect(relations[0].words).toMatch(relations[0].value > 0 ? /too light/ : /too dark/);
    for (const [words, ...more] of [
      ['name its corners', model, other],
      ['corners takes 8 numbers', model, model, '--corners', '0,0,1,0'],
      ['white takes 2 numbers', model, model, '--white', '0.5,2'],
      ['a model and a study', model],
      ['on a line', model, model, '--corners', '0,0,0.5,0,1,0,0,1'],
    ]) {
      const refused = prism('compare', ...more);
      expect(refused.status).toBe(2);
      expect(refused.stderr).toContain(words);
    }
  }, 120_000);
});
