import type { Metadata } from 'next';
import { BinPage } from '@/screens/drawers/bin';
import { listBin } from '@/server/libraries/bin';

export const metadata: Metadata = { title: 'Bin' };

export default async function DrawersBinPage() {
  return <BinPage libraries={await listBin()} />;
}
