import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { PatternPage } from '@/screens/colourways/pattern/pattern-page';
import { patternCodec } from '@/screens/colourways/pattern/pattern-view';
import { found } from '@/server/found';
import { getPattern } from '@/server/patterns/patterns';
import { queryOf, type SearchParams } from '../../search-params';

type Props = SearchParams & { params: Promise<{ id: string }> };

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const pattern = await found(getPattern, (await params).id);
  return { title: pattern?.content.title ?? 'Not found' };
}

export default async function OnePatternPage({ params, searchParams }: Props) {
  const pattern = await found(getPattern, (await params).id);
  if (!pattern) notFound();
  return (
    <PatternPage
      key={pattern.id}
      opened={pattern}
      view={patternCodec.read(await queryOf(searchParams))}
    />
  );
}
