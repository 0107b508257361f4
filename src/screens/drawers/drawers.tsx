'use client';

import { format } from 'date-fns';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import { useDropzone } from 'react-dropzone';
import { Ellipsis } from 'lucide-react';
import type { LibraryCard } from '@/contracts/library';
import { call, nothing } from '@/ui/api';
import { Button } from '@/ui/button';
import { Menu } from '@/ui/menu';
import { offerUndo, say, showFault } from '@/ui/notices';
import { TopLine } from '@/ui/shell';
import { useSettings } from '@/ui/settings';
import { Stave, staveWords } from '@/ui/stave';
import { capital, list, several } from '@/ui/words';
import { bringInFile } from './bring-in-file';
import { downloadLibrary, FORMAT_CHOICES } from './carry-out';

/** All swatch libraries. A library file dropped anywhere is brought in. */
export function Drawers({ libraries }: { libraries: LibraryCard[] }) {
  const router = useRouter();
  const [search, setSearch] = useState('');
  const [refused, setRefused] = useState<{ name: string; why: string }[]>([]);

  const bringIn = async (files: readonly File[]) => {
    setRefused([]);
    for (const file of files) {
      try {
        const { name, loses } = await bringInFile(file);
        say(
          `“${name}” is in the Drawers.${loses.length > 0 ? ` Its format holds no ${list(loses)}.` : ''}`,
        );
      } catch (error) {
        const why = error instanceof Error ? error.message : 'It could not be read.';
        setRefused((all) => [...all, { name: file.name, why }]);
      }
    }
    router.refresh();
  };
  const { getRootProps, getInputProps, isDragActive, open } = useDropzone({
    noClick: true,
    noKeyboard: true,
    onDrop: (files) => void bringIn(files),
  });

  const shown = useMemo(() => {
    const wanted = search.trim().toLowerCase();
    return libraries.filter(({ name }) => name.toLowerCase().includes(wanted));
  }, [libraries, search]);

  const act = (action: () => Promise<unknown>) => action().then(() => router.refresh(), showFault);
  const remove = (library: LibraryCard) =>
    act(async () => {
      await call('DELETE', `/api/libraries/${library.id}`, nothing);
      offerUndo(`“${library.name}” was deleted.`, () =>
        act(() => call('POST', `/api/libraries/${library.id}/restore`, nothing)),
      );
    });

  return (
    <div {...getRootProps({ className: 'flex min-h-screen flex-col bg-panel' })}>
      <TopLine>
        <input
          type="search"
          aria-label="Search by name"
          placeholder="Search by name"
          value={search}
          onChange={(event) => setSearch(event.target.value)}
          className="ml-auto h-9 w-full max-w-60 min-w-16 border border-line bg-sheet px-2.5 placeholder:text-soft"
        />
        <Button weight="strong" onClick={open} className="h-9 min-h-9 whitespace-nowrap">
          <span>
            Bring in<span className="max-sm:hidden"> a library</span>
          </span>
        </Button>
      </TopLine>
      <main className="mx-auto w-full max-w-6xl grow px-4 py-6 sm:px-6">
        <input {...getInputProps({ 'aria-label': 'Choose a library file' })} />
        <h1 className="sr-only">Drawers</h1>
        {refused.map(({ name, why }) => (
          <p key={name} role="alert" className="mb-4 border border-ink bg-sheet p-3">
            <strong>{name}</strong> was not brought in. {why}
          </p>
        ))}
        {libraries.length === 0 ? (
          <section className="mx-auto mt-[12vh] max-w-xl">
            <h2 className="font-serif text-4xl leading-tight">The drawers are empty.</h2>
            <p className="mt-4 text-lg">
              Open a study on the{' '}
              <Link href="/" className="underline">
                Wall
              </Link>{' '}
              and save its palette, or drop a library file here: .prism.json, .gpl, .tokens.json,
              .css, or any text with colours in it.
            </p>
          </section>
        ) : shown.length === 0 ? (
          <p className="font-serif text-2xl">No library has “{search}” in its name.</p>
        ) : (
          <>
            <p className="mb-3 text-soft">
              {capital(several(shown.length, 'library', 'libraries'))}, the last changed first.
            </p>
            <ul className="border-t border-ink">
              {shown.map((library) => (
                <LibraryRow
                  key={library.id}
                  library={library}
                  onDelete={() => void remove(library)}
                />
              ))}
            </ul>
          </>
        )}
      </main>
      {isDragActive && (
        <div className="pointer-events-none fixed inset-0 z-40 flex items-center justify-center border-8 border-ink bg-panel/85">
          <p className="font-serif text-4xl">Let go to bring the library in.</p>
        </div>
      )}
    </div>
  );
}

function LibraryRow({ library, onDelete }: { library: LibraryCard; onDelete: () => void }) {
  const { settings } = useSettings();
  const router = useRouter();
  return (
    <li className="flex items-stretch gap-2 border-b">
      <Link
        href={`/drawers/${library.id}`}
        className="grid min-w-0 grow gap-x-8 gap-y-2 py-3 hover:bg-faint sm:grid-cols-[minmax(0,22rem)_minmax(0,1fr)]"
      >
        <div className="min-w-0">
          <h2 className="line-clamp-2 font-serif text-xl leading-tight">{library.name}</h2>
          {library.note && <p className="line-clamp-2 text-[15px] leading-snug">{library.note}</p>}
          <p className="mt-0.5 text-sm text-soft">
            {[
              several(library.swatches.length, 'swatch', 'swatches'),
              ...library.tags,
              format(new Date(library.updatedAt), 'd MMM yyyy'),
            ].join(' · ')}
          </p>
        </div>
        <div className="bg-sheet">
          <Stave
            swatches={library.swatches}
            scale={settings.scale}
            height={76}
            label={staveWords(library.swatches)}
          />
        </div>
      </Link>
      <div className="flex items-center">
        <Menu
          trigger={
            <Button weight="quiet" aria-label={`More for ${library.name}`}>
              <Ellipsis size={20} aria-hidden />
            </Button>
          }
          items={[
            { title: 'Open and rename', onSelect: () => router.push(`/drawers/${library.id}`) },
            ...FORMAT_CHOICES.map(({ id, title }) => ({
              title: `Carry out as ${title}`,
              onSelect: () => downloadLibrary(library.id, id),
            })),
            { title: 'Delete', onSelect: onDelete },
          ]}
        />
      </div>
    </li>
  );
}
