'use client';

import { useQuery } from '@tanstack/react-query';
import { useDeferredValue, useState } from 'react';
import { hexFromOklab } from '@/core/colour/hex';
import { endpoints } from '@/contracts/endpoints/endpoints';
import type { Swatch } from '@/contracts/library';
import { ALL_LIBRARIES } from '@/contracts/library-search';
import { call } from './api';
import { Button } from './button';
import { TextField } from './field';
import { showError } from './notices';
import { Section } from './panel-parts';
import { queryFor } from './queries';

/** Libraries and swatches of each that are offered at once; more are found by words. */
const OFFERED = 6;
const SHOWN = 24;

/** Swatches of other libraries, to be taken one by one or all together. */
export function FromLibraries({
  title = 'From other libraries',
  except,
  onAdd,
}: {
  title?: string;
  /** The id of a library that is not offered. */
  except?: string;
  /** Told the swatches, of which library, and whether they are all of it. */
  onAdd: (swatches: readonly Swatch[], library: string, all: boolean) => void;
}) {
  const [text, setText] = useState('');
  const search = { ...ALL_LIBRARIES, text: useDeferredValue(text).slice(0, 200) };
  const { data } = useQuery(
    queryFor(endpoints.searchLibraries, { body: { search, offset: 0, limit: OFFERED + 1 } }),
  );
  const offered = data?.libraries.filter(({ id, size }) => id !== except && size > 0) ?? [];
  /** What was found may be a part of a large one. */
  const takeAll = async (id: string, name: string) => {
    try {
      onAdd((await call(endpoints.getLibrary, { id })).swatches, name, true);
    } catch (error) {
      showError(error);
    }
  };
  return (
    <Section title={title} aside="a click takes one">
      <TextField
        label="Find a library by words"
        type="search"
        value={text}
        onChange={(event) => setText(event.target.value)}
      />
      {data && offered.length === 0 && <p className="mt-2 text-soft">No other library answers.</p>}
      {offered.slice(0, OFFERED).map(({ id, name, swatches }) => (
        <div key={id} className="mt-2 border-t pt-1">
          <div className="flex items-center justify-between gap-2">
            <span className="truncate text-[15px]">{name}</span>
            <Button
              weight="quiet"
              className="text-sm underline"
              onClick={() => void takeAll(id, name)}
            >
              Take all
            </Button>
          </div>
          <div className="grid grid-cols-8 gap-1">
            {swatches.slice(0, SHOWN).map((swatch) => (
              <button
                key={swatch.id}
                type="button"
                aria-label={`Take ${swatch.name} of ${name}`}
                title={swatch.name}
                onClick={() => onAdd([swatch], name, false)}
                className="h-10"
                style={{ background: hexFromOklab(swatch.colour) }}
              />
            ))}
          </div>
        </div>
      ))}
    </Section>
  );
}
