import type { Metadata } from 'next';
import { wheelOf } from '@/core/colour/wheel';
import { searchCodec } from '@/screens/drawers/find/search-address';
import { Drawers } from '@/screens/drawers/drawers';
import { countLibraries } from '@/server/libraries/libraries';
import { countFacets } from '@/server/libraries/facets';
import { listFolders } from '@/server/libraries/folders';
import { listSearches } from '@/server/libraries/saved-searches';
import { searchLibraries } from '@/server/libraries/search';
import { getSettings } from '@/server/settings/settings';
import { queryOf, type SearchParams } from '../search-params';

export const metadata: Metadata = { title: 'Drawers' };

const FIRST = 40;

export default async function DrawersPage({ searchParams }: SearchParams) {
  const { wheel } = await getSettings();
  const opened = searchCodec(wheelOf(wheel)).read(await queryOf(searchParams));
  return (
    <Drawers
      opened={opened}
      first={await searchLibraries(opened, wheel, 0, FIRST)}
      facets={await countFacets(opened, wheel)}
      folders={await listFolders()}
      saved={await listSearches()}
      counts={await countLibraries()}
    />
  );
}
