import type { Metadata } from 'next';
import { Drawers } from '@/screens/drawers/drawers';
import { listLibraries } from '@/server/libraries/libraries';

export const metadata: Metadata = { title: 'Drawers' };

export default async function DrawersPage() {
  return <Drawers libraries={await listLibraries()} />;
}
