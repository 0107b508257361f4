import { access, readFile, writeFile } from 'node:fs/promises';
import sharp from 'sharp';
import { hiddenReportSchema, measureReportSchema, paletteReportSchema } from '@/contracts/report';
import { pngPromising, redAndBlue } from '@/server/testing/test-pictures';
import { prism, prismOfSources, testFolder } from './testing/run-prism';

const file = testFolder();

beforeAll(async () => {
  const picture = redAndBlue();
  await picture.clone().png().toFile(file('picture.png'));
  await picture.clone().avif({ lossless: true }).toFile(file('picture.avif'));
  await picture.clone().tiff({ compression: 'lzw' }).toFile(file('picture.tiff'));
  await writeFile(file('letter.jpg'), 'Dear painter');
  await writeFile(file('bomb.png'), pngPromising(60_000, 60_000));
});

/** A warm grey with a cooler part on the right. */
async function fogFile(): Promise<string> {
  const name = file('fog.png');
  const cool = { create: { width: 60, height: 160, channels: 3 as const, background: '#a8aab2' } };
  await sharp({ create: { width: 360, height: 240, channels: 3, background: '#aeaaa6' } })
    .composite([{ input: await sharp(cool).png().toBuffer(), left: 260, top: 40 }])
    .png()
    .toFile(name);
  return name;
}
describe('prism', () => {
  it('lists hidden colours, and pushes them at the picture’s own size', async () => {
    const picture = await fogFile();
    const { status, stdout } = prism('hidden', picture);
    expect(status).toBe(0);
    const { hidden } = hiddenReportSchema.parse(JSON.parse(stdout));
    expect(hidden).toHaveLength(1);
    expect(hidden[0]).toMatchObject({
      family: 'blue',
      place: 'down the right side',
      share: expect.closeTo(0.11, 1),
    });
    for (const way of ['lift', 'quiet', 'spread', 'spread-local']) {
      const out = file(`${way}.png`);
      const made = prism('amplify', picture, '--way', way, '--strength', '0.8', '--out', out);
      expect([made.status, JSON.parse(made.stdout)]).toEqual([0, { out, width: 360, height: 240 }]);
      const spread = async (name: string) => {
        const pixel = await sharp(name)
          .removeAlpha()
          .extract({ left: 290, top: 120, width: 1, height: 1 })
          .raw()
          .toBuffer();
        return Math.max(...pixel) - Math.min(...pixel);
      };
      // So wide a part takes some of the cast around it along.
      const least = way === 'spread-local' ? 1.2 : 1.5;
      expect(await spread(out)).toBeGreaterThan(least * (await spread(picture)));
    }
  });

  it('says what is wrong with a push, and writes nothing', async () => {
    const picture = file('picture.png');
    for (const [words, ...args] of [
      ['needs --way', '--out', file('no.png')],
      ['needs --out', '--way', 'lift'],
      ['one of lift, quiet', '--way', 'shout', '--out', file('no.png')],
      ['from 0 to 1', '--way', 'lift', '--strength', '2', '--out', file('no.png')],
      ['--count goes with palette', '--way', 'lift', '--count', '3', '--out', file('no.png')],
      ['no-such-folder', '--way', 'lift', '--out', file('no-such-folder/no.png')],
    ]) {
      const { status, stderr, stdout } = prism('amplify', picture, ...args);
      expect([status, stdout]).toEqual([2, '']);
      expect(stderr).toContain(words);
    }
    await expect(access(file('no.png'))).rejects.toThrow();
  });

  it('converts a swatch library, says what is lost, and refuses a bad one', async () => {
    await writeFile(file('in.gpl'), 'GIMP Palette\nName: Dusk\n12 34 56 wet slate\n');
    const there = prism('convert', file('in.gpl'), file('out.tokens.json'));
    expect([there.status, there.stderr]).toEqual([0, '']);
    expect(JSON.parse(there.stdout)).toEqual({ from: 'gpl', to: 'tokens', swatches: 1 });
    const back = prism('convert', file('out.tokens.json'), file('out.list'), '--to', 'hex');
    expect(back.status).toBe(0);
    expect(back.stderr).toMatch(/^lost on the way: name, note, tags, .*exact colour/);
    expect(await readFile(file('out.list'), 'utf8')).toBe('#0c2238 wet slate\n');
    await writeFile(file('bad.gpl'), 'GIMP Palette\n1 2 300 too much\n');
    for (const [words, ...args] of [
      ['Line 2', file('bad.gpl'), file('no.css')],
      ['say --to', file('in.gpl'), file('no.xyz')],
      ['--to takes one of', file('in.gpl'), file('no.css'), '--to', 'paper'],
      ['a file to read and one to write', file('in.gpl')],
    ]) {
      const { status, stderr } = prism('convert', ...args);
      expect(status).toBe(2);
      expect(stderr).toContain(words);
    }
    await expect(access(file('no.css'))).rejects.toThrow();
  }, 120_000);

  it('carries a library through a picture, and reads a card', async () => {
    await writeFile(file('one.gpl'), 'GIMP Palette\nName: Dusk\n12 34 56 wet slate\n');
    expect(prism('convert', file('one.gpl'), file('one.png')).status).toBe(0);
    const carried = prism('convert', file('one.png'), file('one.json'));
    expect(JSON.parse(carried.stdout)).toEqual({ from: 'png', to: 'json', swatches: 1 });
    expect(await readFile(file('one.json'), 'utf8')).toContain('wet slate');
    // The chip and its grey.
    const card = prism('convert', file('one.png'), file('card.csv'), '--from', 'card');
    expect(JSON.parse(card.stdout)).toEqual({ from: 'card', to: 'csv', swatches: 2 });
    expect(await readFile(file('card.csv'), 'utf8')).toContain('#0c2238');
  }, 120_000);

  it('measures a picture', () => {
    const { status, stdout } = prismOfSources('measure', file('picture.png'), '--zones', '2');
    expect(status).toBe(0);
    const report = measureReportSchema.parse(JSON.parse(stdout));
    expect(report.picture).toMatchObject({ type: 'image/png', width: 90, height: 60 });
    expect(report.values.zones.map(({ share }) => share)).toEqual([
      expect.closeTo(2 / 3, 6),
      expect.closeTo(1 / 3, 6),
    ]);
  });

  it('reports light and shadow, focus and all else that is read of value', () => {
    const { stdout } = prism('measure', file('picture.png'));
    const report = measureReportSchema.parse(JSON.parse(stdout));
    const { values, lightAndShadow, focus, brightness, merging, edges, balance } = report;
    expect(values.carriedBy).toBe(2);
    expect(values.zones.map(({ hex, masses }) => [hex, masses])).toEqual([
      ['#1e3ca0', 1],
      ['#c8281e', 1],
    ]);
    // Red is the lighter of the two, and the warmer.
    expect(lightAndShadow.light).toMatchObject({ hex: '#c8281e', share: expect.closeTo(1 / 3, 6) });
    expect(lightAndShadow.shadow?.hex).toBe('#1e3ca0');
    expect(lightAndShadow.light?.temperature).toBeGreaterThan(1);
    expect(focus[0].meets).toHaveLength(2);
    expect(brightness.parted).toBe(1);
    expect(brightness.causes.map(({ family }) => family)).toEqual(['blue', 'red']);
    expect(merging).toEqual([]);
    expect(edges.found + edges.soft + edges.lost).toBeCloseTo(1, 9);
    expect(balance.left).toBeGreaterThan(0);
  });

  it('reports hues, key, temperature, chroma and harmony', () => {
    const { stdout } = prism('measure', file('picture.png'));
    const { hues, keyColour, temperature, chroma, harmony } = measureReportSchema.parse(
      JSON.parse(stdout),
    );
    expect(hues.dominant.map(({ family, share }) => [family, share])).toEqual([
      ['blue', expect.closeTo(2 / 3, 6)],
      ['red', expect.closeTo(1 / 3, 6)],
    ]);
    expect(hues.families.blue + hues.families.red).toBeCloseTo(1, 6);
    expect(keyColour?.bands).toHaveLength(5);
    expect(temperature.light).toBeGreaterThan(temperature.shadow as number);
    expect(chroma.words.moderate + chroma.words.strong + chroma.words.vivid).toBeCloseTo(1, 6);
    expect(chroma.p5).toBeLessThanOrEqual(chroma.p95);
    expect(harmony).toHaveLength(8);
    harmony.forEach(({ fit }, i) => expect(fit).toBeLessThanOrEqual(harmony[i - 1]?.fit ?? 100));
  });

  it.each(['picture.png', 'picture.avif', 'picture.tiff'])('extracts the palette of %s', (name) => {
    const { status, stdout } = prism('palette', file(name), '--count', '2');
    expect(status).toBe(0);
    const { swatches } = paletteReportSchema.parse(JSON.parse(stdout));
    expect(swatches.map(({ hex }) => hex)).toEqual(['#1e3ca0', '#c8281e']);
    expect(swatches.map(({ share }) => share)).toEqual([
      expect.closeTo(2 / 3, 6),
      expect.closeTo(1 / 3, 6),
    ]);
  });

  it.each([
    [[], /no command/],
    [['paint', 'x.png'], /no such command: paint/],
    [['measure'], /takes one picture/],
    [['measure', 'a.png', 'b.png'], /takes one picture/],
    [['measure', 'nowhere.png'], /nowhere.png: no such file/],
    [['measure', 'letter.jpg'], /not a picture that can be read/],
    [['measure', 'bomb.png'], /60000 × 60000 pixels/],
    [['measure', 'picture.png', '--zones', '12'], /--zones takes a whole number from 2 to 9/],
    [['palette', 'picture.png'], /needs --count/],
    [['palette', 'picture.png', '--count', 'many'], /--count takes a whole number from 2 to 16/],
    [['palette', 'picture.png', '--colour', '3'], /--colour/],
  ])('refuses %j with code 2 and one line', (args, words) => {
    const [verb, ...rest] = args;
    const withFolder = rest.map((arg) => (/\.(png|jpg)$/.test(arg) ? file(arg) : arg));
    const { status, stdout, stderr } = prism(...(verb ? [verb, ...withFolder] : []));
    expect(status).toBe(2);
    expect(stdout).toBe('');
    expect(stderr.trim()).toMatch(words);
    expect(stderr.trim().split('\n')).toHaveLength(1);
  });
});
