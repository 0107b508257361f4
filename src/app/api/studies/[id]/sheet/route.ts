import { paperSchema } from '@/contracts/print';
import { printStudy } from '@/server/print/prints';
import { answering, download, idOf } from '@/server/respond';

export const GET = answering(
  async (request: Request, context: { params: Promise<{ id: string }> }) => {
    const paper = paperSchema.parse(new URL(request.url).searchParams.get('paper') ?? 'a4');
    const { bytes, fileName } = await printStudy(await idOf(context, 'study'), paper);
    return download(bytes, 'application/pdf', fileName);
  },
);
