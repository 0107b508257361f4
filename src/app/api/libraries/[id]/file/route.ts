import { formatById } from '@/core/formats/formats';
import { notFound } from '@/server/errors';
import { carryOut } from '@/server/libraries/travel';
import { answering, download, idOf } from '@/server/respond';

export const GET = answering(
  async (request: Request, context: { params: Promise<{ id: string }> }) => {
    const id = await idOf(context, 'library');
    const format = formatById(new URL(request.url).searchParams.get('format') ?? 'json');
    if (!format) throw notFound('format');
    const { bytes, fileName } = await carryOut(id, format);
    return download(bytes, format.mediaType, fileName);
  },
);
