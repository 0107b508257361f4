import { librarySearchSchema } from '@/contracts/library-search';
import { countFacets } from '@/server/libraries/facets';
import { answering } from '@/server/respond';
import { getSettings } from '@/server/settings/settings';

export const POST = answering(async (request: Request) => {
  const search = librarySearchSchema.parse(await request.json());
  const { wheel } = await getSettings();
  return Response.json(await countFacets(search, wheel));
});
