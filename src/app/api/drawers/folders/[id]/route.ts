import { z } from 'zod';
import { folderNameSchema } from '@/contracts/library-search';
import { deleteFolder, renameFolder } from '@/server/libraries/folders';
import { answering, idOf } from '@/server/respond';

type Context = { params: Promise<{ id: string }> };
const bodySchema = z.object({ name: folderNameSchema });

export const PUT = answering(async (request: Request, context: Context) => {
  const { name } = bodySchema.parse(await request.json());
  await renameFolder(await idOf(context, 'folder'), name);
  return new Response(null, { status: 204 });
});

export const DELETE = answering(async (_: Request, context: Context) =>
  Response.json({ ids: await deleteFolder(await idOf(context, 'folder')) }),
);
