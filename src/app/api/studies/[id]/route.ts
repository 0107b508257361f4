import { renameSchema, saveStudySchema } from '@/contracts/study';
import { answering, idOf } from '@/server/respond';
import { deleteStudy, getStudy, renameStudy, saveStudy } from '@/server/studies/studies';

type Context = { params: Promise<{ id: string }> };

export const GET = answering(async (_: Request, context: Context) =>
  Response.json(await getStudy(await idOf(context, 'study'))),
);

export const PUT = answering(async (request: Request, context: Context) => {
  const id = await idOf(context, 'study');
  const { basedOn, document } = saveStudySchema.parse(await request.json());
  return Response.json(await saveStudy(id, basedOn, document));
});

export const PATCH = answering(async (request: Request, context: Context) => {
  const id = await idOf(context, 'study');
  await renameStudy(id, renameSchema.parse(await request.json()).title);
  return new Response(null, { status: 204 });
});

export const DELETE = answering(async (_: Request, context: Context) => {
  await deleteStudy(await idOf(context, 'study'));
  return new Response(null, { status: 204 });
});
