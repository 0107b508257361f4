'use client';

import { useEffect, useState } from 'react';
import {
  newerStudySchema,
  studyDocumentSchema,
  type Study,
  type StudyDocument,
} from '@/contracts/study';
import { keepSaved } from '@/ui/sync/keep-saved';
import type { DeskStore } from './desk-store';

const answer = newerStudySchema.transform(({ revision, document }) => ({
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
        path: `/api/studies/${id}`,
        start: { revision, value: document },
        schema: studyDocumentSchema,
        bodyOf: (basedOn, value) => ({ basedOn, document: value }),
        answer,
      }),
    [id, revision, document, store],
  );
}
