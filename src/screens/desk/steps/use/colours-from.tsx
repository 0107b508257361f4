'use client';

import { useQuery } from '@tanstack/react-query';
import { endpoints } from '@/contracts/endpoints/endpoints';
import { takeColours } from '@/study/use-edits';
import { queryFor } from '@/ui/queries';
import { Select } from '@/ui/select';
import { list } from '@/ui/words';
import { useDeskStore, useDocument } from '../../desk-store';
import { useStudyId } from '../../facts';
import { useTakeColours } from './use-take-colours';

/** So many studies are offered; of more the newest. */
const MAX_STUDIES = 60;
const OWN = 'own';
const TAKEN = 'taken';
const NONE = '';

/** Whose colours are put on the picture: the study's own, a library's, another study's, or several together. */
export function ColoursFrom() {
  const id = useStudyId();
  const taken = useDocument((document) => document.use.transfer.colours);
  const { change } = useDeskStore().getState();
  const take = useTakeColours();
  const libraries = useQuery(queryFor(endpoints.listLibraries, {}));
  const studies = useQuery(
    queryFor(endpoints.searchStudies, { query: { sort: 'newest', limit: MAX_STUDIES } }),
  );
  const sources = [
    ...(libraries.data ?? []).map((one) => ({ value: `library.${one.id}`, title: one.name })),
    ...(studies.data?.studies ?? [])
      .filter((one) => one.id !== id && one.swatches.length > 0)
      .map((one) => ({ value: `study.${one.id}`, title: `study: ${one.title}` })),
  ];
  const names = taken && [...new Set(taken.map(({ from }) => from))];
  return (
    <div className="mb-2 grid grid-cols-[1fr_7rem] gap-1 text-[15px]">
      <Select
        wide
        label="Colours of"
        value={names ? TAKEN : OWN}
        options={[
          ...(names ? [{ value: TAKEN, title: list(names) || 'nothing yet' }] : []),
          { value: OWN, title: 'this study’s colours' },
          ...sources,
        ]}
        onChange={(source) => {
          if (source === OWN) change((document) => takeColours(document, null));
          else if (source !== TAKEN) void take(source, false);
        }}
      />
      <Select
        wide
        label="And colours of"
        value={NONE}
        options={[{ value: NONE, title: 'and of …' }, ...sources]}
        onChange={(source) => {
          if (source !== NONE) void take(source, true);
        }}
      />
    </div>
  );
}
