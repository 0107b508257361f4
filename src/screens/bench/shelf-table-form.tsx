'use client';

import type { ShelfContent } from '@/contracts/shelf';
import type { ShelfStore } from '@/materials/use-shelf';
import { newId } from '@/study/edits';
import { addTubes } from '@/study/shelf';
import { tableOfTubes, tubesOfTable } from '@/study/shelf-table';
import { CsvForm } from '@/ui/csv-form';
import { say } from '@/ui/notices';
import { capital, several } from '@/ui/words';

/** The tubes to a spreadsheet and back. */
export function ShelfTableForm({ shelf, store }: { shelf: ShelfContent; store: ShelfStore }) {
  return (
    <CsvForm
      fileName="Tubes.csv"
      columns="name, maker, number, pigments (PB29 + PW6), strength, opacity, where, price per ml"
      write={shelf.tubes.length > 0 ? () => tableOfTubes(shelf.tubes) : null}
      read={(text) => {
        const { tubes, problems } = tubesOfTable(text, newId);
        if (tubes.length > 0) {
          store.getState().change((was) => addTubes(was, tubes));
          say(`${capital(several(tubes.length, 'tube'))} added.`);
        }
        return problems;
      }}
    />
  );
}
