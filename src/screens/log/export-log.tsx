'use client';

import { format } from 'date-fns';
import { Download, Printer } from 'lucide-react';
import { Button } from '@/ui/button';
import { keepFile } from '@/ui/keep-file';
import { Menu } from '@/ui/menu';
import type { LogEntry } from './log-entries';
import { logJson, logTable } from './log-table';

/** The Log as a table, as our JSON, or on paper: what is listed. */
export function ExportLog({ entries }: { entries: readonly LogEntry[] }) {
  const save = (text: string, type: string, ending: string) =>
    keepFile(new Blob([text], { type }), `Log, ${format(new Date(), 'yyyy-MM-dd')}.${ending}`);
  return (
    <div className="flex gap-2">
      <Menu
        trigger={
          <Button disabled={entries.length === 0}>
            <Download size={18} aria-hidden /> Export
          </Button>
        }
        items={[
          {
            title: 'Table (CSV)',
            onSelect: () => save(logTable(entries), 'text/csv;charset=utf-8', 'csv'),
          },
          {
            title: 'Everything (JSON)',
            onSelect: () => save(logJson(entries), 'application/json', 'json'),
          },
        ]}
      />
      <Button onClick={() => window.print()}>
        <Printer size={18} aria-hidden /> Print
      </Button>
    </div>
  );
}
