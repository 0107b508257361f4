'use client';

import { useState } from 'react';
import { Button } from './button';
import { FileButton } from './file-button';
import { keepFile } from './keep-file';
import { showError } from './notices';
import { Fold } from './panel-parts';

/** A line of a table that is nothing that was looked for, and why. */
interface Problem {
  line: number;
  why: string;
}

interface Props {
  /** What the file is called that is kept. */
  fileName: string;
  columns: string;
  /** The table, or null where there is nothing to keep. */
  write: (() => string) | null;
  /** Takes a table in and answers which of its lines were left out; throws where it is none. */
  read: (text: string) => readonly Problem[];
}

/** A table that is larger is none of ours. */
const MAX_BYTES = 2_000_000;
const SHOWN = 6;

/** Things to a spreadsheet and back. */
export function CsvForm({ fileName, columns, write, read }: Props) {
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const take = async (file: File) => {
    setProblems([]);
    try {
      if (file.size > MAX_BYTES)
        throw new RangeError('The file is larger than 2 MB. Nothing was added.');
      setProblems(read(await file.text()));
    } catch (error) {
      showError(error);
    }
  };
  return (
    <Fold title="As a table">
      <div className="flex flex-wrap items-center gap-2">
        <Button
          disabled={!write}
          onClick={() => write && keepFile(new Blob([write()], { type: 'text/csv' }), fileName)}
        >
          Export CSV
        </Button>
        <FileButton
          label="Import CSV"
          accept=".csv,text/csv,text/plain"
          onFile={(file) => void take(file)}
        />
      </div>
      <p className="mt-1 text-sm text-soft">Columns: {columns}.</p>
      {problems.length > 0 && (
        <ul role="alert" className="mt-1 text-sm">
          {problems.slice(0, SHOWN).map(({ line, why }) => (
            <li key={line}>
              Line {line} was left out: {why}.
            </li>
          ))}
          {problems.length > SHOWN && <li>{problems.length - SHOWN} lines more were left out.</li>}
        </ul>
      )}
    </Fold>
  );
}
