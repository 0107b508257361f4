import { createLibrarySchema } from '@/contracts/library';
import { createLibrary, listLibraries } from '@/server/libraries/libraries';
import { answering } from '@/server/respond';

export const GET = answering(async () => Response.json(await listLibraries()));

export const POST = answering(async (request: Request) => {
  const { studyId, ...content } = createLibrarySchema.parse(await request.json());
  return Response.json(await createLibrary(content, studyId), { status: 201 });
});
