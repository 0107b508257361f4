'use client';

import { useRef, useState } from 'react';
import { endpoints } from '@/contracts/endpoints/endpoints';
import { type LibraryContent } from '@/contracts/library';
import { type ReadFile } from '@/contracts/library-files';
import type { CsvColumns } from '@/core/formats/csv-columns';
import { call, sendFile } from '@/ui/api';

/** A library that was read from a file and waits to be brought in. */
export interface Waiting {
  key: string;
  /** Null for a file out of a zip, which is not read again. */
  file: File | null;
  read: ReadFile;
  wanted: boolean;
}

/** What a text that was pasted is called. */
export const PASTED = 'Pasted colours.txt';

let keys = 0;

export interface ImportFiles {
  waiting: Waiting[];
  /** The file that is being read. */
  reading: string | null;
  read: (files: readonly File[]) => Promise<void>;
  change: (key: string, part: { wanted?: boolean; content?: LibraryContent }) => void;
  /** Reads a table again with what its columns are said to hold. */
  tell: (key: string, columns: CsvColumns) => Promise<void>;
  /** Leaves one out, or all of them. */
  drop: (key?: string) => void;
}

/** Files on their way in: read and shown before anything is stored. */
export function useImportFiles(): ImportFiles {
  const [waiting, setWaiting] = useState<Waiting[]>([]);
  const [reading, setReading] = useState<string | null>(null);
  const telling = useRef(0);

  const read = async (files: readonly File[]) => {
    for (const file of files) {
      setReading(file.name);
      const found = await sendFile(endpoints.readLibraryFile, {}, file).catch((error: unknown) => [
        refusedFile(file.name, error),
      ]);
      setWaiting((all) => [
        ...all,
        ...found.map((one) => ({
          key: `file ${++keys}`,
          file: one.fileName === file.name ? file : null,
          read: one,
          wanted: one.error === null,
        })),
      ]);
    }
    setReading(null);
  };
  return {
    waiting,
    reading,
    read,
    change: (key, { wanted, content }) =>
      setWaiting((all) =>
        all.map((one) =>
          one.key === key
            ? {
                ...one,
                wanted: wanted ?? one.wanted,
                read: content ? { ...one.read, content } : one.read,
              }
            : one,
        ),
      ),
    tell: async (key, columns) => {
      const told = waiting.find((one) => one.key === key);
      if (!told?.file) return;
      const own = ++telling.current;
      // The columns stay as they were said, also where they make no sense yet.
      const saying = (read: ReadFile): ReadFile => ({
        ...read,
        table: told.read.table && { ...told.read.table, columns },
      });
      const edit = (change: (one: Waiting) => Waiting) =>
        setWaiting((all) => all.map((one) => (one.key === key ? change(one) : one)));
      edit((one) => ({ ...one, read: saying(one.read) }));
      const given = { query: { columns: JSON.stringify(columns) } };
      const [again] = await sendFile(endpoints.readLibraryFile, given, told.file).catch(
        (error: unknown) => [{ ...told.read, content: null, error: wordsOf(error) }],
      );
      if (own === telling.current)
        edit((one) => ({ ...one, wanted: again.content !== null, read: saying(again) }));
    },
    drop: (key) => setWaiting((all) => (key ? all.filter((one) => one.key !== key) : [])),
  };
}

function refusedFile(fileName: string, error: unknown): ReadFile {
  return { fileName, error: wordsOf(error), format: null, content: null, table: null };
}

function wordsOf(error: unknown): string {
  return error instanceof Error ? error.message : 'It could not be read.';
}

/**
 * Stores what is wanted of what was read, one after another, and says which as soon as it is: should the next fail, it is
 * not stored again. Answers the names.
 */
export async function storeImported(
  waiting: readonly Waiting[],
  folderId: string | null,
  onStored: (key: string) => void,
): Promise<string[]> {
  const names: string[] = [];
  for (const { key, read, wanted } of waiting) {
    if (!wanted || !read.content) continue;
    const body = { ...read.content, studyId: null, folderId };
    await call(endpoints.createLibrary, { body });
    onStored(key);
    names.push(read.content.name);
  }
  return names;
}
