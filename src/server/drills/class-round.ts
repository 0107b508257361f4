import { readFile } from 'node:fs/promises';
import path from 'node:path';
import { randomUUID } from 'node:crypto';
import type { z } from 'zod';
import { wheelOf } from '@/core/colour/wheel';
import { CLASS_KINDS, roundOf } from '@/core/drills/teachers-round';
import { classRoundSchema, type ClassRound, type classRoundQuery } from '@/contracts/class-round';
import { ServiceError } from '../errors';
import { getLibrary } from '../libraries/libraries';
import { getSettings } from '../settings/settings';
import { getStudy } from '../studies/studies';

/** What nearly every screen shows: nobody has checked the ones that a round is given to. */
const ANY_SCREEN = { darkest: 2.5, lightest: 9 };
const DIFFICULTY = { easy: 0.15, middle: 0.45, hard: 0.8 };

type Asked = z.infer<typeof classRoundQuery>;

/** The questions of a round. Throws not-found for a study or a library that isn't there. */
async function classRound(wanted: Asked): Promise<ClassRound> {
  const { title, study, library, count, level, seed } = wanted;
  const { wheel, scale, surround } = await getSettings();
  const swatches = study
    ? (await getStudy(study)).document.palette.swatches
    : library
      ? (await getLibrary(library)).swatches
      : [];
  const questions = roundOf(
    seed,
    CLASS_KINDS,
    {
      wheel: wheelOf(wheel),
      screen: ANY_SCREEN,
      difficulty: DIFFICULTY[level],
      colours: swatches.map(({ colour }) => colour),
    },
    count,
  );
  if (questions.length === 0)
    throw new ServiceError('no-question', 'No question can be made of these colours.', 422);
  return classRoundSchema.parse({ id: randomUUID(), title, wheel, scale, surround, questions });
}

/** What is built of `screens/practice/class/page`. */
const builtFile = (ending: 'js' | 'css') =>
  path.join(/*turbopackIgnore: true*/ process.cwd(), `build/workers/round-page.${ending}`);

/** A round as one HTML file that needs nothing else, no network either. */
export async function classRoundPage(wanted: Asked): Promise<Uint8Array> {
  const round = await classRound(wanted);
  const [script, style] = await Promise.all([
    readFile(builtFile('js'), 'utf8'),
    readFile(builtFile('css'), 'utf8'),
  ]);
  // No text of a title and nothing of the script ends the element that it stands in.
  const data = JSON.stringify(round).replaceAll('<', '\\u003c');
  const page = [
    `<!doctype html><html lang="en" data-surround="${round.surround}">`,
    '<head><meta charset="utf-8"><meta name="viewport" content="width=device-width,initial-scale=1">',
    `<title>${escaped(round.title)}</title><style>${style}</style></head>`,
    '<body><main></main>',
    `<script type="application/json" id="round">${data}</script>`,
    `<script>${script.replaceAll('</script', '<\\/script')}</script>`,
    '</body></html>',
  ].join('\n');
  return new TextEncoder().encode(page);
}

const escaped = (text: string): string =>
  text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;');
