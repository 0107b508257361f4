'use client';

import { createContext, useContext } from 'react';
import type { PictureFacts } from '@/contracts/study';

export const FactsContext = createContext<PictureFacts | null>(null);

export const StudyIdContext = createContext('');

export function useStudyId(): string {
  return useContext(StudyIdContext);
}

/** What is known of the picture's file. */
export function usePictureFacts(): PictureFacts {
  const facts = useContext(FactsContext);
  if (!facts) throw new Error('usePictureFacts outside a Desk');
  return facts;
}
