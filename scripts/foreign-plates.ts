import { writeFile } from 'node:fs/promises';
import { oklabFromHex } from '../src/core/colour/hex';
import { platesOf } from '../src/core/mixing/plates';
import { pictureOf } from '../src/core/picture/picture';
import { platesAsFiles } from '../src/server/print/plates';
import { at, equal, program, report } from './foreign-tools';

/** Plates of three inks as other programs read them: every pixel of the PNGs, and the PDF. */
export async function checkPlates(): Promise<void> {
  const inks = ['#deaa37', '#be402b', '#2d5a7f'].map((hex) => oklabFromHex(hex)!);
  const [wide, high] = [60, 40];
  const picture = pictureOf(
    wide,
    high,
    Uint8ClampedArray.from({ length: wide * high * 4 }, (_, i) =>
      i % 4 === 3 ? 255 : 40 + ((i * 5) % 200),
    ),
  );
  const set = { paper: oklabFromHex('#f4efe3')!, inks };
  const files = await platesAsFiles(
    platesOf(set, picture),
    {
      inks: inks.map((colour, i) => ({ name: ['ochre', 'red', 'blue'][i], colour, strength: 1 })),
      paper: set.paper,
      kind: 'greys',
      ruling: 45,
      width: 10,
      framing: { angle: 0, crop: null },
      neutral: null,
    },
    'Dusk & “lamps” ☂',
  );
  for (const { name, bytes } of files) await writeFile(at(name), bytes);
  const plates = files.filter(({ name }) => /^\d/.test(name)).map(({ name }) => at(name));
  const whole = program('pngcheck', plates);
  report(
    'plates, png',
    'pngcheck',
    whole,
    Boolean(whole?.includes('8-bit grayscale')) && !whole?.includes('ERROR'),
    'three grey pictures, whole',
  );
  const script = at('plates.py');
  await writeFile(
    script,
    'import sys, json\nfrom PIL import Image\nprint(json.dumps([[i.mode, i.size, list(i.getdata())] for i in map(Image.open, sys.argv[1:])]))',
  );
  const read = program('/usr/bin/python3', [script, ...plates]);
  const opened = read?.trim().startsWith('[')
    ? (JSON.parse(read) as [string, [number, number], number[]][])
    : null;
  const own = platesOf(set, picture).plates.map((plate) => Array.from(plate, (ink) => 255 - ink));
  report(
    'plates, png',
    'Pillow',
    read && opened ? '' : read,
    equal(
      opened,
      own.map((pixels) => ['L', [wide, high], pixels]),
    ),
    'every pixel of every plate',
  );
  const checked = program('qpdf', ['--check', at('plates.pdf')]);
  report(
    'plates, pdf',
    'qpdf --check',
    checked,
    Boolean(checked?.includes('No syntax or stream')),
    'no error',
  );
  const text = program('pdftotext', ['-layout', at('plates.pdf'), '-']);
  report(
    'plates, pdf',
    'pdftotext',
    text,
    Boolean(text?.includes('Plate 3 of 3: blue') && text.includes('Proof on')),
    'a page a plate, and the proof',
  );
}
