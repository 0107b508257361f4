import { csvColumnsSchema, MAX_FILE_BYTES } from '@/contracts/travel';
import { ServiceError } from '@/server/errors';
import { lookInto } from '@/server/libraries/travel';
import { answering, readBody } from '@/server/respond';

const tooLarge = () =>
  new ServiceError('too-many-bytes', 'The file is larger than 64 MB. Nothing was stored.', 413);

/** What a file would become; nothing is stored. */
export const POST = answering(async (request: Request) => {
  const bytes = await readBody(request, MAX_FILE_BYTES, tooLarge);
  const name = decodeURIComponent(request.headers.get('x-file-name') ?? '');
  const said = new URL(request.url).searchParams.get('columns');
  const columns = said === null ? undefined : csvColumnsSchema.parse(JSON.parse(said));
  return Response.json(await lookInto(name, bytes, columns));
});
