import { eq } from 'drizzle-orm';
import type { Rendition } from '@/contracts/pictures';
import { database } from '../db/client';
import { picture, pictureBytes } from '../db/schema';
import { notFound } from '../errors';

const TYPE_OF = { working: 'image/png', thumbnail: 'image/webp' };

/** The bytes of a picture and their media type. They never change, so a client may keep them for ever. */
export async function getBytes(
  pictureId: string,
  rendition: Rendition,
): Promise<{ bytes: Uint8Array; type: string; name: string }> {
  const db = await database();
  const [row] = await db
    .select({ bytes: pictureBytes[rendition], type: picture.type, name: picture.name })
    .from(pictureBytes)
    .innerJoin(picture, eq(picture.id, pictureBytes.pictureId))
    .where(eq(pictureBytes.pictureId, pictureId));
  if (!row) throw notFound('picture');
  return { ...row, type: rendition === 'original' ? row.type : TYPE_OF[rendition] };
}

/** The thumbnail of a picture known by its content: what a swatch remembers of where it was taken. */
export async function thumbnailOf(hash: string): Promise<Uint8Array> {
  const db = await database();
  const [row] = await db
    .select({ thumbnail: pictureBytes.thumbnail })
    .from(pictureBytes)
    .innerJoin(picture, eq(picture.id, pictureBytes.pictureId))
    .where(eq(picture.hash, hash));
  if (!row) throw notFound('picture');
  return row.thumbnail;
}
