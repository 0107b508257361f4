import { duplicateLibrary } from '@/server/libraries/libraries';
import { answering, idOf } from '@/server/respond';

export const POST = answering(async (_: Request, context: { params: Promise<{ id: string }> }) =>
  Response.json(await duplicateLibrary(await idOf(context, 'library')), { status: 201 }),
);
