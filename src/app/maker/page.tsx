import type { Metadata } from 'next';
import { MakerPage } from '@/screens/maker/maker-page';
import { getSettings } from '@/server/settings/settings';
import { studiesOfMaker } from '@/server/studies/maker';
import { queryOf, type SearchParams } from '../search-params';

export const metadata: Metadata = { title: 'A maker' };

const MIN_FAMILY = 0.1;

export default async function OneMakerPage({ searchParams }: SearchParams) {
  const maker = (await queryOf(searchParams)).get('name')?.slice(0, 200) ?? '';
  const { wheel } = await getSettings();
  const studies = maker === '' ? [] : await studiesOfMaker(maker, wheel);
  return (
    <MakerPage
      maker={maker}
      studies={studies.map(({ id, title, pictureId, values, colours, edges }) => ({
        id,
        title,
        pictureId,
        key: values.key,
        range: values.range,
        darkest: values.p5,
        median: values.median,
        lightest: values.p95,
        light: colours.sideValues.light,
        shadow: colours.sideValues.shadow,
        intensity: colours.chroma.byLight,
        strongest: colours.chroma.p95,
        families: colours.hues.families
          .map(({ family, light, shadow }) => ({ family, share: light + shadow }))
          .filter(({ share }) => share > MIN_FAMILY)
          .sort((one, other) => other.share - one.share),
        edges,
      }))}
    />
  );
}
