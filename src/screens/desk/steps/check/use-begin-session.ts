'use client';

import { endpoints } from '@/contracts/endpoints/endpoints';
import type { SessionContent } from '@/contracts/session';
import { newId } from '@/study/edits';
import { call, sendFile } from '@/ui/api';
import { useChanged } from '@/ui/queries';
import { useStudyId } from '../../facts';

interface FirstPicture {
  id: string;
  file: Blob;
  name: string;
}

/** Begins a session of the open study, with the picture of its first snapshot where there is one. Answers its id. */
export function useBeginSession(): (
  content: SessionContent,
  first?: FirstPicture,
) => Promise<string> {
  const studyId = useStudyId();
  const changed = useChanged(endpoints.listStudySessions);
  return async (content, first) => {
    const id = newId();
    await call(endpoints.beginSession, { body: { id, studyId, content } });
    if (first) {
      const { id: snapshot, file, name } = first;
      try {
        const picture = new File([file], name, { type: file.type });
        await sendFile(endpoints.keepSnapshot, { id, snapshot }, picture);
      } catch (error) {
        // What is no picture leaves no session behind.
        await call(endpoints.deleteSession, { id });
        throw error;
      }
    }
    await changed();
    return id;
  };
}
