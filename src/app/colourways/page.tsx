import type { Metadata } from 'next';
import { Colourways } from '@/screens/colourways/colourways';
import { listPatternBin } from '@/server/patterns/bin';
import { listPatterns } from '@/server/patterns/patterns';

export const metadata: Metadata = { title: 'Colourways' };

export default async function ColourwaysPage() {
  return <Colourways patterns={await listPatterns()} bin={await listPatternBin()} />;
}
