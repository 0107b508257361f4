import { createLibrarySchema } from '@/contracts/library';
import { addLibrary, listLibraries } from '@/server/libraries/libraries';
import { answering } from '@/server/respond';

export const GET = answering(async () => Response.json(await listLibraries()));

export const POST = answering(async (request: Request) => {
  const made = await addLibrary(createLibrarySchema.parse(await request.json()));
  return Response.json(made, { status: 201 });
});
