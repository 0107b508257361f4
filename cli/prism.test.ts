import { spawnSync } from 'node:child_process';
import { access, mkdtemp, readFile, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import sharp from 'sharp';
import { mixReportSchema, pigmentReportSchema, recipeReportSchema } from '@/contracts/mix-report';
import { hiddenReportSchema, measureReportSchema, paletteReportSchema } from '@/contracts/report';
import { demoFolder } from '@/server/demo/story';
import { pngPromising, redAndBlue } from '@/server/testing/test-pictures';

let folder: string;
const file = (name: string) => path.join(folder, name);

beforeAll(async () => {
  folder = await mkdtemp(path.join(tmpdir(), 'prism-cli-'));
  const picture = redAndBlue();
  await picture.clone().png().toFile(file('picture.png'));
  await picture.clone().avif({ lossless: true }).toFile(file('picture.avif'));
  await picture.clone().tiff({ compression: 'lzw' }).toFile(file('picture.tiff'));
  await writeFile(file('letter.jpg'), 'Dear painter');
  await writeFile(file('bomb.png'), pngPromising(60_000, 60_000));
});
afterAll(() => rm(folder, { recursive: true }));

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

const demoPicture = (name: string) => path.join(demoFolder(), 'pictures', name);

/** The command line as one file, which the tests' set-up makes: it starts sooner than from its sources. */
const BUNDLE = ['build/prism.mjs'];
/** As `npm run prism` starts it. */
const SOURCES = ['node_modules/tsx/dist/cli.mjs', 'cli/prism.ts'];

const prism = (...args: string[]) => run(BUNDLE, args);

function run(program: readonly string[], args: readonly string[]) {
  const { status, stdout, stderr } = spawnSync(process.execPath, [...program, ...args], {
    encoding: 'utf8',
    timeout: 30_000,
    env: { ...process.env, NODE_OPTIONS: '' },
  });
  return { status, stdout, stderr };
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

  it('mixes paints, thick and thin', () => {
    const thick = prism('mix', 'PB29:1,PY35:3');
    expect([thick.status, thick.stderr]).toEqual([0, '']);
    const green = mixReportSchema.parse(JSON.parse(thick.stdout));
    expect(green.name).toContain('green');
    expect(green.inGamut).toBe(true);
    const thin = (...args: string[]) =>
      mixReportSchema.parse(JSON.parse(prism('mix', 'PB15:3', ...args).stdout));
    expect(thin('--thin', '0.05').value).toBeGreaterThan(thin().value + 1);
    expect(thin('--thin', '0.05', '--ground', '#c06020').value).toBeLessThan(
      thin('--thin', '0.05').value,
    );
  });

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

  it('finds recipes, and lists pigments', () => {
    const made = prism('recipe', '#7a5c3e', '--tubes', 'PW6,PB29,PY35,PR108');
    expect(made.status).toBe(0);
    const { recipes } = recipeReportSchema.parse(JSON.parse(made.stdout));
    expect(recipes[0].deltaE).toBeLessThan(2);
    const pairs = prism('recipe', '7a5c3e', '--tubes', 'PW6,PB29,PY35', '--most', '2');
    for (const { parts } of recipeReportSchema.parse(JSON.parse(pairs.stdout)).recipes)
      expect(parts.length).toBeLessThanOrEqual(2);
    const { pigments } = pigmentReportSchema.parse(JSON.parse(prism('pigments').stdout));
    expect(pigments.length).toBeGreaterThanOrEqual(40);
  });

  it('says in one line what is wrong with a mixture', () => {
    for (const [words, ...args] of [
      ['takes a mixture', 'mix'],
      ['PX1', 'mix', 'PX1:2'],
      ['stands for several', 'mix', 'PBr7'],
      ['above 0', 'mix', 'PB29:0'],
      ['from 0 to', 'mix', 'PB29', '--thin', 'x'],
      ['no colour', 'mix', 'PB29', '--ground', 'paper'],
      ['--thin goes with mix', 'recipe', '#808080', '--thin', '1', '--tubes', 'PW6'],
      ['needs --tubes', 'recipe', '#808080'],
      ['no colour', 'recipe', 'grey', '--tubes', 'PW6'],
      ['PX1', 'recipe', '#808080', '--tubes', 'PW6,PX1'],
      ['from 1 to 4', 'recipe', '#808080', '--tubes', 'PW6', '--most', '5'],
      ['takes nothing else', 'pigments', 'PW6'],
    ]) {
      const { status, stderr, stdout } = prism(...args);
      expect([status, stdout]).toEqual([2, '']);
      expect(stderr).toContain(words);
      expect(stderr.trim()).not.toContain('\n');
    }
  }, 120_000);

  it('measures a picture', () => {
    const { status, stdout } = run(SOURCES, ['measure', file('picture.png'), '--zones', '2']);
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
