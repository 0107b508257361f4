import { attemptSchema } from '@/contracts/attempt';
import { guessRecord, keepAttempt } from '@/server/drills/attempts';
import { answering } from '@/server/respond';

export const GET = answering(async () => Response.json(await guessRecord()));

export const POST = answering(async (request: Request) =>
  Response.json(await keepAttempt(attemptSchema.parse(await request.json()))),
);
