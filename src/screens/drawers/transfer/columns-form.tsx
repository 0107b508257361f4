'use client';

import { CSV_PARTS, type CsvColumns, type CsvPart } from '@/core/formats/csv-columns';
import type { ReadFile } from '@/contracts/library-files';

interface Props {
  table: NonNullable<ReadFile['table']>;
  onTell: (columns: CsvColumns) => void;
}

/** What the columns of a table hold: guessed from their first rows, and to be corrected by the person. */
export function ColumnsForm({ table: { header, rows, columns }, onTell }: Props) {
  const width = Math.max(header.length, ...rows.map((row) => row.length));
  const partAt = (at: number) => CSV_PARTS.find((part) => columns[part] === at) ?? '';
  const say = (at: number, part: CsvPart | '') => {
    const next = Object.fromEntries(
      Object.entries(columns).filter(([own, column]) => column !== at && own !== part),
    ) as CsvColumns;
    onTell(part ? { ...next, [part]: at } : next);
  };
  return (
    <div className="mt-2">
      <p className="text-[15px] font-semibold">What its columns hold</p>
      {/* Tables scroll by themselves, so that the page does not; and keys must reach them. */}
      <div className="overflow-x-auto" tabIndex={0} role="group" aria-label="Columns of the table">
        <table className="border-collapse text-sm">
          <thead>
            <tr>
              {Array.from({ length: width }, (_, at) => (
                <th key={at} className="border border-line p-0 text-left">
                  <select
                    aria-label={`Column ${at + 1}${header[at] ? `, ${header[at]}` : ''}`}
                    value={partAt(at)}
                    onChange={(event) => say(at, event.target.value as CsvPart | '')}
                    className={`h-10 min-w-28 bg-sheet px-1.5 ${partAt(at) ? 'font-semibold' : 'font-normal text-soft'}`}
                  >
                    <option value="">left out</option>
                    {CSV_PARTS.map((part) => (
                      <option key={part} value={part}>
                        {part}
                      </option>
                    ))}
                  </select>
                </th>
              ))}
            </tr>
            {header.length > 0 && (
              <tr>
                {Array.from({ length: width }, (_, at) => (
                  <th key={at} className="border border-line px-2 py-1 text-left font-semibold">
                    {header[at]}
                  </th>
                ))}
              </tr>
            )}
          </thead>
          <tbody>
            {rows.map((row, i) => (
              <tr key={i}>
                {Array.from({ length: width }, (_, at) => (
                  <td key={at} className="max-w-48 truncate border border-line px-2 py-1">
                    {row[at]}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </div>
  );
}
