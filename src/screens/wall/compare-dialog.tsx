'use client';

import Link from 'next/link';
import { useState } from 'react';
import { hrefOf } from '@/contracts/endpoints/endpoint';
import { endpoints } from '@/contracts/endpoints/endpoints';
import type { StudyCard } from '@/contracts/study';
import { Dialog } from '@/ui/dialog';
import { useFetched } from '@/ui/queries';
import { useDebounced } from '@/ui/use-debounced';

const ASK_AFTER = 150;
/** So many fit a look; among more a person searches. */
const MAX_LISTED = 20;

interface Props {
  one: StudyCard | null;
  onClose: () => void;
}

/** Which study another one is to be held against. */
export function CompareDialog({ one, onClose }: Props) {
  return (
    <Dialog
      open={one !== null}
      onClose={onClose}
      title="Compare"
      about={`Which study is “${one?.title ?? ''}” to be held against?`}
    >
      {one && <Others one={one} />}
    </Dialog>
  );
}

function Others({ one }: { one: StudyCard }) {
  const [text, setText] = useState('');
  const [query, setQuery] = useState('');
  const { run } = useDebounced(ASK_AFTER);
  const { data } = useFetched(endpoints.searchStudies, {
    query: { text: query, sort: query ? 'title' : 'newest', limit: MAX_LISTED + 1 },
  });
  // While another page is on its way the one before it stays, and with it the field that is typed in.
  const [found, setFound] = useState(data);
  if (data && data !== found) setFound(data);
  const others = found?.studies.filter(({ id }) => id !== one.id).slice(0, MAX_LISTED);
  const left = (found?.total ?? 0) - 1 - MAX_LISTED;
  const isSearched = text !== '' || (found?.overview?.all ?? 0) > MAX_LISTED + 1;
  return (
    <>
      {isSearched && (
        <input
          type="search"
          aria-label="Search the other studies"
          placeholder="Title, maker, aim, colour"
          value={text}
          maxLength={200}
          onChange={({ target: { value } }) => {
            setText(value);
            run(() => setQuery(value));
          }}
          className="mb-2 h-10 w-full border border-line bg-sheet px-2.5 placeholder:text-soft"
        />
      )}
      {others?.length === 0 && (
        <p>{query ? 'No other study answers to that.' : 'There is no other study yet.'}</p>
      )}
      <ul>
        {others?.map(({ id, title, pictureId }) => (
          <li key={id}>
            <Link
              href={`/compare?one=${one.id}&other=${id}`}
              className="flex min-h-14 items-center gap-3 border-b hover:bg-faint"
            >
              <img
                src={hrefOf(endpoints.getPicture, { id: pictureId, rendition: 'thumbnail' })}
                alt=""
                className="h-12 w-16 bg-faint object-cover"
              />
              <span className="line-clamp-2 font-serif text-lg leading-snug">{title}</span>
            </Link>
          </li>
        ))}
      </ul>
      {left > 0 && <p className="pt-2">{`And ${left} more: search for one.`}</p>}
    </>
  );
}
