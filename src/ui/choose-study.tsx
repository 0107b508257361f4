'use client';

import Link from 'next/link';
import { useState, type ReactNode } from 'react';
import { hrefOf } from '@/contracts/endpoints/endpoint';
import { endpoints } from '@/contracts/endpoints/endpoints';
import { useFetched } from './queries';
import { useDebounced } from './use-debounced';

const ASK_AFTER = 150;
/** So many fit a look; among more a person searches. */
const MAX_LISTED = 20;

interface Props {
  /** A study that is not offered: the one that another is wanted beside. */
  except?: string;
  /** Where choosing a study leads, or what it does. */
  to: (id: string) => string | (() => void);
}

/** The studies with their pictures, the newest first, or those that answer to a search. */
export function ChooseStudy({ except, to }: Props) {
  const [text, setText] = useState('');
  const [query, setQuery] = useState('');
  const { run } = useDebounced(ASK_AFTER);
  const { data } = useFetched(endpoints.searchStudies, {
    query: { text: query, sort: query ? 'title' : 'newest', limit: MAX_LISTED + 1 },
  });
  // While another page is on its way the one before it stays, and with it the field that is typed in.
  const [found, setFound] = useState(data);
  if (data && data !== found) setFound(data);
  const others = found?.studies.filter(({ id }) => id !== except).slice(0, MAX_LISTED);
  const left = (found?.total ?? 0) - (except ? 1 : 0) - MAX_LISTED;
  const isSearched = text !== '' || (found?.overview?.all ?? 0) > MAX_LISTED + 1;
  const other = except ? 'other ' : '';
  return (
    <>
      {isSearched && (
        <input
          type="search"
          aria-label={`Search the ${other}studies`}
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
        <p>{query ? `No ${other}study answers to that.` : `There is no ${other}study yet.`}</p>
      )}
      <ul>
        {others?.map(({ id, title, maker, pictureId }) => (
          <li key={id}>
            <Row to={to(id)}>
              <img
                src={hrefOf(endpoints.getPicture, { id: pictureId, rendition: 'thumbnail' })}
                alt=""
                className="h-12 w-16 bg-faint object-cover"
              />
              <span className="min-w-0">
                <span className="line-clamp-2 font-serif text-lg leading-snug">{title}</span>
                {maker && <span className="block truncate text-sm text-soft">{maker}</span>}
              </span>
            </Row>
          </li>
        ))}
      </ul>
      {left > 0 && <p className="pt-2">{`And ${left} more: search for one.`}</p>}
    </>
  );
}

const ROW = 'flex min-h-14 w-full items-center gap-3 border-b text-left hover:bg-faint';

/** A way to another page, or something that is done here. */
function Row({ to, children }: { to: string | (() => void); children: ReactNode }) {
  return typeof to === 'string' ? (
    <Link href={to} className={ROW}>
      {children}
    </Link>
  ) : (
    <button type="button" onClick={to} className={ROW}>
      {children}
    </button>
  );
}
