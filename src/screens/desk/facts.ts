'use client';

import { createContext, useContext } from 'react';
import type { PictureFacts, Study } from '@/contracts/study';

/** The study as the page was opened with it; the document as it is now is in the store. */
export const StudyContext = createContext<Study | null>(null);

export function useStudy(): Study {
  const study = useContext(StudyContext);
  if (!study) throw new Error('useStudy outside a Desk');
  return study;
}

export function useStudyId(): string {
  return useStudy().id;
}

/** What is known of the picture's file. */
export function usePictureFacts(): PictureFacts {
  return useStudy().picture;
}
