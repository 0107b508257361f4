import { readFile, writeFile } from 'node:fs/promises';
import path from 'node:path';
import sharp from 'sharp';
import { readHidden } from '../src/core/amplify/hidden';
import { pushable } from '../src/core/amplify/pushed';
import { hexFromOklab } from '../src/core/colour/hex';
import { paletteNames } from '../src/core/colour/name';
import { MUNSELL_SCALE as SCALE } from '../src/core/colour/value-scale';
import { readDepth } from '../src/core/depth/depth-study';
import { readForm } from '../src/core/form/form-study';
import { carriedBy } from '../src/core/measure/carried';
import { readColourStudy } from '../src/core/measure/colour-study';
import { measureSources } from '../src/core/measure/sources';
import { readValueStudy } from '../src/core/measure/value-study';
import { extractPalette } from '../src/core/palette/extract';
import { DEFAULT_SQUINT as squint } from '../src/core/picture/squint';
import { DEFAULT_PUSH } from '../src/contracts/hidden';
import {
  chromaSentence,
  harmonySentence,
  huesSentence,
  readsAsSentence,
  warmthSentence,
} from '../src/screens/desk/steps/colours/colour-sentences';
import { hiddenSentence } from '../src/screens/desk/steps/hidden/hidden-sentences';
import { focusSentence } from '../src/screens/desk/steps/values/focus-sentence';
import { recessionSentence } from '../src/screens/desk/steps/values/depth-sentence';
import {
  contourWords,
  formSentence,
  haloWords,
  reflectionWords,
  shadowWords,
} from '../src/screens/desk/steps/values/form-sentence';
import { greysSentence } from '../src/screens/desk/steps/values/greys-sentence';
import { lightSentence } from '../src/screens/desk/steps/values/light-sentence';
import { mergingSentence } from '../src/screens/desk/steps/values/separation-sentence';
import { valueSentence } from '../src/screens/desk/steps/values/value-sentence';
import { makeWorkingCopy } from '../src/server/pictures/read-picture';
import { photographs } from './photographs';

const PAGE = 'build/pictures.html';

/** What the Desk says of each of the demo's pictures and of real photographs, as one page to be read as a painter would. */
export async function readPictures(): Promise<void> {
  const demo = ['conductor', 'enamel-tile', 'lower-station', 'passing-loop', 'poster'].concat([
    'slate-terrace',
    'summit',
    'ticket-hall',
    'winch-room',
  ]);
  const pictures = [
    ...demo.map((name) => ({
      name,
      file: `demo/pictures/${name}.${/loop|summit/.test(name) ? 'jpg' : 'webp'}`,
    })),
    ...photographs(path.join(process.cwd(), 'build/wallpapers')),
  ];
  const entries: string[] = [];
  for (const { name, file } of pictures) {
    const bytes = await readFile(file);
    const sentences = await readingOf(bytes);
    for (const [topic, words] of sentences) console.log(`${name}, ${topic}: ${words}`);
    entries.push(await entryOf(name, bytes, sentences));
  }
  await writeFile(PAGE, pageOf(entries));
  console.log(`\n${pictures.length} pictures: ${PAGE}`);
}

/** The sentence of each step and tab, and what its list holds. */
async function readingOf(bytes: Uint8Array): Promise<[string, string][]> {
  const { working } = await makeWorkingCopy(bytes);
  const sources = measureSources(working);
  const settings = { zones: 'carried' as const, breaks: 'natural' as const, squint };
  const { values, lightAndShadow, brightness, merging, focus } = readValueStudy(sources, settings);
  const zones = { zones: Math.max(2, values.zones.length), breaks: 'natural' as const };
  const colours = readColourStudy(sources, { zones });
  const hidden = readHidden(pushable(working, null, sources.blocks), DEFAULT_PUSH).colours;
  const form = readForm(sources, squint);
  const { masses } = form;
  const { swatches } = extractPalette(working, { count: 8 });
  const names = paletteNames(swatches.map(({ colour }) => colour));
  const { length } = sources.masses(squint).masses.masses;
  return [
    ['range', valueSentence(values, carriedBy(values), 'natural', SCALE, values)],
    ['light', lightSentence(lightAndShadow, SCALE)],
    ['separation', mergingSentence(merging, length)],
    ['form', formSentence(form, SCALE)],
    ['depth, as guessed', recessionSentence(readDepth(sources, squint, []).recession, SCALE)],
    ...form.reflections.map((one): [string, string] => [
      'likeness',
      reflectionWords(one, masses, SCALE),
    ]),
    ...form.shadows.map((one): [string, string] => ['shadow', shadowWords(one, masses, SCALE)]),
    ...form.lines.map((one): [string, string] => ['line', contourWords(one, masses, SCALE)]),
    ...form.halos.map((one): [string, string] => ['halo', haloWords(one, masses, SCALE)]),
    ['focus', focusSentence(focus.places, focus.quiet)],
    ['greys', greysSentence(brightness, SCALE)],
    ['hues', huesSentence(colours.hues, colours.keyColour)],
    ['warmth', warmthSentence(colours.temperature)],
    ['intensity', chromaSentence(colours.chroma)],
    ['harmony', harmonySentence(colours.harmony)],
    ['reads as', readsAsSentence(colours.readsAs)],
    ['hidden', hiddenSentence(hidden)],
    ['hidden, listed', hidden.map(({ readsAs, place }) => `${readsAs} ${place}`).join('; ')],
    ['palette', swatches.map(({ colour }, i) => `${names[i]} ${hexFromOklab(colour)}`).join(', ')],
  ];
}

const escaped = (text: string) => text.replaceAll('&', '&amp;').replaceAll('<', '&lt;');

async function entryOf(
  name: string,
  bytes: Uint8Array,
  sentences: readonly [string, string][],
): Promise<string> {
  const small = await sharp(bytes)
    .rotate()
    .resize(560, 560, { fit: 'inside' })
    .jpeg({ quality: 82 })
    .toBuffer();
  const rows = sentences
    .map(([topic, words]) => `<dt>${topic}</dt><dd>${escaped(words)}</dd>`)
    .join('');
  return `<article><img alt="" src="data:image/jpeg;base64,${small.toString('base64')}"><div><h2>${escaped(name)}</h2><dl>${rows}</dl></div></article>`;
}

function pageOf(entries: readonly string[]): string {
  return `<!doctype html><html lang="en"><meta charset="utf-8"><title>Readings</title><style>
body { background: #8b8b8b; font: 14px/1.35 sans-serif; margin: 24px }
article { background: #efefef; display: flex; gap: 20px; margin-bottom: 24px; padding: 16px }
img { align-self: start } h2 { margin: 0 0 8px } dl { display: grid; grid-template-columns: 90px 1fr; gap: 3px 12px; margin: 0 }
dt { color: #555 } dd { margin: 0 }
</style>${entries.join('\n')}</html>`;
}
