import { z } from 'zod';
import { folderNameSchema } from '@/contracts/library-search';
import { createFolder, listFolders, moveToFolder } from '@/server/libraries/folders';
import { answering } from '@/server/respond';

const newSchema = z.object({ name: folderNameSchema, id: z.uuid().optional() });
const moveSchema = z.object({ ids: z.array(z.uuid()).max(5000), folderId: z.uuid().nullable() });

export const GET = answering(async () => Response.json(await listFolders()));

export const POST = answering(async (request: Request) => {
  const { name, id } = newSchema.parse(await request.json());
  return Response.json({ id: await createFolder(name, id) }, { status: 201 });
});

/** Lays libraries into a folder, or out of any. */
export const PATCH = answering(async (request: Request) => {
  const { ids, folderId } = moveSchema.parse(await request.json());
  await moveToFolder(ids, folderId);
  return new Response(null, { status: 204 });
});
