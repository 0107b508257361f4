import type { Metadata } from 'next';
import { wheelOf } from '@/core/colour/wheel';
import { searchFrom } from '@/screens/drawers/find/asked';
import { Drawers } from '@/screens/drawers/drawers';
import { countLibraries } from '@/server/libraries/libraries';
import { countFacets } from '@/server/libraries/facets';
import { listFolders } from '@/server/libraries/folders';
import { listSearches } from '@/server/libraries/saved-searches';
import { searchLibraries } from '@/server/libraries/search';
import { getSettings } from '@/server/settings/settings';

export const metadata: Metadata = { title: 'Drawers' };

const FIRST = 40;

type Props = { searchParams: Promise<Record<string, string | string[] | undefined>> };

export default async function DrawersPage({ searchParams }: Props) {
  const query = new URLSearchParams();
  for (const [key, value] of Object.entries(await searchParams))
    for (const one of [value ?? []].flat()) query.append(key, one);
  const { wheel } = await getSettings();
  const asked = searchFrom(query, wheelOf(wheel));
  return (
    <Drawers
      asked={asked}
      first={await searchLibraries(asked, wheel, 0, FIRST)}
      facets={await countFacets(asked, wheel)}
      folders={await listFolders()}
      saved={await listSearches()}
      counts={await countLibraries()}
    />
  );
}
