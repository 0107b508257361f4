import { saveLibrarySchema } from '@/contracts/library';
import { deleteLibrary, getLibrary, saveLibrary } from '@/server/libraries/libraries';
import { answering, idOf } from '@/server/respond';

type Context = { params: Promise<{ id: string }> };

export const GET = answering(async (_: Request, context: Context) =>
  Response.json(await getLibrary(await idOf(context, 'library'))),
);

export const PUT = answering(async (request: Request, context: Context) => {
  const id = await idOf(context, 'library');
  const { basedOn, content } = saveLibrarySchema.parse(await request.json());
  return Response.json(await saveLibrary(id, basedOn, content));
});

export const DELETE = answering(async (_: Request, context: Context) => {
  await deleteLibrary(await idOf(context, 'library'));
  return new Response(null, { status: 204 });
});
