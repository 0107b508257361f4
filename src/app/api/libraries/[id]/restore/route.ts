import { answering, idOf } from '@/server/respond';
import { restoreLibrary } from '@/server/libraries/libraries';

export const POST = answering(async (_: Request, context: { params: Promise<{ id: string }> }) => {
  await restoreLibrary(await idOf(context, 'library'));
  return new Response(null, { status: 204 });
});
