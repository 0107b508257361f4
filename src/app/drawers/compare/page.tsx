import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { CompareLibraries } from '@/screens/drawers/two/compare-libraries';
import { found } from '@/server/found';
import { getLibrary } from '@/server/libraries/libraries';

export const metadata: Metadata = { title: 'Two libraries' };

type Props = { searchParams: Promise<{ one?: string | string[]; other?: string | string[] }> };

export default async function CompareLibrariesPage({ searchParams }: Props) {
  const { one, other } = await searchParams;
  const first = await found(getLibrary, String(one));
  const second = await found(getLibrary, String(other));
  if (!first || !second) notFound();
  return <CompareLibraries one={first} other={second} />;
}
