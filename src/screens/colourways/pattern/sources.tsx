'use client';

import { useQuery } from '@tanstack/react-query';
import { X } from 'lucide-react';
import { hexFromOklab } from '@/core/colour/hex';
import type { WayColour } from '@/core/pattern/way-colours';
import { endpoints } from '@/contracts/endpoints/endpoints';
import { MAX_SOURCES, MAX_SOURCE_COLOURS, type PatternSource } from '@/contracts/pattern';
import { newId } from '@/study/edits';
import { addSource, addToSwatches, removeSource, takeUpSource } from '@/study/pattern-edits';
import { call } from '@/ui/api';
import { Button } from '@/ui/button';
import { FromLibraries } from '@/ui/from-libraries';
import { say, showError } from '@/ui/notices';
import { Fold, Section } from '@/ui/panel-parts';
import { queryFor } from '@/ui/queries';
import { Select } from '@/ui/select';
import { several } from '@/ui/words';
import { useChange, useContent } from './use-pattern';

const NONE = '';
/** So many studies are offered; of more the newest. */
const MAX_STUDIES = 60;

const plain = ({ id, name, colour, share }: WayColour): WayColour => ({ id, name, colour, share });

/** Where colours come from: libraries, studies and single swatches, each taken up or put aside. */
export function Sources() {
  const sources = useContent((content) => content.sources);
  const change = useChange();
  const add = (source: Omit<PatternSource, 'id' | 'used'>) => {
    if (source.colours.length === 0) return say('There are no colours in it.');
    if (sources.length >= MAX_SOURCES)
      return say(`There are ${MAX_SOURCES} sources already; remove one first.`);
    if (source.colours.length > MAX_SOURCE_COLOURS)
      say(`It has ${source.colours.length} colours; the first ${MAX_SOURCE_COLOURS} are taken.`);
    change(addSource(source, newId));
  };
  const used = sources.filter((source) => source.used).length;
  return (
    <Section
      title="Colours from"
      aside={sources.length > 0 ? `${used} of ${sources.length} in use` : 'nothing yet'}
    >
      <ul aria-label="Sources of colours">
        {sources.map(({ id, title, kind, used: isUsed, colours }) => (
          <li key={id} className="flex items-center gap-1 border-b">
            <label className="flex min-h-11 min-w-0 grow items-center gap-2.5 text-[15px]">
              <input
                type="checkbox"
                className="h-5 w-5 shrink-0 accent-ink"
                checked={isUsed}
                onChange={({ target }) => change(takeUpSource(id, target.checked))}
              />
              <span className="min-w-0 grow">
                <span className="block truncate">
                  {kind === 'study' ? `study: ${title}` : title}
                </span>
                <span aria-hidden className="flex h-2">
                  {colours.map((one) => (
                    <span
                      key={one.id}
                      className="grow"
                      style={{ background: hexFromOklab(one.colour) }}
                    />
                  ))}
                </span>
              </span>
            </label>
            <Button
              weight="quiet"
              aria-label={`Remove ${title}`}
              onClick={() => change(removeSource(id))}
            >
              <X size={16} aria-hidden />
            </Button>
          </li>
        ))}
      </ul>
      <Fold
        key={sources.length === 0 ? 'open' : 'folded'}
        open={sources.length === 0}
        title="Add colours"
        aside="libraries, studies, swatches"
      >
        <FromLibraries
          title="Libraries"
          onAdd={(swatches, library, all) =>
            all
              ? add({ title: library, kind: 'library', colours: swatches.map(plain) })
              : change(addToSwatches(swatches.map(plain), newId))
          }
        />
        <StudySelect onAdd={add} />
      </Fold>
    </Section>
  );
}

function StudySelect({ onAdd }: { onAdd: (source: Omit<PatternSource, 'id' | 'used'>) => void }) {
  const { data } = useQuery(
    queryFor(endpoints.searchStudies, { query: { sort: 'newest', limit: MAX_STUDIES } }),
  );
  const studies = (data?.studies ?? []).filter(({ swatches }) => swatches.length > 0);
  const take = async (id: string) => {
    try {
      const { document } = await call(endpoints.getStudy, { id });
      onAdd({
        title: document.title,
        kind: 'study',
        colours: document.palette.swatches.map(plain),
      });
    } catch (error) {
      showError(error);
    }
  };
  if (studies.length === 0) return null;
  return (
    <Select
      wide
      label="Colours of a study"
      value={NONE}
      options={[
        { value: NONE, title: `of a study … (${several(studies.length, 'study', 'studies')})` },
        ...studies.map(({ id, title }) => ({ value: id, title })),
      ]}
      onChange={(id) => {
        if (id !== NONE) void take(id);
      }}
    />
  );
}
