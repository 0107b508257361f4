import type { Metadata } from 'next';
import { KeepPage } from '@/screens/drawers/keep/keep';
import { listCopies } from '@/server/keep/copies';

export const metadata: Metadata = { title: 'Back up and restore' };

export default async function DrawersKeepPage() {
  return <KeepPage copies={await listCopies()} />;
}
