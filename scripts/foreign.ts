// `npm run foreign`: writes a library in every format and opens the files with other programs, as far as they are
// installed (Debian: jq, librsvg2-bin, pngcheck, python3-pil, sqlite3, libreoffice-calc-nogui, python3-uno with
// libreoffice-draw-nogui, poppler-utils, qpdf, unzip, chromium). What they read is compared with what was written.
import { mkdir, readFile, rm, writeFile } from 'node:fs/promises';
import path from 'node:path';
import { chromium } from '@playwright/test';
import sharp from 'sharp';
import { hexFromOklab } from '../src/core/colour/hex';
import { oklabFromOklch } from '../src/core/colour/oklab';
import { toGamut } from '../src/core/colour/gamut';
import { FORMATS } from '../src/core/formats/formats';
import { bareSwatch, type LibraryFile } from '../src/core/formats/library-file';
import { chartOf } from '../src/core/formats/svg-chart';
import { writeLibrary } from '../src/server/files/library-bytes';
import { zipped } from '../src/server/files/zips';
import { libraryCard } from '../src/server/print/library-card';
import { DEFAULT_SETTINGS } from '../src/contracts/settings';
import { slugs } from '../src/core/formats/slugs';
import { at, equal, failures, folder, program, report } from './foreign-tools';
import { checkPlates } from './foreign-plates';
import { DEFAULT_LIBRARY_PALETTE, DEFAULT_LIBRARY_SWATCH } from '../src/study/library';

const NAMES = [
  'wet slate',
  'lamp, “late”',
  "o'clock red",
  'غروب',
  '灯りの色',
  '🌧️ & <b>',
  '=1+1',
  'fog;bank',
];
const library: LibraryFile = {
  name: 'Dusk & “lamps” ☂',
  note: 'for plate 3',
  tags: ['rain'],
  swatches: NAMES.map((name, i) =>
    bareSwatch(
      name,
      toGamut(oklabFromOklch({ L: 0.2 + i * 0.09, C: 0.02 + i * 0.015, h: i * 47 })),
    ),
  ),
};
const hexes = library.swatches.map(({ colour }) => hexFromOklab(colour));

for (const format of FORMATS)
  await writeFile(at(`a.${format.extension}`), await writeLibrary(library, format));

for (const [file, query] of [
  ['a.prism.json', '[.library.swatches[] | [.name, .hex]]'],
  [
    'a.tokens.json',
    '[to_entries[] | select(.key | startswith("$") | not) | [.value["$extensions"]["bold-prism"].name, .value["$value"].hex]]',
  ],
]) {
  const read = program('jq', ['-c', query, at(file)]);
  const wanted = NAMES.map((name, i) => [name, hexes[i]]);
  report(
    file.slice(2),
    'jq',
    read,
    equal(read && JSON.parse(read), wanted),
    'names and hex of each',
  );
}

{
  const chart = chartOf(library);
  const read = program('rsvg-convert', ['-o', at('chart.png'), at('a.svg')]);
  const { data, info } =
    read === null
      ? { data: Buffer.alloc(0), info: { width: 1 } }
      : await sharp(at('chart.png')).removeAlpha().raw().toBuffer({ resolveWithObject: true });
  const drawn = chart.blocks.map(({ x, y, width, height }) => {
    const p = (Math.round(y + height / 2) * info.width + Math.round(x + width / 2)) * 3;
    return `#${data.subarray(p, p + 3).toString('hex')}`;
  });
  report(
    'svg',
    'rsvg-convert',
    read,
    equal(
      drawn,
      chart.blocks.map(({ fill }) => fill),
    ),
    'pixel in the middle of each chip and grey',
  );
}

{
  const checked = program('pngcheck', ['-t', at('a.png')]);
  report(
    'png',
    'pngcheck',
    checked,
    Boolean(checked && /OK:/.test(checked) && checked.includes('bold-prism-library')),
    'whole, and the text is there',
  );
  const script =
    'import sys; from PIL import Image; print(Image.open(sys.argv[1]).text["bold-prism-library"])';
  const read = program('/usr/bin/python3', ['-c', script, at('a.png')]);
  const parsed = read?.startsWith('{')
    ? (JSON.parse(read) as { library: { swatches: { name: string }[] } })
    : null;
  report(
    'png',
    'Pillow',
    read,
    equal(
      parsed?.library.swatches.map(({ name }) => name),
      NAMES,
    ),
    'names in the library it carries',
  );
}

{
  const read = program('sqlite3', [
    ':memory:',
    '-cmd',
    `.import --csv ${at('a.csv')} t`,
    '.mode json',
    'select name, hex from t',
  ]);
  const parsed = read?.startsWith('[')
    ? (JSON.parse(read) as { name: string; hex: string }[])
    : null;
  const wanted = NAMES.map((name, i) => ({
    name: name.startsWith('=') ? `'${name}` : name,
    hex: hexes[i],
  }));
  report('csv', 'sqlite3 .import', read, equal(parsed, wanted), 'names and hex of each row');
  const done = program('soffice', [
    '--headless',
    `-env:UserInstallation=file://${at('office')}`,
    '--convert-to',
    'fods:OpenDocument Spreadsheet Flat XML',
    '--infilter=CSV:44,34,76,1',
    '--outdir',
    folder,
    at('a.csv'),
  ]);
  const sheet = done === null ? '' : await readFile(at('a.fods'), 'utf8').catch(() => '');
  report(
    'csv',
    'LibreOffice Calc',
    done,
    hexes.every((hex) => sheet.includes(`>${hex}<`)) && !sheet.includes('table:formula'),
    'hex of each as text, and no formula in any cell',
  );
}

