import { readFile } from 'node:fs/promises';
import path from 'node:path';
import { z } from 'zod';
import { oklabFromHex } from '@/core/colour/hex';
import { ITEM_KINDS, shelfContentSchema, itemSchema, type ShelfContent } from '@/contracts/shelf';
import { ServiceError } from '../errors';
import { getShelf, saveShelf } from '../shelf/shelf';
import { demoFolder, demoId } from './story';

const colour = z
  .string()
  .transform((text) => oklabFromHex(text))
  .refine((found) => found !== null);

const { owner, tubes, tries } = shelfContentSchema.shape;
const items = z.array(itemSchema.omit({ id: true }).extend({ key: z.string(), colour }));
const demoShelfSchema = z.object({
  owner,
  tubes: z.array(tubes.element.omit({ id: true, card: true }).extend({ key: z.string() })),
  sticks: items,
  pencils: items,
  inks: items,
  tries: z.array(
    tries.element
      .omit({ id: true, target: true, result: true })
      .extend({ target: colour, result: colour.nullable() }),
  ),
});

/** The illustrator's tubes and what came of mixing them, under ids that are the same in every store. */
export async function readDemoShelf(): Promise<ShelfContent> {
  const file = path.join(/*turbopackIgnore: true*/ demoFolder(), 'shelf.json');
  const story = demoShelfSchema.parse(JSON.parse(await readFile(file, 'utf8')));
  return shelfContentSchema.parse({
    owner: story.owner,
    tubes: story.tubes.map(({ key, ...tube }) => ({
      ...tube,
      card: null,
      id: demoId('tube', key),
    })),
    ...Object.fromEntries(
      ITEM_KINDS.map((kind) => [
        kind,
        story[kind].map(({ key, ...item }) => ({ ...item, id: demoId('stick', key) })),
      ]),
    ),
    tries: story.tries.map(({ parts, ...one }) => ({
      ...one,
      id: demoId('try', one.name),
      parts: parts.map(({ tube, parts: amount }) => ({
        tube: demoId('tube', tube),
        parts: amount,
      })),
    })),
  });
}

/** Puts the demo's tubes and tries back as they were, and leaves what else is on the shelf as it is. */
export async function seedShelf(): Promise<void> {
  const story = await readDemoShelf();
  const { revision, content } = await getShelf();
  const own = <T extends { id: string }>(here: readonly T[], theirs: readonly { id: string }[]) =>
    here.filter(({ id }) => theirs.every((one) => one.id !== id));
  try {
    await saveShelf(revision, {
      owner: content.owner || story.owner,
      tubes: [...story.tubes, ...own(content.tubes, story.tubes)],
      bin: own(content.bin, story.tubes),
      sticks: [...story.sticks, ...own(content.sticks, story.sticks)],
      pencils: [...story.pencils, ...own(content.pencils, story.pencils)],
      inks: [...story.inks, ...own(content.inks, story.inks)],
      tries: [...story.tries, ...own(content.tries, story.tries)],
      patches: content.patches,
    });
  } catch (error) {
    // Somebody has just changed it: what they did stands, and the demo's tubes can be started again.
    if (!(error instanceof ServiceError) || error.code !== 'newer') throw error;
  }
}
