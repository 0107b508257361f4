import { searchRequestSchema } from '@/contracts/library-search';
import { searchLibraries } from '@/server/libraries/search';
import { answering } from '@/server/respond';
import { getSettings } from '@/server/settings/settings';

export const POST = answering(async (request: Request) => {
  const { search, offset, limit } = searchRequestSchema.parse(await request.json());
  const { wheel } = await getSettings();
  return Response.json(await searchLibraries(search, wheel, offset, limit));
});
