import { checkStore } from '@/server/keep/check';
import { answering } from '@/server/respond';

export const POST = answering(async () => Response.json(await checkStore()));
