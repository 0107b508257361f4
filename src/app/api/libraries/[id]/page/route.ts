import { answering, download, idOf } from '@/server/respond';
import { sharePage } from '@/server/share/share';

export const GET = answering(async (_: Request, context: { params: Promise<{ id: string }> }) => {
  const { bytes, fileName } = await sharePage(await idOf(context, 'library'));
  return download(bytes, 'text/html', fileName);
});
