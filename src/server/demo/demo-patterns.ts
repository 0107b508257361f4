import { randomUUID } from 'node:crypto';
import { readFile } from 'node:fs/promises';
import path from 'node:path';
import { z } from 'zod';
import { colourwayOf, DEFAULT_CHOICE, type PaintedDrawing } from '@/core/pattern/colourway';
import { mergedDrawing } from '@/core/pattern/merges';
import { paintsOfAreas } from '@/core/pattern/paints';
import { newPattern, patternContentSchema, type PatternContent } from '@/contracts/pattern';
import type { DrawingFacts } from '@/contracts/pattern-drawing';
import { addSource, keepColourway, targetsOf } from '@/study/pattern-edits';
import { getLibrary } from '../libraries/libraries';
import {
  fillPattern,
  getPattern,
  importPattern,
  restorePattern,
  savePattern,
} from '../patterns/patterns';
import { putBack } from './put-back';
import { demoFolder, demoId } from './story';

const { shape } = patternContentSchema;
const demoPatternSchema = z.object({
  file: z.string(),
  title: z.string(),
  note: z.string(),
  cloth: shape.cloth,
  /** Names of the demo's libraries, and those of them that are in use. */
  sources: z.array(z.string()),
  uses: z.array(z.string()),
  /** The regions of a drawing of lines are filled, gaps up to this share of its longer side bridged. */
  fill: z.number().optional(),
  kept: z.array(
    z.object({
      name: z.string(),
      from: z.array(z.string()),
      choice: shape.choice.partial(),
      favourite: z.boolean(),
    }),
  ),
});
type DemoPattern = z.infer<typeof demoPatternSchema>;

async function readDemoPatterns(): Promise<DemoPattern[]> {
  const file = path.join(/*turbopackIgnore: true*/ demoFolder(), 'patterns.json');
  return z.array(demoPatternSchema).parse(JSON.parse(await readFile(file, 'utf8')));
}

/** Puts the demo's patterns and their colourways back as they were; its libraries are there already. */
export async function seedPatterns(): Promise<void> {
  const entries = await readDemoPatterns();
  // The first of them is to hang first: the last one that is saved does.
  for (const entry of entries.toReversed()) {
    const id = demoId('pattern', entry.file);
    const was = await putBack(
      () => getPattern(id),
      () => restorePattern(id),
      async () => importPattern(await drawingFile(entry.file), entry.file, { id }),
    );
    const imported = was.drawings[0];
    const drawing =
      entry.fill === undefined ? imported : await fillPattern(id, imported.hash, entry.fill, false);
    await savePattern(id, was.revision, await contentOf(entry, drawing.hash, drawing.facts));
  }
}

const drawingFile = (file: string) =>
  readFile(path.join(/*turbopackIgnore: true*/ demoFolder(), 'patterns', file));

async function contentOf(
  { file, title, note, cloth, sources, uses, kept, fill }: DemoPattern,
  hash: string,
  facts: DrawingFacts,
): Promise<PatternContent> {
  let content: PatternContent = { ...newPattern(title, hash), note, cloth };
  for (const name of sources) {
    const library = await getLibrary(demoId('library', name));
    const add = addSource(
      {
        title: library.name,
        kind: 'library',
        colours: library.swatches.map(({ id, name: own, colour, share }) => ({
          id,
          name: own,
          colour,
          share,
        })),
      },
      randomUUID,
    );
    content = add(content);
  }
  const painted: PaintedDrawing = {
    paints: paintsOfAreas(facts.areas ?? []),
    touching: facts.touching,
    ground: facts.ground,
  };
  const merged = mergedDrawing(painted, targetsOf(content));
  for (const { name, from, choice: part, favourite } of kept) {
    const colours = content.sources
      .filter((source) => from.includes(source.title))
      .flatMap((source) => source.colours);
    const choice = { ...DEFAULT_CHOICE, moves: [], held: [], ...part };
    const { map, laid } = colourwayOf(merged, colours, choice);
    content = keepColourway({
      id: demoId('colourway', `${file}, ${name}`),
      name,
      favourite,
      made: { choice, colours, map: [...map], laid },
    })(content);
  }
  return {
    ...content,
    // Panes are filled by proportions.
    choice: fill === undefined ? content.choice : { ...content.choice, by: 'area' },
    sources: content.sources.map((source) => ({ ...source, used: uses.includes(source.title) })),
  };
}
