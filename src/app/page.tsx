import { wheelOf } from '@/core/colour/wheel';
import { STUDIES_PAGE } from '@/contracts/study-search';
import { studySearchCodec } from '@/screens/wall/search-address';
import { Wall } from '@/screens/wall/wall';
import { getSettings } from '@/server/settings/settings';
import { searchStudies } from '@/server/studies/search-studies';
import { queryOf, type SearchParams } from './search-params';

export default async function WallPage({ searchParams }: SearchParams) {
  const { wheel } = await getSettings();
  const opened = studySearchCodec(wheelOf(wheel)).read(await queryOf(searchParams));
  return <Wall opened={opened} first={await searchStudies(opened, wheel, 0, STUDIES_PAGE)} />;
}
