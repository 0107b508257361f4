import { fileNameFrom } from '@/core/file-name';
import type { DemoEvent } from '@/contracts/demo';
import { seedDemo } from '../demo/seed';
import { guessRecord, keepAttempt } from '../drills/attempts';
import { classRoundPage } from '../drills/class-round';
import { keepAnswers, practiceRecord } from '../drills/practice';
import { drawingsPdf } from '../print/drawing-pdf';
import { download, inLines } from '../respond';
import { getSettings, saveSettings } from '../settings/settings';
import { coursesHandlers } from './courses';
import { drawerHandlers } from './drawers';
import type { Handlers } from './handler';
import { keepHandlers } from './keep';
import { libraryHandlers } from './libraries';
import { patternHandlers } from './patterns';
import { pictureHandlers } from './pictures';
import { sessionHandlers } from './sessions';
import { shelfHandlers } from './shelf';
import { studyHandlers } from './studies';

/** What the server does at each of its endpoints. */
export const handlers: Handlers = {
  ...studyHandlers,
  ...pictureHandlers,
  ...libraryHandlers,
  ...drawerHandlers,
  ...keepHandlers,
  ...shelfHandlers,
  ...patternHandlers,
  ...sessionHandlers,
  ...coursesHandlers,
  guessRecord: () => guessRecord(),
  keepAttempt: ({ body }) => keepAttempt(body),
  practiceRecord: () => practiceRecord(),
  keepAnswers: ({ body }) => keepAnswers(body),
  getClassRound: async ({ query }) =>
    download(await classRoundPage(query), 'text/html', fileNameFrom(query.title, '.html', 'round')),
  printDrawings: async ({ body }) =>
    download(
      await drawingsPdf(body),
      'application/pdf',
      fileNameFrom(body[0].title, '.pdf', 'plan'),
    ),
  getSettings: () => getSettings(),
  saveSettings: ({ body }) => saveSettings(body),
  startDemo: async ({ request }) =>
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
};
