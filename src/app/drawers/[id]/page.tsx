import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { LibraryPage } from '@/screens/drawers/library/library';
import { found } from '@/server/found';
import { getLibrary } from '@/server/libraries/libraries';

type Props = {
  params: Promise<{ id: string }>;
  searchParams: Promise<{ swatch?: string | string[] }>;
};

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const library = await found(getLibrary, (await params).id);
  return { title: library?.name ?? 'Not found' };
}

export default async function OneLibraryPage({ params, searchParams }: Props) {
  const library = await found(getLibrary, (await params).id);
  if (!library) notFound();
  const { swatch } = await searchParams;
  return (
    <LibraryPage
      key={library.id}
      library={library}
      opened={typeof swatch === 'string' ? swatch : null}
    />
  );
}
