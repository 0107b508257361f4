import type { Metadata } from 'next';
import { Bench } from '@/screens/bench/bench';
import { benchCodec } from '@/screens/bench/bench-view';
import { getShelf } from '@/server/shelf/shelf';
import { queryOf, type SearchParams } from '../search-params';

export const metadata: Metadata = { title: 'Bench' };

export default async function BenchPage({ searchParams }: SearchParams) {
  return <Bench opened={await getShelf()} view={benchCodec.read(await queryOf(searchParams))} />;
}
