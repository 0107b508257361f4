import { answering, idOf } from '@/server/respond';
import { restoreStudy } from '@/server/studies/studies';

export const POST = answering(async (_: Request, context: { params: Promise<{ id: string }> }) => {
  await restoreStudy(await idOf(context, 'study'));
  return new Response(null, { status: 204 });
});
