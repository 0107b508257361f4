import type { Metadata } from 'next';
import { Practice } from '@/screens/practice/practice';
import { practiceCodec } from '@/screens/practice/practice-view';
import { ownColours } from '@/server/drills/own-colours';
import { practiceRecord } from '@/server/drills/practice';
import { warmUpFor } from '@/server/drills/warm-up';
import { getShelf } from '@/server/shelf/shelf';
import { queryOf, type SearchParams } from '../search-params';

export const metadata: Metadata = { title: 'Practice' };

const now = () => Date.now();

export default async function PracticePage({ searchParams }: SearchParams) {
  const opened = practiceCodec.read(await queryOf(searchParams));
  const { content } = await getShelf();
  return (
    <Practice
      // Another study or session brings other questions.
      key={`${opened.study} ${opened.session}`}
      record={await practiceRecord()}
      own={await ownColours(opened.study)}
      shelf={content}
      warmUp={opened.session === '' ? null : await warmUpFor(opened.session)}
      opened={opened}
      openedAt={now()}
    />
  );
}
