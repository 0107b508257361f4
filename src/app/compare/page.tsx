import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { Compare } from '@/screens/compare/compare';
import { found } from '@/server/found';
import { getSettings } from '@/server/settings/settings';
import { getCompared } from '@/server/studies/compared';

export const metadata: Metadata = { title: 'Compare' };

type Props = { searchParams: Promise<Record<string, string | string[] | undefined>> };

export default async function ComparePage({ searchParams }: Props) {
  const query = await searchParams;
  const { wheel } = await getSettings();
  const get = (id: string | string[] | undefined) =>
    found((known) => getCompared(known, wheel), String(id));
  const [one, other] = await Promise.all([get(query.one), get(query.other)]);
  if (!one || !other) notFound();
  return <Compare one={one} other={other} />;
}
