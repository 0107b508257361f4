import { ServiceError } from '@/server/errors';
import { bringInLibrary } from '@/server/libraries/libraries';
import { answering, readBody } from '@/server/respond';

const MOST_BYTES = 8 * 1024 * 1024;
const tooLarge = () =>
  new ServiceError(
    'too-many-bytes',
    'The file is larger than 8 MB, which no swatch library is. Nothing was stored.',
    413,
  );

export const POST = answering(async (request: Request) => {
  const bytes = await readBody(request, MOST_BYTES, tooLarge);
  const name = decodeURIComponent(request.headers.get('x-file-name') ?? '');
  return Response.json(await bringInLibrary(name, new TextDecoder().decode(bytes)), {
    status: 201,
  });
});
