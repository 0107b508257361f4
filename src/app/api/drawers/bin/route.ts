import { listBin } from '@/server/libraries/bin';
import { answering } from '@/server/respond';

export const GET = answering(async () => Response.json(await listBin()));
