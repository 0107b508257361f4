import { listStudies } from '@/server/studies/studies';
import { Wall } from '@/screens/wall/wall';

export default async function WallPage() {
  return <Wall studies={await listStudies()} />;
}
