'use client';

import { useEffect, useState } from 'react';
import {
  newerStudySchema,
  readStudyDocument,
  studyDocumentSchema,
  type Study,
  type StudyDocument,
} from '@/contracts/study';
import { endpoints } from '@/contracts/endpoints/endpoints';
import { call } from '@/ui/api';
import { keepSaved } from '@/ui/sync/keep-saved';
import { mergeStudies, type DeskStore } from './desk-store';

const newer = newerStudySchema.transform(({ revision, document }) => ({
  revision,
  value: document,
}));

/** Keeps the study saved while the Desk is open. */
export function useSaving(study: Study, store: DeskStore): void {
  // What the page was opened with: a later rendering of it knows less than the store does.
  const [{ id, revision, document }] = useState(study);
  useEffect(
    () =>
      keepSaved<StudyDocument>(store, {
        name: `study:${id}`,
        save: (basedOn, value, options) =>
          call(endpoints.saveStudy, { id, body: { basedOn, document: value } }, options),
        fetch: async () => {
          const now = await call(endpoints.getStudy, { id });
          return { revision: now.revision, value: now.document };
        },
        start: { revision, value: document },
        schema: studyDocumentSchema,
        read: readStudyDocument,
        merge: mergeStudies,
        newer,
      }),
    [id, revision, document, store],
  );
}
