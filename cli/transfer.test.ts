import { access, readFile, writeFile } from 'node:fs/promises';
import sharp from 'sharp';
import { measureReportSchema } from '@/contracts/report';
import { redAndBlue } from '@/server/testing/test-pictures';
import { prism, testFolder } from './testing/run-prism';

const file = testFolder();

beforeAll(async () => {
  const picture = redAndBlue();
  await picture.clone().png().toFile(file('picture.png'));
});

describe('prism, putting colours on pictures and drawings', () => {
  it('puts a library’s colours on a picture, values held or nothing but these', async () => {
    await writeFile(
      file('two.gpl'),
      'GIMP Palette\nName: Two\n40 60 110 night\n210 180 120 straw\n',
    );
    const held = prism(
      'transfer',
      file('picture.png'),
      '--palette',
      file('two.gpl'),
      '--out',
      file('held.png'),
    );
    expect([held.status, held.stderr]).toEqual([0, '']);
    const { masses, mode } = JSON.parse(held.stdout) as {
      masses: { swatch: string }[];
      mode: string;
    };
    expect(mode).toBe('held');
    expect(masses.length).toBeGreaterThan(0);
    for (const { swatch } of masses) expect(['night', 'straw']).toContain(swatch);
    const medians = ['picture.png', 'held.png'].map((name) => {
      const { stdout } = prism('measure', file(name));
      return measureReportSchema.parse(JSON.parse(stdout)).values.median;
    });
    expect(Math.abs(medians[0] - medians[1])).toBeLessThan(0.1);
    const strict = prism(
      'transfer',
      file('picture.png'),
      '--palette',
      file('two.gpl'),
      '--mode',
      'strict',
      '--out',
      file('strict.png'),
    );
    expect(strict.status).toBe(0);
    const { data } = await sharp(file('strict.png'))
      .removeAlpha()
      .raw()
      .toBuffer({ resolveWithObject: true });
    const found = new Set<string>();
    for (let at = 0; at < data.length; at += 3) found.add(data.subarray(at, at + 3).join());
    for (const colour of found) expect(['40,60,110', '210,180,120']).toContain(colour);
    const dusk = prism('mood', file('picture.png'), '--mood', 'dusk', '--out', file('dusk.png'));
    expect(dusk.status).toBe(0);
    const { median } = JSON.parse(dusk.stdout) as { median: [number, number] };
    expect(median[1]).toBeLessThan(median[0]);
    for (const [words, ...args] of [
      ['needs --palette', 'transfer', file('picture.png'), '--out', file('no.png')],
      ['needs --out', 'mood', file('picture.png'), '--mood', 'dusk'],
      [
        '--mood takes one of',
        'mood',
        file('picture.png'),
        '--mood',
        'noonish',
        '--out',
        file('no.png'),
      ],
      [
        'letter.jpg',
        'transfer',
        file('picture.png'),
        '--palette',
        file('letter.jpg'),
        '--out',
        file('no.png'),
      ],
    ]) {
      const { status, stderr } = prism(...args);
      expect(status).toBe(2);
      expect(stderr).toContain(words);
    }
    await expect(access(file('no.png'))).rejects.toThrow();
  }, 120_000);

  it('recolours a drawing: nothing but its colours changes, and what could run is left out and said', async () => {
    const drawing =
      '\ufeff<?xml version="1.0"?>\r\n<!-- fill="#ff0000" -->\n<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 9 9">\r\n' +
      '<style>.a{fill:#202428}</style><rect class="a" width="9" height="9" onclick="x()"/>' +
      '<rect id="petal" width="4" height="4" fill="#e0d8c0"/><rect id="leaf" width="4" height="4" fill="#e2d9c2"/></svg>\n';
    await writeFile(file('tile.svg'), drawing);
    const args = ['--palette', file('two.gpl'), '--out', file('other.svg')];
    const { status, stderr, stdout } = prism('colourway', file('tile.svg'), ...args);
    expect([status, stderr]).toEqual([0, 'left out: the attribute onclick\n']);
    expect((await readFile(file('other.svg'))).toString()).toBe(
      drawing
        .replace(' onclick="x()"', '')
        .replace('#202428', '#283c6e')
        .replace('#e0d8c0', '#d2b478')
        .replace('#e2d9c2', '#d2b478'),
    );
    const { merged } = JSON.parse(stdout) as {
      merged: { keeps: string; strays: { hex: string; shapes: string[] }[] }[];
    };
    expect(merged).toHaveLength(1);
    expect(merged[0].strays[0].shapes).toEqual([merged[0].keeps === '#e0d8c0' ? 'leaf' : 'petal']);
    await writeFile(file('bare.svg'), '<svg xmlns="http://www.w3.org/2000/svg"/>');
    await writeFile(file('not.svg'), Buffer.from([0xff, 0xfe, 0x3c]));
    for (const [words, ...more] of [
      ['nothing in it is painted', file('bare.svg'), ...args],
      ['not UTF-8', file('not.svg'), ...args],
      ['not XML', file('two.gpl'), ...args],
      ['needs --palette', file('tile.svg'), '--out', file('no.svg')],
      ['--by takes one of', file('tile.svg'), '--by', 'mood', ...args],
    ]) {
      const refused = prism('colourway', ...more);
      expect(refused.status).toBe(2);
      expect(refused.stderr).toContain(words);
    }
  }, 60_000);
});
