'use client';

import { useState } from 'react';
import type { ShelfContent } from '@/contracts/shelf';
import type { ShelfStore } from '@/materials/use-shelf';
import { newId } from '@/study/edits';
import { addTubes } from '@/study/shelf';
import { tableOfTubes, tubesOfTable, type TableProblem } from '@/study/shelf-table';
import { Button } from '@/ui/button';
import { FileButton } from '@/ui/file-button';
import { keepFile } from '@/ui/keep-file';
import { say, showError } from '@/ui/notices';
import { Fold } from '@/ui/panel-parts';
import { capital, several } from '@/ui/words';

/** A table that is larger is no shelf. */
const MAX_BYTES = 2_000_000;
const SHOWN = 6;

/** The tubes to a spreadsheet and back. */
export function ShelfTableForm({ shelf, store }: { shelf: ShelfContent; store: ShelfStore }) {
  const [problems, setProblems] = useState<readonly TableProblem[]>([]);
  const read = async (file: File) => {
    setProblems([]);
    try {
      if (file.size > MAX_BYTES)
        throw new RangeError('The file is larger than 2 MB. Nothing was added.');
      const found = tubesOfTable(await file.text(), newId);
      setProblems(found.problems);
      if (found.tubes.length === 0) return;
      store.getState().change((was) => addTubes(was, found.tubes));
      say(`${capital(several(found.tubes.length, 'tube'))} added.`);
    } catch (error) {
      showError(error);
    }
  };
  return (
    <Fold title="As a table">
      <div className="flex flex-wrap items-center gap-2">
        <Button
          disabled={shelf.tubes.length === 0}
          onClick={() =>
            keepFile(new Blob([tableOfTubes(shelf.tubes)], { type: 'text/csv' }), 'Tubes.csv')
          }
        >
          Export CSV
        </Button>
        <FileButton
          label="Import CSV"
          accept=".csv,text/csv,text/plain"
          onFile={(file) => void read(file)}
        />
      </div>
      <p className="mt-1 text-sm text-soft">
        Columns: name, maker, number, pigments (PB29 + PW6), strength, opacity, where, price per ml.
      </p>
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
