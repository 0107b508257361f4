import { formatById } from '@/core/formats/formats';
import { notFound } from '@/server/errors';
import { carryOutAll } from '@/server/libraries/travel';
import { answering, download } from '@/server/respond';
import { z } from 'zod';

/** Libraries as one zip: those of `ids`, with commas between, or all. */
export const GET = answering(async (request: Request) => {
  const query = new URL(request.url).searchParams;
  const format = formatById(query.get('format') ?? 'json');
  if (!format) throw notFound('format');
  const ids = query.get('ids');
  const chosen = ids === null ? null : z.array(z.uuid()).parse(ids.split(','));
  return download(await carryOutAll(chosen, format), 'application/zip', 'Swatch libraries.zip');
});
