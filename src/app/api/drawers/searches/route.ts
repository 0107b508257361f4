import { z } from 'zod';
import { librarySearchSchema } from '@/contracts/library-search';
import { keepSearch, listSearches } from '@/server/libraries/saved-searches';
import { answering } from '@/server/respond';

const bodySchema = z.object({
  name: z.string().trim().min(1, 'A search needs a name.').max(100),
  search: librarySearchSchema,
  id: z.uuid().optional(),
});

export const GET = answering(async () => Response.json(await listSearches()));

export const POST = answering(async (request: Request) => {
  const { name, search, id } = bodySchema.parse(await request.json());
  return Response.json({ id: await keepSearch(name, search, id) }, { status: 201 });
});
