import type { Metadata } from 'next';
import { Series } from '@/screens/series/series';
import { listLibraries } from '@/server/libraries/libraries';
import { listStudies } from '@/server/studies/study-cards';

export const metadata: Metadata = { title: 'Series' };

export default async function SeriesPage() {
  const [studies, libraries] = await Promise.all([listStudies(), listLibraries()]);
  const members = [
    ...studies.map(({ id, title, pictureId, swatches }) => ({
      id,
      title,
      pictureId,
      swatches: swatches.map(({ name, colour, share }) => ({ name, colour, share })),
    })),
    ...libraries.map(({ id, name, swatches }) => ({
      id,
      title: name,
      pictureId: null,
      swatches: swatches.map((swatch) => ({
        name: swatch.name,
        colour: swatch.colour,
        share: swatch.share,
      })),
    })),
  ].filter(({ swatches }) => swatches.length > 0);
  return <Series members={members} />;
}
