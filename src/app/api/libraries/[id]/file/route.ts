import { formatById } from '@/core/formats/formats';
import { notFound } from '@/server/errors';
import { carryOut } from '@/server/libraries/libraries';
import { answering, attachment, idOf } from '@/server/respond';

export const GET = answering(
  async (request: Request, context: { params: Promise<{ id: string }> }) => {
    const id = await idOf(context, 'library');
    const format = formatById(new URL(request.url).searchParams.get('format') ?? 'json');
    if (!format) throw notFound('format');
    const { text, fileName } = await carryOut(id, format);
    return new Response(text, {
      headers: {
        'content-type': `${format.mediaType}; charset=utf-8`,
        'content-disposition': attachment(fileName),
        'x-content-type-options': 'nosniff',
      },
    });
  },
);
