import type { Metadata } from 'next';
import { Log } from '@/screens/log/log';
import { logCodec } from '@/screens/log/log-view';
import { getCourses } from '@/server/courses/courses';
import { loggedSessions } from '@/server/sessions/sessions';
import { queryOf, type SearchParams } from '../search-params';

export const metadata: Metadata = { title: 'Log' };

const now = () => Date.now();

export default async function LogPage({ searchParams }: SearchParams) {
  return (
    <Log
      sessions={await loggedSessions()}
      courses={await getCourses()}
      opened={logCodec.read(await queryOf(searchParams))}
      openedAt={now()}
    />
  );
}