{
  const script =
    'import json, sys; from PIL.GimpPaletteFile import GimpPaletteFile as P; p, _ = P(open(sys.argv[1], "rb")).getpalette(); print(json.dumps(["#%02x%02x%02x" % tuple(p[3*i:3*i+3]) for i in range(256)]))';
  // It counts the lines of the head as entries.
  const read = program('/usr/bin/python3', ['-c', script, at('a.gpl')]);
  report(
    'gpl',
    'Pillow',
    read,
    read !== null && read.includes(JSON.stringify(hexes).slice(1, -1).replaceAll(',', ', ')),
    'the colours of its palette',
  );
}

{
  const user = at('office/user/config');
  await mkdir(user, { recursive: true });
  await writeFile(path.join(user, 'standard.soc'), await readFile(at('a.soc')));
  const script = at('soc.py');
  await writeFile(
    script,
    `import json, subprocess, sys, time, uno
office = subprocess.Popen(["soffice", "--headless", "--norestore", "-env:UserInstallation=file://${at('office')}", "--accept=pipe,name=prism;urp;"])
try:
    local = uno.getComponentContext()
    resolver = local.ServiceManager.createInstanceWithContext("com.sun.star.bridge.UnoUrlResolver", local)
    for _ in range(120):
        try:
            context = resolver.resolve("uno:pipe,name=prism;urp;StarOffice.ComponentContext")
            break
        except Exception:
            time.sleep(0.5)
    table = context.ServiceManager.createInstanceWithContext("com.sun.star.drawing.ColorTable", context)
    print(json.dumps({name: "#%06x" % table.getByName(name) for name in table.getElementNames()}))
finally:
    office.terminate()
`,
  );
  const read = program('/usr/bin/python3', [script]);
  const table = read?.trim().startsWith('{') ? (JSON.parse(read) as Record<string, string>) : null;
  report(
    'soc',
    'LibreOffice (UNO)',
    read,
    NAMES.every((name, i) => table?.[name] === hexes[i]),
    'names and colours of its colour table',
  );
}

{
  const browser = await chromium
    .launch({
      executablePath: process.env.PRISM_CHROMIUM ?? '/usr/bin/chromium',
      args: ['--no-sandbox'],
    })
    .catch(() => null);
  const page = await browser?.newPage();
  await page?.addStyleTag({ content: await readFile(at('a.css'), 'utf8') });
  const read = await page?.evaluate((names) => {
    const canvas = document.createElement('canvas').getContext('2d', { willReadFrequently: true });
    return names.map((name) => {
      document.body.style.color = `var(--${name})`;
      if (!canvas) return '';
      canvas.fillStyle = getComputedStyle(document.body).color;
      canvas.fillRect(0, 0, 1, 1);
      return [...canvas.getImageData(0, 0, 1, 1).data.slice(0, 3)];
    });
  }, slugs(NAMES));
  // A browser may round a half the other way.
  const near = read?.every((channels, i) => {
    const wanted = [1, 3, 5].map((k) => parseInt(hexes[i].slice(k, k + 2), 16));
    return wanted.every((byte, k) => Math.abs(byte - Number(channels[k])) <= 1);
  });
  report(
    'css',
    'chromium',
    read ? JSON.stringify(read) : null,
    Boolean(near),
    'the colour that each property paints',
  );
  await browser?.close();
}

{
  await writeFile(
    at('card.pdf'),
    await libraryCard(
      {
        ...library,
        id: '',
        revision: 1,
        studyId: null,
        createdAt: '',
        updatedAt: new Date().toISOString(),
        ...DEFAULT_LIBRARY_PALETTE,
        swatches: library.swatches.map((swatch, i) => ({
          ...DEFAULT_LIBRARY_SWATCH,
          ...swatch,
          id: String(i),
        })),
      },
      null,
      DEFAULT_SETTINGS.scale,
      'a4',
    ),
  );
  const checked = program('qpdf', ['--check', at('card.pdf')]);
  report(
    'pdf',
    'qpdf --check',
    checked,
    Boolean(checked?.includes('No syntax or stream')),
    'no error',
  );
  const text = program('pdftotext', ['-layout', at('card.pdf'), '-']);
  report(
    'pdf',
    'pdftotext',
    text,
    hexes.every((hex) => text?.includes(hex)) && Boolean(text?.includes('wet slate')),
    'hex of each chip, as text',
  );
  const drawn = program('pdftocairo', [
    '-png',
    '-r',
    '100',
    '-singlefile',
    at('card.pdf'),
    at('card'),
  ]);
  const pixels =
    drawn === null ? Buffer.alloc(0) : await sharp(at('card.png')).removeAlpha().raw().toBuffer();
  const seen = new Set<string>();
  for (let p = 0; p + 2 < pixels.length; p += 3)
    seen.add(pixels.subarray(p, p + 3).toString('hex'));
  report(
    'pdf',
    'pdftocairo',
    drawn,
    hexes.every((hex) => seen.has(hex.slice(1))),
    'each chip’s colour among the pixels',
  );
}

await checkPlates();

{
  await writeFile(
    at('all.zip'),
    await zipped([
      { name: 'a.gpl', bytes: await readFile(at('a.gpl')) },
      { name: 'a.gpl', bytes: await readFile(at('a.gpl')) },
    ]),
  );
  const read = program('unzip', ['-t', at('all.zip')]);
  report(
    'zip',
    'unzip -t',
    read,
    Boolean(read?.includes('No errors detected')) && Boolean(read?.includes('a 2.gpl')),
    'whole, two files',
  );
}

await rm(folder, { recursive: true, force: true });
process.exit(failures() > 0 ? 1 : 0);
