import type { DemoEvent } from '@/contracts/demo';
import { seedDemo } from '@/server/demo/seed';
import { answering, inLines } from '@/server/respond';

/** Starts the demo again; answers one JSON line before each study and one at the end. */
export const POST = answering(async (request: Request) =>
  inLines<DemoEvent>(
    request,
    async (say) => {
      const studies = await seedDemo({
        onStep: (done, total, title) => say({ event: 'step', done, total, title }),
        signal: request.signal,
      });
      say({ event: 'done', studies });
    },
    (error) => ({ event: 'refused', error }),
  ),
);
