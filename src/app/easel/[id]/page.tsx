import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { Easel } from '@/screens/easel/easel';
import { found } from '@/server/found';
import { getSession } from '@/server/sessions/sessions';
import { getStudy } from '@/server/studies/studies';

/** The clock that the page is rendered by, until the browser's own takes over. */
const now = () => Date.now();

type Props = { params: Promise<{ id: string }> };

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const session = await found(getSession, (await params).id);
  return { title: session ? `${session.content.title}, at the easel` : 'Not found' };
}

export default async function EaselPage({ params }: Props) {
  const session = await found(getSession, (await params).id);
  const study = session && (await found(getStudy, session.studyId));
  if (!session || !study) notFound();
  return <Easel key={session.id} session={session} study={study} openedAt={now()} />;
}
