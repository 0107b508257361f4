import { listCopies, makeCopy } from '@/server/keep/copies';
import { answering } from '@/server/respond';
import { getSettings } from '@/server/settings/settings';

export const GET = answering(async () => Response.json(await listCopies()));

export const POST = answering(async () => {
  const { copies } = await getSettings();
  return Response.json(await makeCopy(copies.keep), { status: 201 });
});
